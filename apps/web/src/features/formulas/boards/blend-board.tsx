import { useState } from 'react';
import AddIcon from '@mui/icons-material/Add';
import CloseIcon from '@mui/icons-material/Close';
import PushPinIcon from '@mui/icons-material/PushPin';
import PushPinOutlinedIcon from '@mui/icons-material/PushPinOutlined';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  bendIndexRange,
  editsBetween,
  families,
  gritLimit,
  InputError,
  isExcluded,
  isGum,
  isProteinType,
  isStarch,
  withoutRow,
  withShare,
  type BlendRole,
  type Formula,
} from '@north-leaf/core';
import { usePreferences } from '../../../platform/preferences';
import { FieldRow } from '../../../ui/field-row';
import { GoodRange } from '../../../ui/good-range';
import { QuantityField } from '../../../ui/quantity-field';
import { showValue, unitOf } from '../../../ui/quantity';
import { useDraft } from '../draft-store';
import { stageQuestions } from '../stages';
import { AllergenLine } from './allergen-line';
import { Board, FormulaField, useAnswer, useSurroundings, useFormula, useProblem, useSet, Waiting } from './board';

export function BlendBoard() {
  return (
    <Board question={stageQuestions.blend} set={<BlendSettings />}>
      <BlendPicture />
    </Board>
  );
}

function BlendSettings() {
  const formula = useFormula();
  const units = usePreferences((state) => state.units);
  const problem = useProblem('/blend/rows');
  return (
    <>
      <FieldRow label={<Typography variant="h2">{formula.blend.name}</Typography>}>
        <FormulaField path="/blendG" label="Blend" kind="mass" grain={10} width={80} />
      </FieldRow>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Flour, starch, gum</TableCell>
            <TableCell align="right">% of blend</TableCell>
            <TableCell align="right">{unitOf('mass', units)}</TableCell>
            <TableCell component="td" />
          </TableRow>
        </TableHead>
        <TableBody>
          {formula.blend.rows.map((row, i) => (
            <ShareRow key={row.key} index={i} />
          ))}
          <TableRow>
            <TableCell sx={{ fontWeight: 650 }}>Blend</TableCell>
            <TableCell align="right" sx={{ fontWeight: 650 }}>
              {showValue(formula.blend.rows.reduce((sum, { share }) => sum + share, 0) * 100, 'percent', units)}
            </TableCell>
            <TableCell align="right" sx={{ fontWeight: 650 }}>
              {showValue(formula.blendG, 'mass', units)}
            </TableCell>
            <TableCell />
          </TableRow>
        </TableBody>
      </Table>
      {problem && (
        <Box role="alert" sx={{ color: 'error.main', fontSize: 13 }}>
          {problem}
        </Box>
      )}
      <AddToBlend />
      <AllergenLine />
    </>
  );
}

function ShareRow({ index }: { index: number }) {
  const formula = useFormula();
  const { pantry } = useSurroundings();
  const units = usePreferences((state) => state.units);
  const saved = useDraft((state) => state.saved.blend.rows.find(({ key }) => key === formula.blend.rows[index]?.key));
  const typed = useDraft((state) => state.typed[`/blend/rows/${index}/share`]);
  const { edit, type } = useDraft.getState();
  const set = useSet();
  const [refused, setRefused] = useState<string | undefined>();
  const row = formula.blend.rows[index]!;
  const path = `/blend/rows/${index}/share`;
  const problem = useProblem(path) ?? refused;
  const name = pantry.ingredients[row.ingredientId]?.name ?? row.ingredientId;
  /** The others share the change; what cannot be shared is said at the field and changes nothing. */
  const share = (percent: number, visit: string) => {
    setRefused(undefined);
    edit(`${path}:${visit}`, (from) => {
      try {
        return editsBetween(from.blend.rows, withShare(from.blend.rows, index, percent / 100), '/blend/rows');
      } catch (error) {
        if (error instanceof InputError) setRefused(error.message);
        return [];
      }
    });
  };
  return (
    <TableRow>
      <TableCell component="th" scope="row" sx={{ lineHeight: '17px' }}>
        {name}
      </TableCell>
      <TableCell align="right">
        <QuantityField
          label={`${name} share`}
          kind="percent"
          value={row.share * 100}
          was={saved && saved.share * 100}
          typed={typed}
          problem={problem}
          onTyped={(text) => type(path, text)}
          onChange={share}
          width={62}
          hideUnit
        />
      </TableCell>
      <TableCell align="right">{showValue(row.share * formula.blendG, 'mass', units)}</TableCell>
      <TableCell sx={{ whiteSpace: 'nowrap', width: 56 }}>
        <IconButton
          size="small"
          aria-label={row.pinned ? `Unpin ${name}` : `Pin ${name}`}
          aria-pressed={row.pinned === true}
          onClick={() => set(`/blend/rows/${index}/pinned`, row.pinned ? undefined : true)}
        >
          {row.pinned ? <PushPinIcon fontSize="inherit" /> : <PushPinOutlinedIcon fontSize="inherit" />}
        </IconButton>
        <IconButton
          size="small"
          aria-label={`Take out ${name}`}
          disabled={formula.blend.rows.length < 2}
          onClick={() => edit(`out:${Date.now()}`, (from) => takeOut(from, index))}
        >
          <CloseIcon fontSize="inherit" />
        </IconButton>
      </TableCell>
    </TableRow>
  );
}

function takeOut(formula: Formula, index: number) {
  try {
    return editsBetween(formula.blend.rows, withoutRow(formula.blend.rows, index), '/blend/rows');
  } catch {
    return [];
  }
}

function AddToBlend() {
  const { pantry } = useSurroundings();
  const formula = useFormula();
  const { edit } = useDraft.getState();
  const used = new Set(formula.blend.rows.map(({ ingredientId }) => ingredientId));
  const options = Object.values(pantry.ingredients).filter(
    (one) => (isProteinType(one) || isStarch(one) || isGum(one) || one.kind === 'flour_nut') && !isExcluded(one) && !used.has(one.id),
  );
  return (
    <Autocomplete
      size="small"
      value={null}
      blurOnSelect
      options={options}
      getOptionLabel={({ name }) => name}
      onChange={(_, chosen) => {
        if (!chosen) return;
        const share = isGum(chosen) ? 0.005 : 0.05;
        edit(`add:${Date.now()}`, (from) => {
          const rows = [...from.blend.rows, { key: `b${Date.now().toString(36)}`, ingredientId: chosen.id, share: 0 }];
          return editsBetween(from.blend.rows, withShare(rows, rows.length - 1, share), '/blend/rows');
        });
      }}
      renderInput={(params) => (
        <TextField
          {...params}
          placeholder="Add a flour, starch or gum"
          slotProps={{
            ...params.slotProps,
            htmlInput: { ...params.slotProps?.htmlInput, 'aria-label': 'Add to the blend' },
            input: { ...params.slotProps?.input, startAdornment: <AddIcon fontSize="small" /> },
          }}
        />
      )}
      sx={{ my: 2 }}
    />
  );
}

const roleWords: Record<BlendRole, string> = { grain: 'Grain', starch: 'Starch', sticky: 'Sticky starch', gum: 'Gum', other: 'Other' };

function BlendPicture() {
  const { evaluation } = useAnswer();
  const formula = useFormula();
  const { palette } = useTheme();
  if (evaluation.blend.state === 'waiting') return <Waiting stage="blend" />;
  const { result } = evaluation.blend;
  const family = families[formula.family]!;
  const fills: Record<BlendRole, [string, string]> = {
    grain: [palette.make.grain, palette.onMake.grain],
    starch: [palette.make.starch, palette.onMake.starch],
    sticky: [palette.make.starch, palette.onMake.starch],
    gum: [palette.make.fibre, palette.onMake.fibre],
    other: [palette.make.protein, palette.onMake.protein],
  };
  const shares = (Object.keys(roleWords) as BlendRole[])
    .map((role) => ({
      role,
      share: result.rows.filter((row) => row.role === role).reduce((sum, { amountG }) => sum + amountG, 0) / result.blendG,
    }))
    .filter(({ share }) => share > 0);
  const percent = (share: number, digits = 0) => `${(share * 100).toFixed(digits)} %`;
  return (
    <Box sx={{ display: 'grid', gap: 5 }}>
      <Box>
        <Box sx={{ display: 'flex', height: 34, gap: '1.5px', borderRadius: '6px', overflow: 'hidden' }}>
          {shares.map(({ role, share }) => (
            <Box
              key={role}
              title={`${roleWords[role]} ${percent(share, 1)}`}
              sx={{
                flex: `${share} 0 0`,
                minWidth: 6,
                bgcolor: fills[role][0],
                color: fills[role][1],
                fontSize: 13,
                fontWeight: 650,
                px: 2,
                lineHeight: '34px',
                overflow: 'hidden',
                whiteSpace: 'nowrap',
                ...(role === 'gum' || role === 'sticky'
                  ? { backgroundImage: 'repeating-linear-gradient(45deg, transparent 0 5px, rgba(255,255,255,.28) 5px 7px)' }
                  : {}),
              }}
            >
              {share > 0.08 && `${roleWords[role]} ${percent(share)}`}
            </Box>
          ))}
        </Box>
        <Box sx={{ fontSize: 12.5, color: 'text.secondary', pt: 1 }}>
          {shares.map(({ role, share }) => `${roleWords[role].toLowerCase()} ${percent(share, 1)}`).join(' · ')}
        </Box>
      </Box>
      <Box>
        <Typography variant="h3" sx={{ pb: 1 }}>
          How it will behave
        </Typography>
        <GoodRange
          label="Starch"
          value={result.starchShare}
          low={family.starchPercent[0] / 100}
          high={family.starchPercent[2] / 100}
          from={0}
          to={0.8}
          text={percent(result.starchShare)}
        />
        <GoodRange
          label="Grain and pulse"
          value={result.proteinTypeShare}
          low={family.proteinTypePercent[0] / 100}
          high={family.proteinTypePercent[2] / 100}
          from={0}
          to={1}
          text={percent(result.proteinTypeShare)}
        />
        <GoodRange
          label="Bends (index)"
          value={result.bendIndex}
          low={bendIndexRange.values.low}
          high={bendIndexRange.values.high}
          from={0}
          to={3}
          text={result.bendIndex.toFixed(2)}
        />
        <GoodRange
          label="Grit"
          value={result.gritIndex}
          low={0}
          high={gritLimit.value}
          from={0}
          to={2.5}
          text={`${result.gritIndex.toFixed(2)} of 3`}
        />
        <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>
          Dashed: good range from the model; no bakes have moved it yet. Bends counts gum and sticky starch; an index, not a length.
        </Box>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 2 }}>
        <Fact label="water hold" value={`${result.waterHoldGPerG.toFixed(2)} g/g`} />
        <Fact label="protein" value={percent(result.composition.proteinShare, 1)} />
        <Fact label="fibre" value={percent(result.composition.fibreShare, 1)} />
        <Fact label="starches set" value={result.setsFromC === null ? '–' : `${result.setsFromC} to ${result.setsToC} °C`} />
      </Box>
    </Box>
  );
}

export function Fact({ label, value }: { label: string; value: string }) {
  return (
    <Box sx={{ bgcolor: 'leaf.well', borderRadius: '8px', px: 3, py: 2 }}>
      <Box sx={{ fontWeight: 680, fontSize: 16 }}>{value}</Box>
      <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>{label}</Box>
    </Box>
  );
}
