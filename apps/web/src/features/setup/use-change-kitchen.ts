import { useState } from 'react';
import type { Kitchen } from '@north-leaf/core';
import { notify } from '../../platform/notices';
import { t } from '../../platform/words';
import { goToOtherKitchen } from '../kitchen/doors';
import { leaveRuns } from '../runs/doors';

/** Goes to another kitchen, once the server has heard all that was said at the bench of this one. */
export function useChangeKitchen(): { readonly busy: boolean; readonly change: (to: () => Promise<Kitchen>) => Promise<void> } {
  const [busy, setBusy] = useState(false);
  const change = async (to: () => Promise<Kitchen>) => {
    if (busy) return;
    setBusy(true);
    try {
      const waiting = await leaveRuns();
      if (waiting > 0) return notify(t('setup.waiting', { count: waiting }), 'error');
      await to();
      goToOtherKitchen();
    } catch (error) {
      notify(error instanceof Error ? error.message : String(error), 'error');
    } finally {
      setBusy(false);
    }
  };
  return { busy, change };
}
