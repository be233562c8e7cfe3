import { useEffect, useRef } from 'react';
import { findingsOf, type Finding, type Kitchen, type Pantry } from '@north-leaf/core';
import { describeEdits } from '@north-leaf/words';
import { notify } from '../../platform/notices';
import { useVoice } from '../../platform/preferences';
import { t } from '../../platform/words';
import { useDraft } from '../formulas/doors';
import type { Evaluated } from './use-evaluation';

type Pressed = { readonly finding: Finding; /** What stood on its button. */ readonly said: string };

/**
 * Takes what a finding says to change. Pressed while a newer draft is still being worked out, the press waits for that answer: what
 * was read on the button is done if it still holds, and if it does not the baker is told. No press is ever lost in silence.
 */
export function useTakeChange({ evaluation, of }: Evaluated, kitchen: Kitchen, pantry: Pantry): (finding: Finding) => void {
  const voice = useVoice();
  const pressed = useRef<Pressed | null>(null);
  const isNewest = () => useDraft.getState().formula === of;
  const saidOn = ({ change }: Finding) =>
    of && change ? describeEdits(change.edits, of, pantry, voice, { most: 4, places: kitchen.places }) : '';
  const take = ({ code, change }: Finding) => useDraft.getState().edit(`finding:${code}:${Date.now()}`, () => change?.edits ?? []);

  useEffect(() => {
    if (!pressed.current || !evaluation || !isNewest()) return;
    const { finding, said } = pressed.current;
    pressed.current = null;
    const still = findingsOf(evaluation).find(
      ({ code, stage, ...one }) => code === finding.code && stage === finding.stage && saidOn({ code, stage, ...one }) === said,
    );
    if (still) take(still);
    else notify(t('workspace.whatToChangeIsAnotherNow'));
  });

  return (finding) => {
    if (!finding.change) return;
    if (isNewest()) take(finding);
    else pressed.current = { finding, said: saidOn(finding) };
  };
}
