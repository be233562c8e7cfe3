import { lazy, Suspense, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import {
  families,
  isExcluded,
  isProteinType,
  isStarch,
  recipeOf,
  roundTo,
  type Formula,
  type Pantry,
  showQuantity,
  unitOf,
} from '@north-leaf/core';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { FieldRow } from '../../ui/form/field-row';
import { SearchField } from '../../ui/form/search-field';
import { ingredientOptions } from '../pantry/doors';
import { useDraft, newKey } from '../formulas/doors';
import { stageQuestions, AllergenLine, Board, FormulaField, OnWholeBoard, useAnswer, useSet, useSurroundings } from '../board/doors';
import { PasteList } from '../entry/doors';
import { AirToday } from './air-today';
import { DoughOf } from './dough-of';
import { DoughPicture } from './dough-picture';
import { AddComponent } from './rows/add-component';
import { ComponentRows } from './rows/component-rows';
import { DoughRow } from './rows/dough-row';
import { t } from '../../platform/words';
import type { Dispatch, SetStateAction } from 'react';

const ScaleBatch = lazy(async () => ({ default: (await import('./scale-batch')).ScaleBatch }));

export function DoughBoard() {
  return (
    <Board question={stageQuestions.dough} set={<DoughSettings />}>
      <DoughPicture />
    </Board>
  );
}

function DoughSettings() {
  const family = useDraft((state) => state.formula.family);
  const [dialog, setDialog] = useState<'list' | 'scale' | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  const set = useSet();
  const { pantry } = useSurroundings();
  return (
    <>
      <FieldRow label={t('common.family')}>
        <Choice
          label={t('common.family')}
          value={family}
          options={Object.values(families).map(({ id, name }) => ({ value: id, name }))}
          onChange={(to) => set('/family', to)}
          width={230}
        />
      </FieldRow>
      <DoughTable open={open} setOpen={setOpen} />
      <AddRow />
      <AddComponent onAdded={setOpen} />
      <Box sx={{ display: 'flex', gap: 2, pb: 2, flexWrap: 'wrap' }}>
        <Button size="small" variant="outlined" onClick={() => setDialog('scale')}>
          {t('dough.scale')}
        </Button>
        <Button size="small" variant="outlined" onClick={() => setDialog('list')}>
          {t('common.pasteAList')}
        </Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() => takeAlong(useDraft.getState().formula, pantry)}
          title={t('dough.asASchemaOrgRecipeInGrams')}
        >
          {t('dough.saveToAFile')}
        </Button>
      </Box>
      <Suspense>
        {dialog === 'list' && <PasteList onClose={() => setDialog(null)} />}
        {dialog === 'scale' && <ScaleBatch onClose={() => setDialog(null)} />}
      </Suspense>
      <OnWholeBoard>
        <FieldRow label={t('dough.holdBackOfTheWater')}>
          <FormulaField path="/holdBackShare" label={t('dough.holdBack')} kind="percent" times={100} grain={5} />
        </FieldRow>
        <FieldRow label={t('dough.doughAfterMixing')}>
          <FormulaField path="/doughAtC" label={t('common.doughTemperature')} kind="temperature" />
        </FieldRow>
        <FieldRow label={t('dough.restBeforeChilling')}>
          <FormulaField path="/restMin" label={t('dough.rest')} kind="minutes" grain={5} />
        </FieldRow>
        <AirToday />
        <DoughOf />
      </OnWholeBoard>
      <AllergenLine />
    </>
  );
}

/** The rows of the dough, against the blend. */
function DoughTable({ open, setOpen }: { readonly open: string | null; readonly setOpen: Dispatch<SetStateAction<string | null>> }) {
  const units = usePreferences((state) => state.units);
  const blendName = useDraft((state) => state.formula.blend.name);
  const blendEntered = useDraft(({ formula: { blendEntered: entered, blendG } }) =>
    entered && Math.abs(entered.g - blendG) < 0.01 ? entered.text : null,
  );
  // Keystrokes in an amount draw none of this again: which rows there are, and in which component.
  const rowKeys = useDraft(useShallow((state) => state.formula.rows.map(({ key, component }) => (component === undefined ? key : null))));
  const componentKeys = useDraft(useShallow((state) => (state.formula.components ?? []).map(({ key }) => key)));
  const onOpen = (key: string) => setOpen(open === key ? null : key);
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          <TableCell>{t('common.ingredient')}</TableCell>
          <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
            {t('dough.ofBlend')}
          </TableCell>
          <TableCell align="right">{unitOf('mass', units)}</TableCell>
          <TableCell component="td" />
        </TableRow>
      </TableHead>
      <TableBody>
        <TableRow>
          <TableCell component="th" scope="row">
            {blendName}
            {blendEntered && <Box sx={{ fontSize: typeSize.caption, color: 'text.secondary', fontWeight: 400 }}>“{blendEntered}”</Box>}
          </TableCell>
          <TableCell align="right">100</TableCell>
          <TableCell align="right">
            <FormulaField path="/blendG" label={t('common.blend')} kind="mass" grain={10} width={66} hideUnit />
          </TableCell>
          <TableCell />
        </TableRow>
        {rowKeys.map((key, i) => key !== null && <DoughRow key={key} index={i} open={open === key} onOpen={() => onOpen(key)} />)}
        <DoughTotal />
        {componentKeys.map((key, i) => (
          <ComponentRows key={key} index={i} open={open} onOpen={onOpen} />
        ))}
      </TableBody>
    </Table>
  );
}

/** The formula as a file that other programs read. */
function takeAlong(formula: Formula, pantry: Pantry): void {
  const file = new Blob([JSON.stringify(recipeOf(formula, pantry), null, 2)], { type: 'application/ld+json' });
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = `${formula.name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')}.json`;
  link.click();
  URL.revokeObjectURL(link.href);
}

function DoughTotal() {
  const units = usePreferences((state) => state.units);
  const { evaluation } = useAnswer();
  const dough = evaluation.dough.state === 'waiting' ? null : evaluation.dough.result;
  const blend = evaluation.blend.state === 'waiting' ? null : evaluation.blend.result;
  return (
    <TableRow>
      <TableCell sx={{ fontWeight: 650 }}>{t('common.dough')}</TableCell>
      <TableCell align="right" sx={{ fontWeight: 650 }}>
        {dough && blend && ((dough.doughG / blend.blendG) * 100).toFixed(1)}
      </TableCell>
      <TableCell align="right" sx={{ fontWeight: 650 }}>
        {dough && showQuantity(dough.doughG, 'mass', units)}
      </TableCell>
      <TableCell />
    </TableRow>
  );
}

/** How a fat usually goes in when nobody says. */
const fatOf = (kind: string | undefined): { fat?: { state: 'rubbed' | 'melted' } } =>
  kind === 'fat_solid' ? { fat: { state: 'rubbed' } } : kind === 'fat_liquid' ? { fat: { state: 'melted' } } : {};

function AddRow() {
  const { pantry } = useSurroundings();
  const { edit } = useDraft.getState();
  return (
    <Box sx={{ my: 2 }}>
      <SearchField
        label={t('common.addAnIngredient')}
        placeholder={t('common.addAnIngredient')}
        find={ingredientOptions(pantry.ingredients, (one) => !isExcluded(one) && !isProteinType(one) && !isStarch(one))}
        onChoose={(ingredientId) =>
          edit(`add:${Date.now()}`, (from) => [
            {
              path: `/rows/${from.rows.length}`,
              to: {
                key: newKey(),
                ingredientId,
                amountG: roundTo(from.blendG * 0.02, 0.1),
                use: 'dough',
                ...fatOf(pantry.ingredients[ingredientId]?.kind),
              },
            },
          ])
        }
      />
    </Box>
  );
}
