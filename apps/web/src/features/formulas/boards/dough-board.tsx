import { lazy, memo, Suspense, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  binderRatioRange,
  families,
  handWordOrder,
  isExcluded,
  isProteinType,
  isStarch,
  recipeOf,
  roundTo,
  spoonWaterG,
  thirstSpread,
  type DoughResult,
  type Formula,
  type Pantry,
} from '@north-leaf/core';
import { usePreferences } from '../../../platform/preferences';
import { FieldRow } from '../../../ui/field-row';
import { GoodRange } from '../../../ui/good-range';
import { QuantityField } from '../../../ui/quantity-field';
import { SearchField } from '../../../ui/search-field';
import { showQuantity, unitOf } from '../../../ui/quantity';
import { ingredientOptions } from '../../pantry/api';
import { handWordLabels } from '../../../ui/words';
import { setValue, useDraft } from '../draft-store';
import { stageQuestions } from '../stages';
import { AllergenLine } from './allergen-line';
import { Board, FormulaField, useAnswer, useProblem, useSurroundings, useFormula, Waiting } from './board';
import { readMass, weighed } from './typed-amount';

const PasteList = lazy(async () => ({ default: (await import('./paste-list')).PasteList }));

export function DoughBoard() {
  return (
    <Board question={stageQuestions.dough} set={<DoughSettings />}>
      <DoughPicture />
    </Board>
  );
}

function DoughSettings() {
  const units = usePreferences((state) => state.units);
  const blendName = useDraft((state) => state.formula.blend.name);
  const mix = useDraft((state) => state.formula.mix);
  const [pasting, setPasting] = useState(false);
  const { pantry } = useSurroundings();
  const rowKeys = useDraft(useShallow((state) => state.formula.rows.map(({ key }) => key)));
  return (
    <>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Ingredient</TableCell>
            <TableCell align="right">% of blend</TableCell>
            <TableCell align="right">{unitOf('mass', units)}</TableCell>
            <TableCell component="td" />
          </TableRow>
        </TableHead>
        <TableBody>
          <TableRow>
            <TableCell component="th" scope="row">
              {blendName}
            </TableCell>
            <TableCell align="right">100</TableCell>
            <TableCell align="right">
              <FormulaField path="/blendG" label="Blend" kind="mass" grain={10} width={66} hideUnit />
            </TableCell>
            <TableCell />
          </TableRow>
          {rowKeys.map((key, i) => (
            <AmountRow key={key} index={i} />
          ))}
          <DoughTotal />
        </TableBody>
      </Table>
      <AddRow />
      <Box sx={{ display: 'flex', gap: 2, pb: 2 }}>
        <Button size="small" variant="outlined" onClick={() => setPasting(true)}>
          Paste a list
        </Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() => takeAlong(useDraft.getState().formula, pantry)}
          title="As a schema.org Recipe, in grams"
        >
          Take it along
        </Button>
      </Box>
      <Suspense>{pasting && <PasteList onClose={() => setPasting(false)} />}</Suspense>
      <FieldRow label="Hold back, of the water">
        <FormulaField path="/holdBackShare" label="Hold back" kind="percent" times={100} grain={5} />
      </FieldRow>
      <FieldRow label="Dough after mixing">
        <FormulaField path="/doughAtC" label="Dough temperature" kind="temperature" />
      </FieldRow>
      <FieldRow label="Rest before chilling">
        <FormulaField path="/restMin" label="Rest" kind="minutes" grain={5} />
      </FieldRow>
      <Typography variant="h3" component="h2" sx={{ pt: 2 }}>
        Mix
      </Typography>
      <Box component="ol" sx={{ m: 0, pl: 5, fontSize: 13, lineHeight: '18px', color: 'text.secondary' }}>
        {mix.map(({ key, does }) => (
          <li key={key}>{does}</li>
        ))}
      </Box>
      <AllergenLine />
    </>
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
      <TableCell sx={{ fontWeight: 650 }}>Dough</TableCell>
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

const AmountRow = memo(function AmountRow({ index }: { index: number }) {
  const row = useDraft((state) => state.formula.rows[index]);
  const blendG = useDraft((state) => state.formula.blendG);
  const { kitchen, pantry } = useSurroundings();
  const units = usePreferences((state) => state.units);
  const typed = useDraft((state) => state.typed[`/rows/${index}/amountG`]);
  const problem = useProblem(`/rows/${index}/amountG`);
  const saved = useDraft((state) => state.saved.rows.find(({ key }) => key === row?.key));
  const savedB = useDraft((state) => state.saved.blendG);
  const { edit, type } = useDraft.getState();
  if (!row) return null;
  const name = pantry.ingredients[row.ingredientId]?.name ?? row.ingredientId;
  const path = `/rows/${index}/amountG`;
  const use = { dough: '', topping: 'on top', dust: 'for dusting' }[row.use];
  return (
    <TableRow>
      <TableCell component="th" scope="row" sx={{ lineHeight: '16px' }}>
        {name}
        {(use || row.entered) && (
          <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>{[use, row.entered && `“${row.entered}”`].filter(Boolean).join(' · ')}</Box>
        )}
      </TableCell>
      <TableCell align="right">
        <QuantityField
          label={`${name} percent`}
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
          label={`${name} grams`}
          kind="mass"
          value={row.amountG}
          was={saved?.amountG}
          typed={typed}
          problem={problem}
          onTyped={(text) => type(path, text)}
          read={(text) => readMass(text, unitOf('mass', units), pantry.ingredients[row.ingredientId], kitchen.measures)}
          onChange={(amountG, visit, text) => edit(`${path}:${visit}`, (from) => weighed(from, index, amountG, text))}
          grain={1}
          width={66}
          hideUnit
        />
      </TableCell>
      <TableCell sx={{ width: 30 }}>
        <IconButton
          size="small"
          aria-label={`Take out ${name}`}
          onClick={() => edit(`out:${Date.now()}`, (from) => [{ path: `/rows/${index}`, from: from.rows[index] as never }])}
        >
          <CloseIcon fontSize="inherit" />
        </IconButton>
      </TableCell>
    </TableRow>
  );
});

function AddRow() {
  const { pantry } = useSurroundings();
  const { edit } = useDraft.getState();
  return (
    <Box sx={{ my: 2 }}>
      <SearchField
        label="Add an ingredient"
        placeholder="Add an ingredient"
        find={ingredientOptions(pantry.ingredients, (one) => !isExcluded(one) && !isProteinType(one) && !isStarch(one))}
        onChoose={(ingredientId) =>
          edit(`add:${Date.now()}`, (from) => [
            {
              path: `/rows/${from.rows.length}`,
              to: { key: `r${Date.now().toString(36)}`, ingredientId, amountG: roundTo(from.blendG * 0.02, 0.1), use: 'dough' },
            },
          ])
        }
      />
    </Box>
  );
}

function DoughPicture() {
  const { evaluation } = useAnswer();
  const formula = useFormula();
  if (evaluation.dough.state === 'waiting') return <Waiting stage="dough" />;
  const { result } = evaluation.dough;
  const family = families[formula.family]!;
  const { percents } = result;
  return (
    <Box sx={{ display: 'grid', gap: 4 }}>
      <HandChances result={result} />
      <Ladder result={result} />
      <WantsAndGets result={result} />
      <Box>
        <Typography variant="h3" sx={{ pb: 1 }}>
          Balance
        </Typography>
        <GoodRange
          label="Fat on blend"
          value={percents.fat}
          low={family.fatPercent[0]}
          high={family.fatPercent[2]}
          from={0}
          to={50}
          text={`${percents.fat.toFixed(1)} %`}
        />
        <GoodRange
          label="Salt"
          value={percents.salt}
          low={family.saltPercent[0]}
          high={family.saltPercent[2]}
          from={0}
          to={4}
          text={`${percents.salt.toFixed(1)} %`}
        />
        <GoodRange
          label="Gum, of its need"
          value={result.binderRatio}
          low={binderRatioRange.values.low}
          high={binderRatioRange.values.high}
          from={0}
          to={2}
          text={`${Math.round(result.binderRatio * 100)} %`}
        />
        <GoodRange
          label="Leavener"
          value={percents.leavener}
          low={family.leavenerPercent[0]}
          high={family.leavenerPercent[2]}
          from={0}
          to={5}
          text={`${percents.leavener.toFixed(1)} %`}
        />
      </Box>
    </Box>
  );
}

/** How likely each word of the hand is; the flour's thirst is not known exactly. */
function HandChances({ result }: { result: DoughResult }) {
  const { palette } = useTheme();
  const best = result.handWord;
  return (
    <Box>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(5, 1fr)', gap: '2px' }}
        role="img"
        aria-label={`Chance that it rolls clean: ${Math.round(result.handWordChances.rollsClean * 100)} in 100`}
      >
        {handWordOrder.map((word) => {
          const chance = result.handWordChances[word];
          return (
            <Box key={word} sx={{ textAlign: 'center' }}>
              <Box
                sx={{
                  height: 56,
                  bgcolor: word === 'rollsClean' ? palette.leaf.firSoft : palette.leaf.well,
                  display: 'flex',
                  alignItems: 'flex-end',
                  borderBottom: `3px solid ${word === best ? palette.primary.main : palette.divider}`,
                }}
              >
                <Box
                  sx={{
                    width: '100%',
                    height: `${Math.max(1, chance * 100)}%`,
                    bgcolor: word === 'rollsClean' ? palette.primary.main : palette.make.grain,
                  }}
                />
              </Box>
              <Box sx={{ fontWeight: word === best ? 700 : 500, fontSize: 13 }}>{handWordLabels[word]}</Box>
              <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>{Math.round(chance * 100)} in 100</Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** Pour most, hold spoons back. */
function Ladder({ result }: { result: DoughResult }) {
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap' }}>
      <Box sx={{ bgcolor: palette.make.water, color: palette.onMake.water, borderRadius: '6px', px: 4, py: 1, fontWeight: 650 }}>
        Pour {showQuantity(result.pourG, 'mass', units, units === 'metric' ? 0 : 1)}
      </Box>
      {Array.from({ length: result.spoons }, (_, i) => (
        <Box key={i} aria-hidden sx={{ width: 26, height: 18, borderRadius: '50%', bgcolor: palette.make.water }} />
      ))}
      <Box sx={{ fontSize: 13.5 }}>
        {result.spoons > 0
          ? `hold back ${result.spoons} spoon${result.spoons > 1 ? 's' : ''} of ${spoonWaterG.value} g, then feel it`
          : 'all at once'}
        : squeezed it holds with hairline cracks at most, no dry flour, no shine.
      </Box>
    </Box>
  );
}

function WantsAndGets({ result }: { result: DoughResult }) {
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  const { wants } = result;
  const widest = Math.max(result.wantsG, result.getsG);
  const missing = result.wantsG - result.getsG;
  const bar = (parts: readonly { name: string; g: number; fill: string; on: string }[]) => (
    <Box sx={{ display: 'flex', gap: '1.5px', width: `${(parts.reduce((sum, { g }) => sum + g, 0) / widest) * 100}%`, height: 28 }}>
      {parts.map(({ name, g, fill, on }) => (
        <Box
          key={name}
          title={`${name} ${g.toFixed(1)} g`}
          sx={{
            flex: `${Math.max(g, 0.1)} 0 0`,
            bgcolor: fill,
            color: on,
            fontSize: 12.5,
            fontWeight: 650,
            lineHeight: '28px',
            px: 1.5,
            overflow: 'hidden',
            whiteSpace: 'nowrap',
          }}
        >
          {g / widest > 0.09 && `${name} ${showQuantity(g, 'mass', units, 0)}`}
        </Box>
      ))}
    </Box>
  );
  const grain = { fill: palette.make.grain, on: palette.onMake.grain };
  return (
    <Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', pb: 1 }}>
        <Typography variant="h3">Water wanted and water in</Typography>
        <Box sx={{ fontWeight: 650, fontSize: 13.5 }}>
          {Math.abs(missing) < 1 ? 'as wanted' : `${showQuantity(Math.abs(missing), 'mass', units, 0)} ${missing > 0 ? 'short' : 'over'}`}
        </Box>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '52px 1fr', gap: 1.5, alignItems: 'center' }}>
        <Box sx={{ fontSize: 13.5 }}>Wants</Box>
        {bar([
          { name: 'Flours', g: wants.flourG, ...grain },
          { name: 'Starches', g: wants.starchG, fill: palette.make.starch, on: palette.onMake.starch },
          { name: 'Gum', g: wants.gumG, fill: palette.make.fibre, on: palette.onMake.fibre },
        ])}
        <Box sx={{ fontSize: 13.5 }}>Gets</Box>
        {bar([
          { name: 'Poured', g: result.pouredWaterG, fill: palette.make.water, on: palette.onMake.water },
          ...(result.broughtWaterG > 0.05
            ? [{ name: 'Brought', g: result.broughtWaterG, fill: palette.make.protein, on: palette.onMake.protein }]
            : []),
        ])}
      </Box>
      <Box sx={{ fontSize: 12.5, color: 'text.secondary', pt: 1 }}>
        Wants ± {Math.round(thirstSpread.value * 100)} %, an estimate until this blend has been felt. The flours’ own{' '}
        {showQuantity(result.ownWaterG, 'mass', units, 0)} are left out of both.
      </Box>
    </Box>
  );
}
