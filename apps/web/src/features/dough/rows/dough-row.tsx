import { memo, useState } from 'react';
import ExpandMoreIcon from '@mui/icons-material/ExpandMore';
import SwapHorizIcon from '@mui/icons-material/SwapHoriz';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import {
  editsBetween,
  families,
  fatStates,
  InputError,
  roundTo,
  storedC,
  swapChoices,
  swapRow,
  withoutRowAt,
  type FatState,
  type Row,
  type RowSwap,
  isSoaked,
  keysOf,
  type HeldTotals,
  showQuantity,
  unitOf,
} from '@north-leaf/core';
import { Note } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { usePreferences } from '../../../platform/preferences';
import { Choice } from '../../../ui/form/choice';
import { QuantityField } from '../../../ui/form/quantity-field';
import { setValue, useDraft, newKey } from '../../formulas/doors';
import { useFormula, useProblem, useSurroundings } from '../../board/doors';
import { allergenWord } from '../../../ui/words/words';
import { readRowMass } from '../../../ui/form/typed-mass';
import { weighed } from './typed-amount';
import { goesOnWords, useWords, WhereItGoes } from './where-it-goes';
import { t } from '../../../platform/words';
import { useCups } from '../../../ui/words/cups';

/** One row of the dough: its percent and grams, and below it, opened, everything that may be done to it. */
export const DoughRow = memo(function DoughRow({ index, open, onOpen }: { index: number; open: boolean; onOpen: () => void }) {
  const row = useDraft((state) => state.formula.rows[index]);
  const blendG = useDraft((state) => state.formula.blendG);
  const { kitchen, pantry } = useSurroundings();
  const units = usePreferences((state) => state.units);
  const cups = useCups();
  const typed = useDraft((state) => state.typed[`/rows/${index}/amountG`]);
  const problem = useProblem(`/rows/${index}/amountG`);
  const saved = useDraft((state) => state.saved.rows.find(({ key }) => key === row?.key));
  const savedB = useDraft((state) => state.saved.blendG);
  const when = useDraft(({ formula }) => {
    const goesOn = formula.rows[index]?.goesOn;
    return goesOn ? goesOnWords(goesOn, formula) : '';
  });
  const { edit, type } = useDraft.getState();
  if (!row) return null;
  const name = pantry.ingredients[row.ingredientId]?.name ?? row.ingredientId;
  const path = `/rows/${index}/amountG`;
  // What all of a component is for stands once, at its head.
  const inside = row.component !== undefined;
  const inCups = cups(row.amountG, pantry.ingredients[row.ingredientId]);
  const said = [...(inside ? [] : [useWords[row.use], when]), row.entered && `“${row.entered}”`, inCups].filter(Boolean).join(' · ');
  return (
    <>
      <TableRow>
        <TableCell component="th" scope="row" sx={{ lineHeight: '16px', ...(inside ? { pl: '20px' } : {}) }}>
          {name}
          {said && <Note>{said}</Note>}
        </TableCell>
        <TableCell align="right">
          <QuantityField
            label={t('dough.namePercent', { name })}
            kind="percent"
            value={(row.amountG / blendG) * 100}
            was={saved && (saved.amountG / savedB) * 100}
            width={58}
            hideUnit
            onChange={(percent, visit) =>
              edit(`${path}%:${visit}`, (from) => setValue(path, roundTo((percent * from.blendG) / 100, 0.01))(from))
            }
          />
        </TableCell>
        <TableCell align="right">
          <QuantityField
            label={t('common.nameGrams', { name })}
            kind="mass"
            value={row.amountG}
            was={saved?.amountG}
            typed={typed}
            problem={problem}
            onTyped={(text) => type(path, text)}
            read={(text) => readRowMass(text, unitOf('mass', units), pantry.ingredients[row.ingredientId], kitchen.measures)}
            onChange={(amountG, visit, text) => edit(`${path}:${visit}`, (from) => weighed(from, index, amountG, text))}
            grain={1}
            width={66}
            hideUnit
          />
        </TableCell>
        <TableCell sx={{ width: 30 }}>
          <IconButton size="small" aria-label={t('dough.moreAboutName', { name })} aria-expanded={open} onClick={onOpen}>
            <ExpandMoreIcon fontSize="inherit" sx={{ transform: open ? 'rotate(180deg)' : 'none' }} />
          </IconButton>
        </TableCell>
      </TableRow>
      {open && <RowDetails index={index} row={row} name={name} />}
    </>
  );
});

const fatWords: Record<FatState, string> = {
  pieces: t('dough.cutInInPieces'),
  rubbed: t('dough.rubbedIn'),
  creamed: t('dough.creamed'),
  melted: t('dough.meltedOrPoured'),
};
/** Schools are choices, each with its reason. */
const fatReasons: Record<FatState, string> = {
  pieces: t('dough.coldPiecesLeaveGapsWhenTheyMelt'),
  rubbed: t('dough.partCoatsTheFlourPartStaysShort'),
  creamed: t('dough.softFatTakesAirAndCoatsThe'),
  melted: t('dough.coatsAllTheFlourShortestNoFlake2'),
};

/** What may be done to one row: how and how warm it goes in, what it is for, a swap, taking it out. */
function RowDetails({ index, row, name }: { index: number; row: Row; name: string }) {
  const { kitchen, pantry } = useSurroundings();
  const { edit } = useDraft.getState();
  const ingredient = pantry.ingredients[row.ingredientId];
  if (!ingredient) return null;
  const swells = isSoaked(ingredient);

  return (
    <TableRow>
      <TableCell colSpan={4} sx={{ boxShadow: 'inset 3px 0 0', color: 'primary.main', py: '10px !important' }}>
        <Box sx={{ display: 'grid', gap: 2, color: 'text.primary' }}>
          {ingredient.note && <Note>{ingredient.note}.</Note>}
          {row.fat && (
            <>
              <Box sx={line}>
                <span>{t('dough.goesIn')}</span>
                <Choice
                  label={t('dough.howNameGoesIn', { name })}
                  value={row.fat.state}
                  options={fatStates.map((value) => ({ value, name: fatWords[value] }))}
                  onChange={(state) =>
                    edit(
                      `fat:${Date.now()}`,
                      setValue(`/rows/${index}/fat`, state === 'pieces' ? { state, pieceMm: row.fat?.pieceMm ?? 6 } : { state }),
                    )
                  }
                  width={190}
                />
              </Box>
              <Note>{fatReasons[row.fat.state]}</Note>
              {row.fat.state === 'pieces' && (
                <Box sx={line}>
                  <span>{t('dough.piecesOf')}</span>
                  <RowField
                    member="fat/pieceMm"
                    label={t('common.pieces')}
                    kind="length"
                    value={row.fat.pieceMm ?? 6}
                    index={index}
                    name={name}
                  />
                </Box>
              )}
            </>
          )}
          {row.use === 'dough' && (
            <Box sx={line}>
              <span>{t('dough.asWarmAs')}</span>
              <RowField
                member="atC"
                label={t('dough.temperature')}
                kind="temperature"
                value={row.atC ?? storedC(ingredient, kitchen)}
                index={index}
                name={name}
              />
            </Box>
          )}
          {swells && (
            <Box sx={line}>
              <span>{t('dough.soakedFirst')}</span>
              <RowField member="soakMin" label={t('dough.soaked')} kind="minutes" value={row.soakMin ?? 0} index={index} name={name} />
            </Box>
          )}
          <WhereItGoes index={index} row={row} name={name} />
          <Swap index={index} name={name} />
          <Button
            size="small"
            variant="outlined"
            sx={{ justifySelf: 'start' }}
            aria-label={t('common.takeOutName', { name })}
            onClick={() => edit(`out:${Date.now()}`, (from) => editsBetween(from, withoutRowAt(from, index)))}
          >
            {t('common.takeOut')}
          </Button>
        </Box>
      </TableCell>
    </TableRow>
  );
}

/** A number of the row. */
function RowField({
  member,
  label,
  kind,
  value,
  index,
  name,
}: {
  readonly member: 'atC' | 'soakMin' | 'fat/pieceMm';
  readonly label: string;
  readonly kind: 'temperature' | 'minutes' | 'length';
  readonly value: number;
  readonly index: number;
  readonly name: string;
}) {
  const typed = useDraft((state) => state.typed);
  const { type, edit } = useDraft.getState();

  const path = `/rows/${index}/${member}`;
  return (
    <QuantityField
      label={`${name} ${label}`}
      kind={kind}
      value={value}
      typed={typed[path]}
      onTyped={(text) => type(path, text)}
      onChange={(next, visit) => edit(`${path}:${visit}`, setValue(path, next))}
      width={58}
    />
  );
}

const line = { display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 2, fontSize: typeSize.small } as const;

/** One ingredient for another, totals held: everything that moves is shown before it is accepted. */
function Swap({ index, name }: { index: number; name: string }) {
  const formula = useFormula();
  const { kitchen, pantry } = useSurroundings();
  const { edit } = useDraft.getState();
  const [toId, setToId] = useState<string | null>(null);
  const row = formula.rows[index]!;
  const choices = swapChoices(row.ingredientId, pantry);
  if (choices.length === 0) return null;
  let swap: RowSwap | null = null;
  let refused: string | null = null;
  if (toId !== null) {
    try {
      swap = swapRow({ formula, family: families[formula.family]!, kitchen, pantry }, index, toId, newKey);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      refused = error.message;
    }
  }
  return (
    <>
      <Box sx={line}>
        <Box component="span" sx={{ display: 'inline-flex', gap: 1, alignItems: 'center' }}>
          <SwapHorizIcon fontSize="small" /> {t('common.swapFor')}
        </Box>
        <Choice
          label={t('common.swapNameFor', { name })}
          value={toId ?? ''}
          options={choices.map((value) => ({ value, name: pantry.ingredients[value]!.name }))}
          onChange={setToId}
          width={210}
          placeholder={t('dough.chooseTotalsAreHeld')}
        />
      </Box>
      {refused && (
        <Alert severity="error" onClose={() => setToId(null)}>
          {refused}
        </Alert>
      )}
      {swap && toId !== null && (
        <SwapAnswer
          swap={swap}
          title={`${name} → ${pantry.ingredients[toId]!.name}`}
          onSwap={() => {
            const { edits } = swap;
            setToId(null);
            edit(`swap:${Date.now()}`, () => edits);
          }}
          onLeave={() => setToId(null)}
        />
      )}
    </>
  );
}

const heldWords: Readonly<Record<keyof HeldTotals, string>> = {
  fat: t('common.fat2'),
  water: t('common.water'),
  sugars: t('common.sugar'),
  sodium: t('dough.salt2'),
};

function SwapAnswer({ swap, title, onSwap, onLeave }: { swap: RowSwap; title: string; onSwap: () => void; onLeave: () => void }) {
  const units = usePreferences((state) => state.units);
  const grams = (g: number) => showQuantity(g, 'mass', units);
  const saltOf = (name: keyof HeldTotals, g: number) => (name === 'sodium' ? g * 2.54 : g);
  return (
    <Box role="status" sx={{ bgcolor: 'leaf.well', borderRadius: '8px', p: 2, fontSize: typeSize.small, display: 'grid', gap: 1 }}>
      <b>{title}</b>
      <span>
        {grams(swap.fromG)} → {grams(swap.toG)}
        {swap.alsoMoves.map(({ name, byG }) => `; ${name.toLowerCase()} ${byG > 0 ? '+' : '−'}${grams(Math.abs(byG))}`).join('')}
      </span>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr 1fr', columnGap: 3, fontVariantNumeric: 'tabular-nums' }}>
        {keysOf(heldWords).flatMap((name) => [
          <span key={name}>{heldWords[name]}</span>,
          <Box key={`${name}0`} sx={{ textAlign: 'right' }}>
            {grams(saltOf(name, swap.before[name]))}
          </Box>,
          <Box key={`${name}1`} sx={{ textAlign: 'right', color: swap.held.includes(name) ? undefined : 'warning.main' }}>
            {grams(saltOf(name, swap.after[name]))}
          </Box>,
        ])}
      </Box>
      {swap.notes.map((note) => (
        <Box key={note} sx={{ color: 'text.secondary' }}>
          {note}
        </Box>
      ))}
      {swap.allergensNew.length > 0 && (
        <Box sx={{ color: 'warning.main', fontWeight: 650 }}>
          {t('common.newValue', {
            value: [
              ...new Set(swap.allergensNew.map(({ code, possible }) => `${possible ? t('common.maybe') : ''}${allergenWord(code)}`)),
            ].join(', '),
          })}
        </Box>
      )}
      {swap.allergensGone.length > 0 && (
        <span>{t('common.goneValue', { value: [...new Set(swap.allergensGone.map(({ code }) => allergenWord(code)))].join(', ') })}</span>
      )}
      {swap.breaks.length > 0 && (
        <Box sx={{ color: 'error.main', fontWeight: 650 }}>{t('common.doesNotSuitBreaks', { breaks: swap.breaks.join(', ') })}</Box>
      )}
      <Box sx={{ display: 'flex', gap: 2, pt: 1 }}>
        <Button size="small" variant="contained" onClick={onSwap}>
          {t('common.swap')}
        </Button>
        <Button size="small" variant="outlined" onClick={onLeave}>
          {t('common.leaveIt')}
        </Button>
      </Box>
    </Box>
  );
}
