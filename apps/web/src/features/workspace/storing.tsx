import { useEffect, useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import { typeSize } from '../../ui/theme/theme';
import { formulaQuery, settleClash, useDraft } from '../formulas/doors';
import { t } from '../../platform/words';

/** "stored 4 s ago", "stored here only": where the draft is kept. */
export function StoringWords() {
  const storing = useDraft((state) => state.storing);
  const storedAt = useDraft((state) => state.storedAt);
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const tick = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(tick);
  }, []);
  const words = () => {
    if (storing === 'clean') return t('workspace.asSaved');
    if (storing === 'storing') return t('common.storing2');
    if (storing === 'hereOnly') return t('workspace.storedHereOnly');
    if (storing === 'clash') return t('workspace.twoDrafts');
    const seconds = Math.max(0, Math.round((now - Date.parse(storedAt ?? '')) / 1000));
    if (!Number.isFinite(seconds) || seconds < 2) return t('workspace.stored');
    return seconds < 60
      ? t('workspace.storedSecondsSAgo', { seconds })
      : seconds < 3600
        ? t('workspace.storedSecondsMinAgo', { seconds: Math.floor(seconds / 60) })
        : t('workspace.storedEarlier');
  };
  return <span data-testid="storing">{words()}</span>;
}

/** The server does not answer, or another device stored a later draft: what is safe, and what to press. */
export function StoringStrip({ formulaId }: { formulaId: string }) {
  const { palette } = useTheme();
  const client = useQueryClient();
  const storing = useDraft((state) => state.storing);
  const changes = useDraft((state) => state.undo.length);
  if (storing !== 'hereOnly' && storing !== 'clash') return null;
  const settle = async (keep: 'mine' | 'theirs') => {
    const detail = await client.fetchQuery({ ...formulaQuery(formulaId), staleTime: 0 });
    await settleClash(keep, detail.draft);
  };
  return (
    <Box
      role="status"
      sx={{
        bgcolor: palette.leaf.watchSoft,
        color: 'text.primary',
        px: 4,
        py: 1.5,
        mb: 1,
        borderRadius: '8px',
        display: 'flex',
        gap: 3,
        alignItems: 'center',
        fontSize: typeSize.small,
      }}
    >
      {storing === 'hereOnly' ? (
        t('workspace.worksFromHere', { count: changes })
      ) : (
        <>
          {t('workspace.anotherDeviceStoredALaterDraftOf')}
          <Button size="small" variant="outlined" onClick={() => void settle('mine')}>
            {t('workspace.keepMine')}
          </Button>
          <Button size="small" variant="outlined" onClick={() => void settle('theirs')}>
            {t('workspace.takeTheirs')}
          </Button>
        </>
      )}
    </Box>
  );
}
