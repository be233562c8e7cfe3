import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { terms, termWords, type Term } from '@north-leaf/words/terms';
import { useVoice } from '../../platform/preferences';
import { t } from '../../platform/words';
import { typeSize } from '../../ui/theme/theme';
import { useAsking } from './ask-state';

/** What is told of a word, beside the place that was asked. */
export function TermCard({ first, rect, onClose }: { readonly first: Term; readonly rect: DOMRect; readonly onClose: () => void }) {
  const [term, setTerm] = useState(first);
  return (
    <Popover
      open
      onClose={onClose}
      anchorReference="anchorPosition"
      anchorPosition={{ top: rect.bottom + 6, left: rect.left }}
      transformOrigin={{ vertical: 'top', horizontal: 'left' }}
      transitionDuration={0}
      slotProps={{
        paper: {
          'aria-label': t('ask.whatIsName', { name: term.name }),
          role: 'dialog',
          'data-term-card': term.id,
          sx: { maxWidth: 380, p: 4 },
        } as object,
      }}
    >
      <Told term={term} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, pt: 3 }}>
        {seenWith(term).map((one) => (
          <Button key={one.id} size="small" onClick={() => setTerm(one)}>
            {one.name}
          </Button>
        ))}
        <Button size="small" href={`/words#${term.id}`}>
          {t('ask.allWords')}
        </Button>
        <Button size="small" variant="outlined" onClick={onClose} autoFocus sx={{ ml: 'auto' }}>
          {t('common.close')}
        </Button>
      </Box>
    </Popover>
  );
}

const seenWith = ({ see = [] }: Term) => terms.filter(({ id }) => see.includes(id));

/** A word, its sentence, range, source and what moves it. */
export function Told({ term, level = 'h3' }: { readonly term: Term; readonly level?: 'h2' | 'h3' }) {
  const voice = useVoice();
  const family = useAsking((state) => state.family);
  const { name, says, range, from, moves } = termWords(term, voice, family ?? undefined);
  const rows = [
    ['ask.range', range],
    ['ask.whereItComesFrom', from],
    ['ask.whatMovesIt', moves],
  ] as const;
  return (
    <>
      <Typography variant={level} sx={{ pb: 1 }}>
        {name}
      </Typography>
      <Box sx={{ fontSize: typeSize.body }}>{says}</Box>
      <Box component="dl" sx={{ m: 0, pt: 2, display: 'grid', gridTemplateColumns: '136px 1fr', columnGap: 3, rowGap: 1 }}>
        {rows.map(
          ([label, said]) =>
            said !== null && (
              <Box key={label} sx={{ display: 'contents', fontSize: typeSize.small }}>
                <Box component="dt" sx={{ color: 'text.secondary', fontSize: typeSize.small }}>
                  {t(label)}
                </Box>
                <Box component="dd" sx={{ m: 0, fontSize: typeSize.small }}>
                  {said}
                </Box>
              </Box>
            ),
        )}
      </Box>
    </>
  );
}
