import { Suspense, useMemo, useRef, useState } from 'react';
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
  plainName,
  readList,
  slipsIn,
  type CupFilling,
  type Family,
  type Kitchen,
  type ListedAmount,
  type Pantry,
  type ReadLine,
  type Slip,
  vagueVolumes,
} from '@north-leaf/core';
import { Note, Wrong } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { useKitchenChange } from '../kitchen/doors';
import { LabelReader } from '../blend/doors';
import { OwnIngredientForm } from '../pantry/doors';
import { ListLine, partName, type Correction } from './list-line';
import type { ReadyLine } from './list-line';
import { t } from '../../platform/words';
import { putRight } from './put-right';

const fillings: readonly { readonly value: CupFilling; readonly name: string }[] = [
  { value: 'spooned', name: t('entry.cupsSpoonedLevelled') },
  { value: 'dipped', name: t('entry.cupsDippedSwept') },
  { value: 'sifted', name: t('entry.cupsSifted') },
  { value: 'unknown', name: t('entry.nobodyKnowsHow') },
];

type Reading = {
  readonly kitchen: Kitchen;
  readonly pantry: Pantry;
  /** The family it is for, or how that is told from the list. */
  readonly family: Family | ((amounts: readonly ListedAmount[], title: string | null) => Family);
  /** A wheat formula is read here. */ readonly wheat?: boolean;
};
export type ListReading = ReturnType<typeof useListReading>;
/** A list as it was pasted, line by line: what was understood, what is doubtful, what is ready to be used. */
export function useListReading({ kitchen, pantry, family, wheat = false }: Reading) {
  const [text, setText] = useState('');
  const [filling, setFilling] = useState<CupFilling>('spooned');
  const [corrections, setCorrections] = useState<Readonly<Record<string, Correction>>>({});
  const { measures, names } = kitchen;
  const { name, lines } = useMemo(() => linesOf(text), [text]);
  const read = useMemo(() => {
    const own = measures ?? {};
    return readList(lines, pantry.ingredients, { filling, own, said: names ?? {} }).map((line, i): ReadyLine => {
      const key = `${i} ${line.written}`;
      const mine = corrections[key] ?? (wheat ? wheatOf(line, pantry) : undefined);
      return {
        ...putRight(line, mine, pantry, { filling, own }),
        key,
        leftOut: mine?.leftOut ?? false,
        corrected: corrections[key] !== undefined,
        box: mine?.box ?? null,
      };
    });
  }, [lines, pantry, filling, corrections, measures, names, wheat]);
  const used = useMemo(() => read.filter(({ leftOut }) => !leftOut), [read]);
  const ready = used.filter(
    ({ mass, ingredientId }) =>
      mass !== null && ingredientId !== null && (wheat || pantry.ingredients[ingredientId]!.gluten !== 'contains'),
  );
  const amounts = ready.flatMap(({ ingredientId, mass, written, part, under, box }): ListedAmount[] => {
    const line = { written: written.trim(), ...(part ? { part } : {}), ...(under === undefined ? {} : { under }) };
    if (!box) return [{ ...line, ingredientId: ingredientId!, massG: Number(mass!.massG.toFixed(1)) }];
    return box.rows.map((row, i) => ({
      ...line,
      ingredientId: row.ingredientId,
      massG: row.share * mass!.massG,
      ...(box.uncertainShare ? { sdG: box.uncertainShare[i]! * mass!.massG } : {}),
    }));
  });
  const of = typeof family === 'function' ? family(amounts, name) : family;
  const slips = useMemo(
    () => slipsIn(used, of, pantry.ingredients).filter(({ kind }) => !(wheat && kind === 'gluten')),
    [used, of, pantry, wheat],
  );
  return {
    kitchen,
    pantry,
    wheat,
    text,
    setText,
    filling,
    setFilling,
    correct: (key: string, change: Correction | null) =>
      setCorrections(({ [key]: held, ...rest }) => (change === null ? rest : { ...rest, [key]: { ...held, ...change } })),
    name,
    read,
    slips: slips.map((slip) => ({ ...slip, key: used[slip.line]!.key })),
    asking: used.filter(({ asks }) => asks),
    amounts,
    linesUsed: ready.length,
    totalG: ready.reduce((sum, { mass }) => sum + mass!.massG, 0),
    sdG: Math.hypot(...ready.map(({ mass }) => mass!.sdG)),
    vague: used.find(({ mass }) => mass?.asks !== undefined)?.mass?.asks,
  };
}

/** Larger than any recipe, smaller than what would hold the page up. */
const MOST_BYTES = 200_000;
/** A recipe kept in a file: plain text, or the JSON-LD that recipe pages carry. */
function OpenFile({ onText }: { readonly onText: (text: string) => void }) {
  const input = useRef<HTMLInputElement>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const open = async (file: File | undefined) => {
    if (!file) return;
    const text = file.size > MOST_BYTES ? '' : await file.text();
    const isText = text.trim() !== '' && !text.includes('\u0000') && !text.includes('\ufffd');
    setWrong(isText ? null : t('entry.fileNotRead', { name: file.name }));
    if (isText) onText(text.slice(0, 20_000));
  };
  return (
    <Box>
      <Button size="small" onClick={() => input.current?.click()}>
        {t('entry.openAFile')}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        aria-label={t('entry.openAFile')}
        accept=".txt,.md,.json,.jsonld,text/plain,application/json,application/ld+json"
        onChange={(event) => {
          void open(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      {wrong && <Wrong>{wrong}</Wrong>}
    </Box>
  );
}

/** Left the text, right what is understood of it. */
export function ListReader({ reading, placeholder }: { reading: ListReading; placeholder: string }) {
  const change = useKitchenChange();
  const [making, setMaking] = useState<ReadyLine | null>(null);
  const [box, setBox] = useState<ReadyLine | null>(null);
  const { text, setText, filling, setFilling, correct, name, read, vague } = reading;
  return (
    <>
      <Box sx={{ display: 'grid', gap: 2, alignContent: 'start', pt: 2 }}>
        <TextField
          multiline
          minRows={11}
          maxRows={20}
          label={t('common.ingredientsALineEach')}
          placeholder={placeholder}
          value={text}
          onChange={(event) => setText(event.target.value)}
          slotProps={{ htmlInput: { style: { textAlign: 'left' }, maxLength: 20000 } }}
        />
        <OpenFile onText={setText} />
        <Choice label={t('entry.howCupsWereFilled')} value={filling} options={fillings} onChange={setFilling} width={240} />
        {vague && <AskMeasure key={vague} measure={vague} onSet={(value) => change.mutate({ kind: 'measure', name: vague, value })} />}
        <Note>{t('entry.englishItalianPortugueseSpanishFrenchGermanH')}</Note>
      </Box>
      <Box sx={{ minWidth: 0 }}>
        {name && <Box sx={{ fontWeight: 680, pb: 1 }}>{name}</Box>}
        {read.length === 0 ? (
          <Box sx={{ py: 8, textAlign: 'center', color: 'text.secondary' }}>{t('entry.whatIsUnderstoodStandsHereLineBy')}</Box>
        ) : (
          <Understood reading={reading} onMake={setMaking} onBox={setBox} />
        )}
        {change.error && <Alert severity="error">{change.error.message}</Alert>}
      </Box>
      {box && (
        <Suspense>
          <LabelReader pantry={reading.pantry} onRead={(said) => correct(box.key, { box: said })} onClose={() => setBox(null)} />
        </Suspense>
      )}
      {making && (
        <Suspense>
          <OwnIngredientForm
            name={making.name}
            onStored={(ingredientId) => correct(making.key, { ingredientId })}
            onClose={() => setMaking(null)}
          />
        </Suspense>
      )}
    </>
  );
}

/** What is understood, line by line. */
function Understood({
  reading,
  onMake,
  onBox,
}: {
  readonly reading: ListReading;
  readonly onMake: (line: ReadyLine) => void;
  readonly onBox: (line: ReadyLine) => void;
}) {
  const voice = useVoice();
  const change = useKitchenChange();
  const { asking, correct, kitchen, linesUsed, pantry, read, sdG, slips, totalG, wheat } = reading;
  const left = read.filter(({ leftOut }) => leftOut).length;
  return (
    <>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>{t('entry.asWritten')}</TableCell>
            <TableCell>{t('entry.understoodAs')}</TableCell>
            <TableCell align="right">g</TableCell>
            <TableCell sx={{ whiteSpace: 'nowrap' }}>{t('entry.takenForGranted')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {read.map((line, i) => (
            <ListLine
              key={line.key}
              line={line}
              heading={line.under !== undefined && line.under !== read[i - 1]?.under ? `${line.under}: ${partName(line.part)}` : undefined}
              slips={slips.filter((slip) => slip.key === line.key).map(({ key: _key, ...slip }): Slip => slip)}
              asks={asking.includes(line)}
              pantry={pantry}
              saidBefore={kitchen.names !== undefined && Object.hasOwn(kitchen.names, plainName(line.name))}
              onCorrect={(correction) => correct(line.key, correction)}
              onRemember={(ingredientId) => change.mutate({ kind: 'name', name: plainName(line.name), ingredientId })}
              onForget={() => change.mutate({ kind: 'forgetName', name: plainName(line.name) })}
              onMake={() => onMake(line)}
              onBox={wheat ? undefined : () => onBox(line)}
            />
          ))}
          <TableRow>
            <TableCell colSpan={2} sx={{ fontWeight: 650 }}>
              {t('entry.togetherLinesusedOfReadLines', { linesUsed, read: read.length })}
              {left > 0 && t('entry.leftLeftOut', { left })}
            </TableCell>
            <TableCell align="right" sx={{ fontWeight: 650 }}>
              {voice.bare(totalG, 'bulk')}
            </TableCell>
            <TableCell sx={{ fontSize: typeSize.small }}>{sdG > 0.5 && `± ${voice.show(sdG, 'bulk')}`}</TableCell>
          </TableRow>
        </TableBody>
      </Table>
      {change.error && <Alert severity="error">{change.error.message}</Alert>}
    </>
  );
}

/** In a wheat formula a bare flour is wheat; nobody need be asked. */
const wheatOf = (line: ReadLine, pantry: Pantry): Correction | undefined => {
  const ingredientId = line.asks ? line.candidates.find((id) => pantry.ingredients[id]?.gluten === 'contains') : undefined;
  return ingredientId === undefined ? undefined : { ingredientId };
};

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
      sx={{ display: 'flex', gap: 2, alignItems: 'center', fontSize: typeSize.small }}
    >
      <span>{t('entry.aMeasureHereIs', { measure })}</span>
      <TextField
        size="small"
        value={text}
        error={text.trim() !== '' && !fine}
        onChange={(event) => setText(event.target.value)}
        slotProps={{
          htmlInput: {
            'aria-label': t('entry.aMeasureHere', { measure }),
            inputMode: 'decimal',
            autoComplete: 'off',
            style: { width: 46, textAlign: 'right' },
          },
        }}
      />
      <span>{vagueVolumes.has(measure) ? 'ml' : 'g'}</span>
      <Button size="small" type="submit" variant="outlined" disabled={!fine}>
        {t('entry.remember')}
      </Button>
    </Box>
  );
}
