import { useEffect, useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useLocation } from 'react-router';
import { terms, type Term } from '@north-leaf/words/terms';
import { Note } from '../../ui/frame/note';
import { Page } from '../../ui/frame/page';
import { t } from '../../platform/words';
import { Told } from './term-card';

const byName = [...terms].sort((a, b) => a.name.localeCompare(b.name));

/** All words of ours with what they mean; one that is gone to stands first in view. */
export function WordsPage() {
  const { hash } = useLocation();
  const [typed, setTyped] = useState('');
  const shown = useMemo(() => byName.filter((term) => holds(term, typed)), [typed]);
  useEffect(() => {
    // In braces: what newer browsers answer is a promise, and no clean-up.
    document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'center' });
  }, [hash]);
  return (
    <Page title={t('app.words')} beside={t('ask.howToAsk')}>
      <TextField
        size="small"
        label={t('ask.findAWord')}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        sx={{ width: 320, maxWidth: '100%' }}
      />
      {shown.length === 0 && <Note>{t('ask.noSuchWord', { typed })}</Note>}
      <Box sx={{ pt: 4, columns: '360px 3', columnGap: 8 }}>
        {shown.map((term) => (
          <Box
            component="section"
            key={term.id}
            id={term.id}
            aria-label={term.name}
            sx={{
              breakInside: 'avoid',
              pb: 4,
              ...(hash === `#${term.id}` && { outline: '2px solid', outlineColor: 'primary.main', p: 2 }),
            }}
          >
            <Told term={term} level="h2" />
          </Box>
        ))}
      </Box>
    </Page>
  );
}

const holds = ({ name, says, also = [] }: Term, typed: string) =>
  [name, says, ...also].some((text) => text.toLowerCase().includes(typed.trim().toLowerCase()));
