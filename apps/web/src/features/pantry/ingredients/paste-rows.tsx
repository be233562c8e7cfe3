import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { linesOf, readList, type Kitchen, type PreparationRow } from '@north-leaf/core';
import type { PantryBook } from '@north-leaf/contracts';
import { Note, Wrong } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { t } from '../../../platform/words';

type Props = { readonly book: PantryBook; readonly kitchen: Kitchen; readonly onRows: (rows: readonly PreparationRow[]) => void };

/** A list as it is written: what is sure is taken, and what asks stays in the text until it says what it is. */
export function PasteRows({ book, kitchen, onRows }: Props) {
  const voice = useVoice();
  const [text, setText] = useState<string | null>(null);
  const read = useMemo(
    () =>
      text === null ? [] : readList(linesOf(text).lines, book.ingredients, { own: kitchen.measures ?? {}, said: kitchen.names ?? {} }),
    [text, book, kitchen],
  );
  const sure = read.filter(({ asks, mass, ingredientId }) => !asks && mass !== null && ingredientId !== null);
  const left = read.filter((line) => !sure.includes(line));
  if (text === null)
    return (
      <Button variant="outlined" sx={{ justifySelf: 'start' }} onClick={() => setText('')}>
        {t('common.pasteAList')}
      </Button>
    );
  const take = () => {
    onRows(
      sure.map(({ ingredientId, mass, written }) => ({
        key: crypto.randomUUID().slice(0, 8),
        ingredientId: ingredientId!,
        amountG: Number(mass!.massG.toFixed(1)),
        entered: written.trim().slice(0, 60),
      })),
    );
    setText(left.length > 0 ? left.map(({ written }) => written).join('\n') : null);
  };
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <TextField
        multiline
        minRows={4}
        maxRows={12}
        label={t('common.ingredientsALineEach')}
        value={text}
        onChange={(event) => setText(event.target.value)}
        slotProps={{ htmlInput: { style: { textAlign: 'left' }, maxLength: 8000 } }}
      />
      {sure.map(({ written, ingredientId, mass }, i) => (
        <Box key={`${i} ${written}`} sx={{ fontSize: typeSize.small }}>
          {book.ingredients[ingredientId!]!.name}: {voice.show(mass!.massG, 'mass')}
        </Box>
      ))}
      {left.map(({ written, why }, i) => (
        <Wrong key={`${i} ${written}`} size="small">
          {t('pantry.lineWritten', { written: written.trim() })} {why || t('pantry.sayWhatItIsAndHowMuch')}
        </Wrong>
      ))}
      <Note>{t('pantry.whatAsksStaysInTheText')}</Note>
      <Box sx={{ display: 'flex', gap: 2 }}>
        <Button variant="outlined" size="small" disabled={sure.length === 0} onClick={take}>
          {t('pantry.addTheseCount', { count: sure.length })}
        </Button>
        <Button size="small" onClick={() => setText(null)}>
          {t('common.leaveIt')}
        </Button>
      </Box>
    </Box>
  );
}
