import { useEffect, useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import { typeSize } from '../../ui/theme/theme';
import { formulaQuery, settleClash, useDraft } from '../formulas/doors';

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
    if (storing === 'clean') return 'as saved';
    if (storing === 'storing') return 'storing';
    if (storing === 'hereOnly') return 'stored here only';
    if (storing === 'clash') return 'two drafts';
    const seconds = Math.max(0, Math.round((now - Date.parse(storedAt ?? '')) / 1000));
    if (!Number.isFinite(seconds) || seconds < 2) return 'stored';
    return seconds < 60 ? `stored ${seconds} s ago` : seconds < 3600 ? `stored ${Math.floor(seconds / 60)} min ago` : 'stored earlier';
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
        `Working from this device: the server does not answer. ${changes} change${changes === 1 ? ' waits' : 's wait'} here and will be stored when it is back.`
      ) : (
        <>
          Another device stored a later draft of this formula. Both are kept until you choose.
          <Button size="small" variant="outlined" onClick={() => void settle('mine')}>
            Keep mine
          </Button>
          <Button size="small" variant="outlined" onClick={() => void settle('theirs')}>
            Take theirs
          </Button>
        </>
      )}
    </Box>
  );
}
