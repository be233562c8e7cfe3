import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { isExcluded } from '@north-leaf/core';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { readMass } from '../../../ui/form/typed-mass';
import { SearchField } from '../../../ui/form/search-field';
import { ingredientOptions } from '../../pantry/doors';
import { bench } from '../bench/bench-style';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';

/** Something that the formula does not have goes in: it counts for stock and record, and is seen in Trials. */
export function AddSomething({ run }: { run: RunInHand }) {
  const [open, setOpen] = useState(false);
  const [id, setId] = useState<string | null>(null);
  const [text, setText] = useState('');
  const find = useMemo(() => ingredientOptions(run.pantry.ingredients, (one) => !isExcluded(one)), [run.pantry.ingredients]);
  const voice = useVoice();
  const { g: grams, problem } = readMass(text, voice, {
    above0: true,
    of: { ingredient: run.pantry.ingredients[id ?? ''], measures: run.kitchen.measures },
  });
  const close = () => {
    setOpen(false);
    setId(null);
    setText('');
  };
  if (!open)
    return (
      <Button variant="text" sx={{ ...bench.button, fontSize: typeSize.list, color: 'text.secondary' }} onClick={() => setOpen(true)}>
        {t('runs.addSomething')}
      </Button>
    );
  return (
    <Box
      role="group"
      aria-label={t('runs.addSomething')}
      sx={{ flexBasis: '100%', display: 'flex', gap: 3, alignItems: 'flex-start', flexWrap: 'wrap' }}
    >
      {id === null ? (
        <Box sx={{ minWidth: 320 }}>
          <SearchField label={t('common.whatGoesIn')} placeholder={t('runs.sugarCocoa')} find={find} onChoose={setId} />
        </Box>
      ) : (
        <Box sx={{ ...bench.text, alignSelf: 'center', fontWeight: 650 }}>{run.pantry.ingredients[id]?.name}</Box>
      )}
      {id !== null && (
        <>
          <TextField
            autoFocus
            label={voice.units.mass === 'g' ? t('common.grams') : t('runs.ounces')}
            value={text}
            error={problem !== null}
            helperText={problem ?? ' '}
            onChange={({ target }) => setText(target.value)}
            slotProps={{
              htmlInput: { inputMode: 'decimal', autoComplete: 'off', style: { fontSize: typeSize.field, height: 44, width: 130 } },
            }}
          />
          <Button
            variant="contained"
            sx={bench.button}
            disabled={grams === undefined}
            onClick={() => void run.say({ what: { kind: 'added', ingredientId: id, amountG: grams! } }).then(close)}
          >
            {t('runs.itIsIn')}
          </Button>
        </>
      )}
      <Button variant="text" sx={{ ...bench.button, fontSize: typeSize.list }} onClick={close}>
        {t('runs.no')}
      </Button>
    </Box>
  );
}
