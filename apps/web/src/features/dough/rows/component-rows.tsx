import { useState } from 'react';
import ExpandMoreIcon from '@mui/icons-material/ExpandMore';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import {
  componentOfPiece,
  editsBetween,
  isExcluded,
  isOfDough,
  keepingOf,
  preparationOf,
  replyTo,
  withoutComponent,
  withRowIn,
  type Component,
  type Formula,
  type Row,
} from '@north-leaf/core';
import { Note, Wrong } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { QuantityField } from '../../../ui/form/quantity-field';
import { SearchField } from '../../../ui/form/search-field';
import { useVoice } from '../../../platform/preferences';
import { newKey, setValue, useDraft } from '../../formulas/doors';
import { useAnswer, useFormula, useProblem, useSurroundings } from '../../board/doors';
import { ingredientOptions, MakingFields, useDoInPantry, type MakingEntry } from '../../pantry/doors';
import { goesOnWords, useWords, WhereComponentGoes } from './where-it-goes';
import { DoughRow } from './dough-row';
import { t } from '../../../platform/words';

type Opening = { readonly open: string | null; readonly onOpen: (key: string) => void };

/** A component at the head of its rows: what it is for, what comes of it, and opened how it is made. */
export function ComponentRows({ index, open, onOpen }: Opening & { readonly index: number }) {
  const voice = useVoice();
  const formula = useFormula();
  const component = formula.components?.[index];
  const made = useMade(component?.key);
  const rows = formula.rows.flatMap((row, i) => (row.component === component?.key ? [{ row, i }] : []));
  const problem = useProblem(`/components/${index}`);
  const first = rows[0]?.row;
  if (!component || !first) return null;
  const { key, name, acts } = component;
  const said = [
    useWords[first.use],
    first.goesOn && goesOnWords(first.goesOn, formula),
    acts.length > 0 && t('dough.actsCount', { count: acts.length }),
    made && made.pieces > 0 && t('dough.aPieceGets', { g: voice.show(made.madeG / made.pieces, 'mass') }),
  ];
  return (
    <>
      <TableRow sx={{ '& > *': { borderTop: '2px solid', borderTopColor: 'divider' } }}>
        <TableCell component="th" scope="rowgroup" colSpan={2} sx={{ lineHeight: '16px', fontWeight: 650 }}>
          {name}
          <Note>{said.filter(Boolean).join(' · ')}</Note>
          {problem && <Wrong size="small">{problem}</Wrong>}
        </TableCell>
        <TableCell align="right" sx={{ fontWeight: 650, whiteSpace: 'nowrap' }}>
          {made && voice.show(made.madeG, 'mass')}
        </TableCell>
        <TableCell sx={{ width: 30 }}>
          <IconButton size="small" aria-label={t('dough.moreAboutName', { name })} aria-expanded={open === key} onClick={() => onOpen(key)}>
            <ExpandMoreIcon fontSize="inherit" sx={{ transform: open === key ? 'rotate(180deg)' : 'none' }} />
          </IconButton>
        </TableCell>
      </TableRow>
      {rows.map(({ row, i }) => (
        <DoughRow key={row.key} index={i} open={open === row.key} onOpen={() => onOpen(row.key)} />
      ))}
      {open === key && <ComponentDetails index={index} component={component} row={first} />}
    </>
  );
}

/** What comes of a component, and how many pieces share it; null while it cannot be worked out. */
function useMade(key: string | undefined) {
  const { evaluation } = useAnswer();
  const { dough, sheet } = evaluation;
  const made = dough.state === 'waiting' ? undefined : dough.result.components.find((one) => one.key === key);
  return made ? { ...made, pieces: sheet.state === 'waiting' ? 0 : sheet.result.pieces } : null;
}

function ComponentDetails({ index, component, row }: { readonly index: number; readonly component: Component; readonly row: Row }) {
  const { key, name } = component;
  const making = useMakingOf(index, component);
  const { pantry } = useSurroundings();
  const edit = (step: string, make: (from: Formula) => Formula) => useDraft.getState().edit(step, (from) => editsBetween(from, make(from)));
  return (
    <TableRow>
      <TableCell colSpan={4} sx={{ boxShadow: 'inset 3px 0 0', color: 'primary.main', py: '10px !important' }}>
        <Box sx={{ display: 'grid', gap: 2, color: 'text.primary' }}>
          <TextField
            size="small"
            label={t('common.name')}
            value={name}
            onChange={(event) =>
              event.target.value.trim() !== '' &&
              useDraft.getState().edit(`called:${key}`, setValue(`/components/${index}/name`, event.target.value))
            }
            slotProps={{ htmlInput: { maxLength: 120, style: { textAlign: 'left' } } }}
          />
          <WhereComponentGoes component={key} row={row} name={name} />
          {!isOfDough(row) && <PieceGets component={component} />}
          <SearchField
            label={t('dough.addToName', { name })}
            placeholder={t('dough.addToName', { name })}
            find={ingredientOptions(pantry.ingredients, (one) => !isExcluded(one))}
            onChoose={(ingredientId) =>
              edit(`into:${newKey()}`, (from) => withRowIn(from, key, { key: newKey(), ingredientId, amountG: 20 }))
            }
          />
          <MakingFields making={making} />
          <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
            <KeepInPantry component={component} />
            <Button
              size="small"
              variant="outlined"
              onClick={() => edit(`apart:${newKey()}`, (from) => withoutComponent(from, key, 'stay'))}
            >
              {t('dough.rowsOnTheirOwn')}
            </Button>
            <Button
              size="small"
              variant="outlined"
              aria-label={t('common.takeOutName', { name })}
              onClick={() => edit(`away:${newKey()}`, (from) => withoutComponent(from, key, 'go'))}
            >
              {t('common.takeOut')}
            </Button>
          </Box>
        </Box>
      </TableCell>
    </TableRow>
  );
}

/** How much of it a piece gets: its rows grow or shrink together. */
function PieceGets({ component: { key, name } }: { readonly component: Component }) {
  const made = useMade(key);
  const [refused, setRefused] = useState<string>();
  const typed = useDraft((state) => state.typed[`/components/${key}/pieceG`]);
  if (!made || made.pieces < 1) return null;
  const { madeG, pieces } = made;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 2, fontSize: typeSize.small }}>
      <span>{t('dough.eachPieceGets')}</span>
      <QuantityField
        label={t('dough.namePerPiece', { name })}
        kind="mass"
        value={madeG / pieces}
        typed={typed}
        problem={refused}
        onTyped={(text) => useDraft.getState().type(`/components/${key}/pieceG`, text)}
        onChange={(pieceG, visit) => {
          const tried = replyTo(() => componentOfPiece(useDraft.getState().formula, key, { pieceG, pieces, madeG }));
          setRefused(tried.ok ? undefined : tried.refused.message);
          // A keystroke is worked out from where the visit began: what it makes then is what it makes now.
          if (tried.ok)
            useDraft.getState().edit(`piece:${key}:${visit}`, (from) => {
              const nowG = from.rows.reduce((sum, row) => sum + (row.component === key ? row.amountG : 0), 0);
              const lost = from.components?.find((one) => one.key === key);
              const makesG = nowG - (lost ? lost.boiledOffG + lost.drainedG : 0);
              return editsBetween(from, componentOfPiece(from, key, { pieceG, pieces, madeG: makesG }));
            });
        }}
      />
    </Box>
  );
}

/** A component's acts and losses, as edits of the draft. */
function useMakingOf(index: number, component: Component): MakingEntry {
  const { pantry } = useSurroundings();
  const typed = useDraft((state) => state.typed);
  const formula = useFormula();
  const base = `/components/${index}/`;
  const pathOf = (place: keyof Component) => `${base}${place}`;
  const boiled = useProblem(pathOf('boiledOffG'));
  const drained = useProblem(pathOf('drainedG'));
  const cooked = useProblem(pathOf('cookedToC'));
  const problems: Readonly<Record<string, string | undefined>> = { boiledOffG: boiled, drainedG: drained, cookedToC: cooked };
  const keeping = replyTo(() =>
    keepingOf(preparationOf(formula, component.key, { id: component.key, keepDays: 0, keepAt: 'fridge' }), pantry),
  );
  return {
    making: component,
    set: (patch, visit) =>
      useDraft.getState().edit(`making:${component.key}:${visit ?? newKey()}`, (from) => {
        const now = from.components?.[index];
        if (!now) return [];
        const next = Object.fromEntries(Object.entries({ ...now, ...patch }).filter(([, value]) => value !== undefined));
        return editsBetween(now, next, `/components/${index}`);
      }),
    typed: Object.fromEntries(
      Object.entries(typed).flatMap(([path, text]) => (path.startsWith(base) ? [[path.slice(base.length), text]] : [])),
    ),
    type: (place) => (text) => useDraft.getState().type(`${base}${place}`, text),
    at: (place) => problems[place],
    newKey,
    rawEgg: component.cookedToC === undefined && keeping.ok && keeping.answer.rawEggG > 0,
  };
}

/** Made for stock from now on, and there for other formulas: a copy of it as a preparation of the pantry. */
function KeepInPantry({ component: { key, name } }: { readonly component: Component }) {
  const act = useDoInPantry();
  const [state, setState] = useState<'idle' | 'busy' | 'kept' | 'failed'>('idle');
  const keep = async () => {
    setState('busy');
    try {
      const preparation = preparationOf(useDraft.getState().formula, key, { id: crypto.randomUUID(), keepDays: 2, keepAt: 'fridge' });
      await act(t('dough.nameKeptInThePantry', { name }), { kind: 'preparation', preparation, revision: 0 });
      setState('kept');
    } catch {
      setState('failed');
    }
  };
  return (
    <>
      <Button size="small" variant="outlined" disabled={state === 'busy' || state === 'kept'} onClick={() => void keep()}>
        {state === 'kept' ? t('dough.inThePantryNow') : t('dough.keepInThePantry')}
      </Button>
      {state === 'failed' && <Wrong size="small">{t('dough.notKeptTryAgain')}</Wrong>}
    </>
  );
}
