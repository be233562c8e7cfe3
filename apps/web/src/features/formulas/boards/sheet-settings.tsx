import { memo, useDeferredValue, useRef, useState, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Collapse from '@mui/material/Collapse';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  editsBetween,
  families,
  figureOf,
  isCutShape,
  laminated,
  roundTo,
  scaled,
  type CutShape,
  type CutWay,
  type Formula,
  type Part,
  type Shape,
  type Sheet,
} from '@north-leaf/core';
import { notify } from '../../../platform/notices';
import { usePreferences } from '../../../platform/preferences';
import { Choice } from '../../../ui/choice';
import { FieldRow } from '../../../ui/field-row';
import { QuantityField } from '../../../ui/quantity-field';
import { showFraction, showQuantity } from '../../../ui/quantity';
import { setValue, useDraft } from '../draft-store';
import { FormulaField, useAnswer, useFormula, useSet, useSurroundings } from './board';
import { partWords } from './pan-picture';
import { cutWords, useCutWays, type DrawnSheet } from './sheet-plan';
import { outlineFromSvg } from './svg-outline';
import { newKey } from './new-key';
import { Waits } from './waits';
import { goods, goodsOf, goodsWords, makeOf } from './what-is-cut';

/** How the dough is rolled, what is cut of it, and what becomes of the rest. */
export function SheetSettings({ faces, drawn }: { faces: ReactNode; drawn: DrawnSheet | null }) {
  const formula = useFormula();
  const { sheet } = formula;
  const weighed = sheet.parts.every(({ shape }) => shape.kind === 'portion' || shape.kind === 'slice');
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {faces}
      {sheet.laminate === undefined && <Laminating />}
      <Roll drawn={drawn} weighed={weighed} />
      <Cut drawn={drawn} />
      {!weighed && <Trim />}
      <Typography variant="h3" sx={{ pt: 2 }}>
        After cutting
      </Typography>
      <Waits path="/sheet/waits" label="Firm" />
      <More drawn={drawn} />
    </Box>
  );
}

/** A family of layers without any yet: folds as usual, and the largest solid fat is what is folded in. */
function Laminating() {
  const formula = useFormula();
  const { kitchen, pantry } = useSurroundings();
  const family = families[formula.family];
  if (!family || (family.kind !== 'laminated' && !formula.rows.some(({ use }) => use === 'rollIn'))) return null;
  if (!laminated(formula, family, kitchen, pantry)) return null;
  const laminate = (from: Formula) => editsBetween(from, laminated(from, family, kitchen, pantry) ?? from);
  return (
    <Button
      variant="outlined"
      size="small"
      sx={{ justifySelf: 'start' }}
      onClick={() => useDraft.getState().edit(`laminate:${newKey()}`, laminate)}
    >
      Fold the fat into it
    </Button>
  );
}

function Roll({ drawn, weighed }: { drawn: DrawnSheet | null; weighed: boolean }) {
  const formula = useFormula();
  const set = useSet();
  const { evaluation } = useAnswer();
  const units = usePreferences((state) => state.units);
  const part = formula.sheet.parts[0]!;
  const { thicknessMm } = part;
  const rises = part.shape.kind === 'portion' && (part.shape.form === 'ball' || part.shape.form === 'poured');
  const chill = evaluation.chill.state === 'waiting' ? null : evaluation.chill.result;
  const bake = evaluation.bake.state === 'waiting' ? null : evaluation.bake.result;
  const lift = bake ? bake.end.thicknessMm / bake.curve.thicknessMm[0]! : null;
  const dust = formula.rows.filter(({ use }) => use === 'dust').reduce((sum, { amountG }) => sum + amountG, 0);
  return (
    <>
      <Typography variant="h2" sx={{ height: 32 }}>
        {weighed ? 'Divide' : 'Roll'}
      </Typography>
      {!rises && (
        <FieldRow label={weighed ? 'Stands' : 'Thickness'}>
          <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>{units === 'metric' ? `${showFraction(thicknessMm)} in` : ''}</Box>
          <FormulaField path="/sheet/parts/0/thicknessMm" label="Thickness" kind="length" grain={0.1} />
        </FieldRow>
      )}
      {lift !== null && !rises && part.body === undefined && (
        <FieldRow label="Baked, so high">
          <QuantityField
            label="Height when baked"
            kind="length"
            digits={1}
            grain={0.1}
            value={thicknessMm * lift}
            onChange={(baked, visit) =>
              useDraft.getState().edit(`baked:${visit}`, setValue('/sheet/parts/0/thicknessMm', roundTo(baked / lift, 0.1)))
            }
          />
        </FieldRow>
      )}
      {!weighed && (
        <FieldRow label="Guide bands">
          {formula.sheet.bandsMm !== undefined && (
            <FormulaField path="/sheet/bandsMm" label="Band height" kind="length" grain={0.1} width={62} />
          )}
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label="Guide bands"
            value={formula.sheet.bandsMm === undefined ? 'no' : 'yes'}
            onChange={(_, next: string | null) => next && set('/sheet/bandsMm', next === 'yes' ? thicknessMm : undefined)}
          >
            <ToggleButton value="no">by eye</ToggleButton>
            <ToggleButton value="yes">bands</ToggleButton>
          </ToggleButtonGroup>
        </FieldRow>
      )}
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
        {drawn && showQuantity(drawn.massG, 'mass', units, 0)} of dough
        {chill && ` at ${showQuantity(chill.endMiddleC, 'temperature', units, 0)}`}
        {dust > 0 ? `, ${showQuantity(dust, 'mass', units)} of dust in it` : weighed ? '' : ', rolled between film'}
        {chill && !weighed && `. It rolls for ${chill.benchOpenEnded ? 'over ' : ''}${Math.round(chill.benchMin)} min on the table`}
      </Box>
    </>
  );
}

const shapeFields: Readonly<Record<Shape['kind'], readonly (readonly [member: string, label: string])[]>> = {
  rectangle: [
    ['widthMm', 'Piece width'],
    ['lengthMm', 'Piece length'],
  ],
  diamond: [['widthMm', 'Strip width']],
  round: [['acrossMm', 'Across']],
  hexagon: [['acrossMm', 'Across the flats']],
  heart: [['acrossMm', 'Across']],
  triangle: [
    ['baseMm', 'Base'],
    ['heightMm', 'Height'],
  ],
  outline: [],
  portion: [],
  slice: [['acrossMm', 'Log across']],
  lining: [['overhangMm', 'Hangs over']],
  lid: [
    ['overhangMm', 'Lid hangs over'],
    ['domeMm', 'Room for the filling'],
  ],
  base: [],
  side: [['overlapMm', 'Lap of the strip']],
  lattice: [
    ['stripMm', 'Strip width'],
    ['gapMm', 'Between strips'],
    ['overhangMm', 'Strips hang over'],
  ],
  freeForm: [
    ['filledMm', 'Filled across'],
    ['foldMm', 'Folded in'],
  ],
};

function Cut({ drawn }: { drawn: DrawnSheet | null }) {
  const later = useDeferredValue(drawn);
  const formula = useFormula();
  const { kitchen } = useSurroundings();
  const { edit } = useDraft.getState();
  const what = goodsOf(formula);
  const pan = formula.bake.panId;
  const usesPan =
    formula.sheet.parts.some(({ shape }) => ['lining', 'lid', 'base', 'side', 'lattice'].includes(shape.kind)) || what === 'poured';
  const pieceG = drawn?.plan.pieceDoughG ?? 40;
  return (
    <>
      <Typography variant="h2" sx={{ pt: 2, height: 32 }}>
        Cut
      </Typography>
      <Choice
        label="What is made of it"
        value={what}
        options={goods.map((value) => ({ value, name: goodsWords[value] }))}
        onChange={(next) => next !== what && edit(`goods:${newKey()}`, makeOf(next, pieceG, kitchen))}
        width={336}
      />
      {usesPan && (
        <FieldRow label="For">
          <Choice
            label="Pan"
            value={pan ?? ''}
            options={(kitchen.pans ?? []).map(({ id, name }) => ({ value: id, name }))}
            onChange={(panId) => edit(`pan:${newKey()}`, setValue('/bake/panId', panId))}
            width={220}
          />
        </FieldRow>
      )}
      {formula.sheet.parts.map((part, i) => (
        <PartFields key={part.key} part={part} index={i} what={what} drawn={drawn} />
      ))}
      {what === 'rectangle' || (drawn && isCutShape(formula.sheet.parts[0]!.shape)) ? <Ways drawn={later} /> : null}
    </>
  );
}

function PartFields({ part, index, what, drawn }: { part: Part; index: number; what: string; drawn: DrawnSheet | null }) {
  const { shape } = part;
  const path = `/sheet/parts/${index}`;
  const second = index > 0;
  // The tops of a pair are cut as its bottoms are.
  const paired = what === 'windowed';
  return (
    <>
      {second && !paired && (
        <FieldRow label={`${partWords[shape.kind]}, thick`}>
          <FormulaField path={`${path}/thicknessMm`} label={`${partWords[shape.kind]} thickness`} kind="length" grain={0.1} />
        </FieldRow>
      )}
      {paired && index === 0 && <PairedSize />}
      {!paired &&
        shapeFields[shape.kind].map(([member, label]) => (
          <FieldRow key={member} label={label}>
            <FormulaField path={`${path}/shape/${member}`} label={label} kind="length" />
          </FieldRow>
        ))}
      {shape.kind === 'diamond' && (
        <FieldRow label="Angle">
          <FormulaField path={`${path}/shape/angleDeg`} label="Angle" kind="percent" hideUnit digits={0} />°
        </FieldRow>
      )}
      {shape.kind === 'portion' && (
        <FieldRow label="Each weighs">
          <FormulaField path={`${path}/shape/pieceG`} label="Portion" kind="mass" />
        </FieldRow>
      )}
      {shape.kind === 'portion' && drawn && <ShareAll path={`${path}/shape/pieceG`} pieceG={shape.pieceG} drawn={drawn} />}
      {shape.kind === 'outline' && <OutlineFile path={`${path}/shape/pointsMm`} shape={shape} />}
      {part.window && 'acrossMm' in part.window && (
        <FieldRow label="Window">
          <Choice
            label="Form of the window"
            value={part.window.kind}
            options={windowKinds}
            onChange={(kind) => useDraft.getState().edit(`window:${newKey()}`, setValue(`${path}/window/kind`, kind))}
            width={112}
          />
          <FormulaField path={`${path}/window/acrossMm`} label="Window" kind="length" />
        </FieldRow>
      )}
      {shape.kind === 'lid' && (
        <FieldRow label="Slits for steam">
          <FormulaField path={`${path}/vents`} label="Slits" kind="percent" hideUnit digits={0} />
        </FieldRow>
      )}
    </>
  );
}

/** What is left over shared among the pieces, to a tenth of a gram: dough on the bowl and the spoon is one piece more. */
function ShareAll({ path, pieceG, drawn: { plan, massG } }: { path: string; pieceG: number; drawn: DrawnSheet }) {
  const units = usePreferences((state) => state.units);
  const eachG = plan.pieces > 0 ? Math.floor((massG / plan.pieces) * 10) / 10 : pieceG;
  if (eachG - pieceG < 0.1) return null;
  return (
    <Button
      size="small"
      variant="outlined"
      sx={{ justifySelf: 'start' }}
      onClick={() => useDraft.getState().edit(`share:${newKey()}`, setValue(path, eachG))}
    >
      Each {showQuantity(pieceG, 'mass', units)} → {showQuantity(eachG, 'mass', units)}, none left over
    </Button>
  );
}

const windowKinds = [
  { value: 'round' as const, name: 'round' },
  { value: 'heart' as const, name: 'heart' },
  { value: 'hexagon' as const, name: 'hexagon' },
];

/** Bottoms and tops have one outline and one size. */
function PairedSize() {
  const parts = useFormula().sheet.parts;
  const first = parts[0]!.shape;
  if (!('acrossMm' in first)) return null;
  const cutAs = (kind: 'round' | 'heart' | 'hexagon') =>
    useDraft.getState().edit(`pair:${newKey()}`, (now) => parts.flatMap((_, i) => setValue(`/sheet/parts/${i}/shape/kind`, kind)(now)));
  return (
    <FieldRow label="Across">
      <Choice
        label="Form of the pair"
        value={first.kind === 'slice' ? 'round' : first.kind}
        options={windowKinds}
        onChange={cutAs}
        width={112}
      />
      <QuantityField
        label="Across"
        kind="length"
        value={first.acrossMm}
        onChange={(mm, visit) =>
          useDraft
            .getState()
            .edit(`across:${visit}`, (now) => parts.flatMap((_, i) => setValue(`/sheet/parts/${i}/shape/acrossMm`, mm)(now)))
        }
      />
    </FieldRow>
  );
}

/** An outline read from a drawing, in its own millimetres. */
function OutlineFile({ path, shape }: { path: string; shape: Extract<CutShape, { kind: 'outline' }> }) {
  const file = useRef<HTMLInputElement>(null);
  const units = usePreferences((state) => state.units);
  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    try {
      if (chosen.size > 2_000_000) throw new Error('The file is over 2 MB.');
      const points = outlineFromSvg(await chosen.text());
      useDraft.getState().edit(`outline:${newKey()}`, setValue(path, points as never));
    } catch (error) {
      notify(`Not read: ${(error as Error).message}`, 'error');
    }
  };
  const { widthMm, lengthMm } = safely(shape);
  return (
    <FieldRow
      label={`${showQuantity(widthMm, 'length', units)} × ${showQuantity(lengthMm, 'length', units)}, ${shape.pointsMm.length} points`}
    >
      <input
        ref={file}
        type="file"
        accept=".svg,image/svg+xml"
        hidden
        aria-label="SVG of the outline"
        onChange={(event) => void read(event.target.files?.[0])}
      />
      <Button size="small" variant="outlined" onClick={() => file.current?.click()}>
        Read an SVG
      </Button>
    </FieldRow>
  );
}

/** A wrong outline is the stage's to report. */
function safely(shape: CutShape): { widthMm: number; lengthMm: number } {
  try {
    return figureOf(shape, 'shape');
  } catch {
    return { widthMm: 0, lengthMm: 0 };
  }
}

/** The same dough cut otherwise: what comes out, and what is left over. */
const Ways = memo(function Ways({ drawn }: { drawn: DrawnSheet | null }) {
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  const ways = useCutWays(drawn);
  if (ways.length < 2) return null;
  const choose = ({ shape }: CutWay) => useDraft.getState().edit(`cut:${newKey()}`, setValue('/sheet/parts/0/shape', shape as never));
  return (
    <Box
      role="group"
      aria-label="Ways to cut"
      sx={{ border: `1px solid ${palette.divider}`, borderRadius: '8px', overflow: 'hidden', mt: 1 }}
    >
      {ways.map((way, i) => (
        <ButtonBase
          key={i}
          aria-pressed={way.own}
          onClick={() => !way.own && choose(way)}
          sx={{
            width: '100%',
            display: 'grid',
            gridTemplateColumns: '24px 1fr auto',
            gap: 2,
            alignItems: 'center',
            textAlign: 'left',
            px: 2,
            py: 0.75,
            minHeight: 36,
            bgcolor: way.own ? palette.leaf.firSoft : undefined,
            borderTop: i > 0 ? `1px solid ${palette.divider}` : undefined,
          }}
        >
          <Glyph shape={way.shape} />
          <Box sx={{ fontSize: 13.5, lineHeight: '17px' }}>
            <b>{cutWords(way.shape)}</b>
            <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>{showQuantity(way.scrapG, 'mass', units)} left over</Box>
          </Box>
          <Box sx={{ fontWeight: 680, fontSize: 14.5, textAlign: 'right' }}>
            {way.pieces - way.fromScraps}
            {way.fromScraps > 0 && ` + ${way.fromScraps}`}
            <Box sx={{ fontWeight: 400, fontSize: 12, color: 'text.secondary' }}>{showQuantity(way.pieceG, 'mass', units)}</Box>
          </Box>
        </ButtonBase>
      ))}
    </Box>
  );
});

function Glyph({ shape }: { shape: CutShape }) {
  const { palette } = useTheme();
  const { path, widthMm, lengthMm } = figureOf(shape, 'shape');
  const scale = 18 / Math.max(widthMm, lengthMm);
  return (
    <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
      <path
        d={path}
        transform={`translate(${11 - (widthMm * scale) / 2} ${11 - (lengthMm * scale) / 2}) scale(${scale})`}
        fill="none"
        stroke={palette.text.primary}
        strokeWidth="1.5"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

function Trim() {
  const formula = useFormula();
  const set = useSet();
  const { sheet } = formula;
  return (
    <>
      <FieldRow label="Trim each side">
        <FormulaField path="/sheet/trimMm" label="Trim" kind="length" />
      </FieldRow>
      <FieldRow label="Roll trim again">
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Roll trim again"
          value={sheet.reroll}
          onChange={(_, next: Sheet['reroll'] | null) => next && set('/sheet/reroll', next)}
        >
          <ToggleButton value="no">no</ToggleButton>
          <ToggleButton value="once">once</ToggleButton>
          <ToggleButton value="tillGone">till gone</ToggleButton>
        </ToggleButtonGroup>
      </FieldRow>
      <FieldRow label="Equal sheets">
        <FormulaField path="/sheet/lots" label="Sheets" kind="percent" hideUnit digits={0} width={62} />
      </FieldRow>
      <FieldRow label="Prick">
        {sheet.dockPitchMm !== undefined && (
          <>
            every <FormulaField path="/sheet/dockPitchMm" label="Pricked every" kind="length" width={62} />
          </>
        )}
        <Button size="small" onClick={() => set('/sheet/dockPitchMm', sheet.dockPitchMm === undefined ? 12 : undefined)}>
          {sheet.dockPitchMm === undefined ? 'Prick it' : 'Not'}
        </Button>
      </FieldRow>
    </>
  );
}

/** What most leave as it is: when it is cut, how much it shortens, what this dough weighs. */
/** A sheet of a wanted size: as thick as this dough makes it, or with as much dough as it takes. */
function RollToSize({ drawn }: { drawn: DrawnSheet }) {
  const units = usePreferences((state) => state.units);
  const [size, setSize] = useState({ widthMm: 400, lengthMm: 300 });
  const { edit } = useDraft.getState();
  const { formula, plan, massG } = drawn;
  const mm = formula.sheet.parts[0]!.thicknessMm;
  const lots = formula.sheet.lots;
  const areaMm2 = size.widthMm * size.lengthMm * lots;
  const thick = roundTo((massG * 1000) / (plan.densityGPerMl * areaMm2), 0.1);
  const needG = (plan.densityGPerMl * areaMm2 * mm) / 1000;
  const fits = areaMm2 > 0 && thick >= 0.3 && thick <= 40 && needG / massG < 1000 && needG / massG > 0.001;
  return (
    <>
      <FieldRow label="To a sheet of">
        {(['widthMm', 'lengthMm'] as const).map((name) => (
          <QuantityField
            key={name}
            label={name === 'widthMm' ? 'Wanted width' : 'Wanted length'}
            kind="length"
            grain={10}
            width={62}
            hideUnit={name === 'widthMm'}
            value={size[name]}
            onChange={(value) => setSize({ ...size, [name]: value })}
          />
        ))}
      </FieldRow>
      {fits && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button size="small" variant="outlined" onClick={() => edit(`thick:${newKey()}`, setValue('/sheet/parts/0/thicknessMm', thick))}>
            Thickness {showQuantity(mm, 'length', units)} → {showQuantity(thick, 'length', units)}
          </Button>
          <Button
            size="small"
            variant="outlined"
            onClick={() => edit(`scale:${newKey()}`, (from) => editsBetween(from, scaled(from, needG / massG)))}
          >
            Dough {showQuantity(massG, 'mass', units, 0)} → {showQuantity(needG, 'mass', units, 0)}
          </Button>
        </Box>
      )}
    </>
  );
}

function More({ drawn }: { drawn: DrawnSheet | null }) {
  const formula = useFormula();
  const set = useSet();
  const { sheet } = formula;
  const [open, setOpen] = useState(sheet.cut !== undefined || sheet.shrink !== undefined || sheet.densityGPerMl !== undefined);
  const { edit } = useDraft.getState();
  const cuts = drawn?.plan.layout !== null;
  const [part] = drawn?.plan.parts ?? [];
  return (
    <Box sx={{ pt: 1 }}>
      <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)} sx={{ minHeight: 26 }}>
        {open ? 'Less' : 'More: a wanted sheet, when cut, shrink, density'}
      </Button>
      <Collapse in={open} unmountOnExit>
        <Box sx={{ display: 'grid', gap: 1 }}>
          {cuts && (
            <FieldRow label="Cut">
              <ToggleButtonGroup
                exclusive
                size="small"
                aria-label="When it is cut"
                value={sheet.cut ?? 'raw'}
                onChange={(_, next: NonNullable<Sheet['cut']> | null) => next && set('/sheet/cut', next === 'raw' ? undefined : next)}
              >
                <ToggleButton value="raw">raw</ToggleButton>
                <ToggleButton value="hot">hot</ToggleButton>
                <ToggleButton value="cold">cold</ToggleButton>
              </ToggleButtonGroup>
            </FieldRow>
          )}
          {drawn && cuts && <RollToSize drawn={drawn} />}
          {sheet.shrink ? (
            <>
              <FieldRow label="Shortens along">
                <FormulaField path="/sheet/shrink/alongShare" label="Shortens along" kind="percent" times={100} width={62} />
              </FieldRow>
              <FieldRow label="and across">
                <FormulaField path="/sheet/shrink/acrossShare" label="Shortens across" kind="percent" times={100} width={62} />
              </FieldRow>
              {part && isCutShape(sheet.parts[0]!.shape) && <WantedBaked />}
            </>
          ) : (
            <Button
              size="small"
              sx={{ justifySelf: 'start' }}
              onClick={() => set('/sheet/shrink', { alongShare: 0.03, acrossShare: 0.02 })}
            >
              It shortens in the oven
            </Button>
          )}
          {part && (
            <FieldRow label={sheet.densityGPerMl === undefined ? 'A raw piece weighs' : `Weighed: ${sheet.densityGPerMl.toFixed(2)} g/ml`}>
              <QuantityField
                label="Weight of a raw piece"
                kind="mass"
                value={part.massG}
                onChange={(g, visit) =>
                  edit(
                    `density:${visit}`,
                    setValue('/sheet/densityGPerMl', Number(((g * 1000) / (part.areaMm2 * part.thicknessMm)).toFixed(3))),
                  )
                }
              />
              {sheet.densityGPerMl !== undefined && (
                <Button size="small" onClick={() => set('/sheet/densityGPerMl', undefined)}>
                  Usual
                </Button>
              )}
            </FieldRow>
          )}
        </Box>
      </Collapse>
    </Box>
  );
}

/** Cuts the piece so much larger that it comes out of the oven as it is now cut. */
function WantedBaked() {
  const formula = useFormula();
  const { shape } = formula.sheet.parts[0]!;
  const { shrink } = formula.sheet;
  if (!shrink || shape.kind !== 'rectangle') return null;
  const { acrossShare, alongShare } = shrink;
  if (acrossShare >= 0.5 || alongShare >= 0.5) return null;
  const [w, l] = [shape.widthMm / (1 - acrossShare), shape.lengthMm / (1 - alongShare)].map((mm) => Number(mm.toFixed(1))) as [
    number,
    number,
  ];
  return (
    <Button
      size="small"
      variant="outlined"
      sx={{ justifySelf: 'start' }}
      onClick={() =>
        useDraft
          .getState()
          .edit(`wanted:${newKey()}`, (now) => [
            ...setValue('/sheet/parts/0/shape/widthMm', w)(now),
            ...setValue('/sheet/parts/0/shape/lengthMm', l)(now),
          ])
      }
    >
      Piece {shape.widthMm} × {shape.lengthMm} → {w} × {l} mm, baked as it is now
    </Button>
  );
}
