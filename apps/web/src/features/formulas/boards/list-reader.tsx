import { useMemo, useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import {
  linesOf,
  massOfAmount,
  readList,
  slipsIn,
  type CupFilling,
  type Family,
  type Kitchen,
  type ListedAmount,
  type Pantry,
  type ReadLine,
  type Slip,
} from '@north-leaf/core';
import { Choice } from '../../../ui/choice';
import { SearchField } from '../../../ui/search-field';
import { useKitchenChange } from '../../kitchen/api';
import { ingredientOptions } from '../../pantry/api';

const fillings: readonly { readonly value: CupFilling; readonly name: string }[] = [
  { value: 'spooned', name: 'cups spooned, levelled' },
  { value: 'dipped', name: 'cups dipped, swept' },
  { value: 'sifted', name: 'cups sifted' },
  { value: 'unknown', name: 'nobody knows how' },
];
const slipWords: Record<Slip['kind'], (line: ReadLine, likely: string) => string> = {
  noAmount: () => 'no amount: it is left out until there is one',
  unknown: () => 'nobody knows this name: choose what it is',
  doubled: () => 'stands twice: both are counted',
  saltForSugar: () => 'that much salt? Sugar, perhaps',
  spoonForSpoon: (_line, likely) => `that much leavener? A teaspoon would be ${likely || 'a third'}`,
  tooMuchGum: (_line, likely) => `that much gum? More likely about ${likely || 'a tenth'}`,
  noWeight: () => 'nobody knows what that weighs: weigh it',
  gluten: () => 'contains gluten: never for a bake here',
};

type Reading = {
  readonly kitchen: Kitchen;
  readonly pantry: Pantry;
  readonly family: Family;
  /** A wheat formula is read here. */ readonly wheat?: boolean;
};
export type ListReading = ReturnType<typeof useListReading>;

/** A list as it was pasted, line by line: what was understood, what is doubtful, what is ready to be used. */
export function useListReading({ kitchen, pantry, family, wheat = false }: Reading) {
  const [text, setText] = useState('');
  const [filling, setFilling] = useState<CupFilling>('spooned');
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({});
  const { measures } = kitchen;
  const { name, lines } = useMemo(() => linesOf(text), [text]);
  const read = useMemo(() => {
    const own = measures ?? {};
    return readList(lines, pantry.ingredients, { filling, own }).map((line) =>
      withChoice(line, chosen[line.written] ?? (wheat ? wheatOf(line, pantry) : undefined), pantry, filling, own),
    );
  }, [lines, pantry, filling, chosen, measures, wheat]);
  const slips = useMemo(
    () => slipsIn(read, family, pantry.ingredients).filter(({ kind }) => !(wheat && kind === 'gluten')),
    [read, family, pantry, wheat],
  );
  const asking = read.filter((line) => line.asks && chosen[line.written] === undefined);
  const ready = read.filter(
    ({ mass, ingredientId }) =>
      mass !== null && ingredientId !== null && (wheat || pantry.ingredients[ingredientId]!.gluten !== 'contains'),
  );
  const amounts = ready.map(({ ingredientId, mass, written }): ListedAmount => ({
    ingredientId: ingredientId!,
    massG: Number(mass!.massG.toFixed(1)),
    written: written.trim(),
  }));
  return {
    pantry,
    text,
    setText,
    filling,
    setFilling,
    choose: (line: ReadLine, id: string) => setChosen({ ...chosen, [line.written]: id }),
    name,
    read,
    slips,
    asking,
    amounts,
    totalG: ready.reduce((sum, { mass }) => sum + mass!.massG, 0),
    sdG: Math.hypot(...ready.map(({ mass }) => mass!.sdG)),
    vague: read.find(({ mass }) => mass?.asks !== undefined)?.mass?.asks,
  };
}

/** Left the text, right what is understood of it. */
export function ListReader({ reading, placeholder }: { reading: ListReading; placeholder: string }) {
  const change = useKitchenChange();
  const { pantry, text, setText, filling, setFilling, choose, name, read, slips, asking, amounts, totalG, sdG, vague } = reading;
  return (
    <>
      <Box sx={{ display: 'grid', gap: 2, alignContent: 'start', pt: 2 }}>
        <TextField
          multiline
          minRows={11}
          maxRows={20}
          label="Ingredients, a line each"
          placeholder={placeholder}
          value={text}
          onChange={(event) => setText(event.target.value)}
          slotProps={{ htmlInput: { style: { textAlign: 'left' }, maxLength: 20000 } }}
        />
        <Choice label="How cups were filled" value={filling} options={fillings} onChange={setFilling} width={240} />
        {vague && <AskMeasure key={vague} measure={vague} onSet={(value) => change.mutate({ kind: 'measure', name: vague, value })} />}
        <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>
          English, Italian, Portuguese, some French and German; a recipe page’s JSON-LD too. A cup is the US cup, a xícara 240 ml, a tazza
          250 ml.
        </Box>
      </Box>
      <Box sx={{ minWidth: 0 }}>
        {name && <Box sx={{ fontWeight: 680, pb: 1 }}>{name}</Box>}
        {read.length === 0 ? (
          <Box sx={{ py: 8, textAlign: 'center', color: 'text.secondary' }}>
            What is understood stands here, line by line, as you paste.
          </Box>
        ) : (
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>As written</TableCell>
                <TableCell>Understood as</TableCell>
                <TableCell align="right">g</TableCell>
                <TableCell>Taken for granted</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {read.map((line, i) => (
                <Line
                  key={`${i} ${line.written}`}
                  line={line}
                  slips={slips.filter((slip) => slip.line === i)}
                  asks={asking.includes(line)}
                  pantry={pantry}
                  onChoose={(id) => choose(line, id)}
                />
              ))}
              <TableRow>
                <TableCell colSpan={2} sx={{ fontWeight: 650 }}>
                  Together, {amounts.length} of {read.length} lines
                </TableCell>
                <TableCell align="right" sx={{ fontWeight: 650 }}>
                  {totalG.toFixed(0)}
                </TableCell>
                <TableCell sx={{ fontSize: 13 }}>{sdG > 0.5 && `± ${sdG.toFixed(0)} g`}</TableCell>
              </TableRow>
            </TableBody>
          </Table>
        )}
        {change.error && <Alert severity="error">{change.error.message}</Alert>}
      </Box>
    </>
  );
}

/** In a wheat formula a bare flour is wheat; nobody need be asked. */
const wheatOf = (line: ReadLine, pantry: Pantry): string | undefined =>
  line.asks ? line.candidates.find((id) => pantry.ingredients[id]?.gluten === 'contains') : undefined;

/** A line with the ingredient that the baker said it is. */
function withChoice(
  line: ReadLine,
  id: string | undefined,
  pantry: Pantry,
  filling: CupFilling,
  own: Readonly<Record<string, number>>,
): ReadLine {
  const ingredient = id === undefined ? undefined : pantry.ingredients[id];
  if (!ingredient) return line;
  return {
    ...line,
    ingredientId: ingredient.id,
    asks: false,
    mass: line.amount ? massOfAmount(line.amount, ingredient, { filling, own }) : null,
  };
}

type LineProps = {
  readonly line: ReadLine;
  readonly slips: readonly Slip[];
  readonly asks: boolean;
  readonly pantry: Pantry;
  readonly onChoose: (id: string) => void;
};
function Line({ line, slips, asks, pantry, onChoose }: LineProps) {
  const { written, ingredientId, mass, candidates, why } = line;
  const nameOf = (id: string) => pantry.ingredients[id]?.name ?? id;
  return (
    <TableRow>
      <TableCell component="th" scope="row" sx={{ fontSize: 13.5 }}>
        {written.trim()}
      </TableCell>
      <TableCell>
        {asks ? (
          <Box sx={{ display: 'grid', gap: 1, py: 1 }}>
            <Box sx={{ color: 'warning.main', fontSize: 13 }}>Which one? {why}</Box>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              {candidates.slice(0, 4).map((id) => (
                <Button key={id} size="small" variant="outlined" onClick={() => onChoose(id)}>
                  {nameOf(id)}
                </Button>
              ))}
            </Box>
          </Box>
        ) : ingredientId ? (
          nameOf(ingredientId)
        ) : (
          <SearchField
            label={`What is ${written.trim()}`}
            placeholder="Choose what it is"
            find={ingredientOptions(pantry.ingredients, (one) => one.kind !== 'excluded')}
            onChoose={onChoose}
          />
        )}
        {slips
          .filter(({ kind }) => !(kind === 'unknown' && asks))
          .map(({ kind, likelyG }) => (
            <Box key={kind} role="alert" sx={{ color: kind === 'gluten' ? 'error.main' : 'warning.main', fontSize: 12.5 }}>
              {slipWords[kind](line, likelyG === undefined ? '' : `${likelyG.toFixed(1)} g`)}
            </Box>
          ))}
      </TableCell>
      <TableCell align="right" sx={{ whiteSpace: 'nowrap', fontWeight: 650 }}>
        {mass ? mass.massG.toFixed(1) : '–'}
        {mass && mass.sdG > 0.05 * mass.massG && (
          <Box sx={{ fontSize: 12.5, color: 'text.secondary', fontWeight: 400 }}>± {mass.sdG.toFixed(mass.sdG < 2 ? 1 : 0)}</Box>
        )}
      </TableCell>
      <TableCell sx={{ fontSize: 13, color: 'text.secondary' }}>{mass?.assumption}</TableCell>
    </TableRow>
  );
}

const inMl = new Set(['glass', 'drizzle', 'drop', 'splash']);

/** A vague measure is asked about once, and kept for the kitchen. */
function AskMeasure({ measure, onSet }: { measure: string; onSet: (value: number) => void }) {
  const [text, setText] = useState('');
  const value = Number(text.trim().replace(',', '.'));
  const fine = text.trim() !== '' && value > 0 && value <= 2000;
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => (event.preventDefault(), fine && onSet(value))}
      sx={{ display: 'flex', gap: 2, alignItems: 'center', fontSize: 13.5 }}
    >
      <span>A {measure} here is</span>
      <TextField
        size="small"
        value={text}
        error={text.trim() !== '' && !fine}
        onChange={(event) => setText(event.target.value)}
        slotProps={{
          htmlInput: {
            'aria-label': `A ${measure} here`,
            inputMode: 'decimal',
            autoComplete: 'off',
            style: { width: 46, textAlign: 'right' },
          },
        }}
      />
      <span>{inMl.has(measure) ? 'ml' : 'g'}</span>
      <Button size="small" type="submit" variant="outlined" disabled={!fine}>
        Remember
      </Button>
    </Box>
  );
}
