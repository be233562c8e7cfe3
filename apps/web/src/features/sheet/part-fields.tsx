import { useRef } from 'react';
import Button from '@mui/material/Button';
import { filledPan, type acrossShapes, showQuantity } from '@north-leaf/core';
import { figureOf, type CutShape, type Part, type Shape } from '@north-leaf/core';
import { notify } from '../../platform/notices';
import { usePreferences, useVoice } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { FieldRow } from '../../ui/form/field-row';
import { QuantityField } from '../../ui/form/quantity-field';
import { setValue, useDraft, newKey } from '../formulas/doors';
import { FormulaField, useAnswer, useFormula, useSurroundings } from '../board/doors';
import { partWords } from './pan-picture';
import { type DrawnSheet } from './sheet-plan';
import { outlineFromSvg } from './templates/svg-outline';
import { t } from '../../platform/words';

const shapeFields: Readonly<Record<Shape['kind'], readonly (readonly [member: string, label: string])[]>> = {
  rectangle: [
    ['widthMm', t('sheet.pieceWidth')],
    ['lengthMm', t('sheet.pieceLength')],
  ],
  diamond: [['widthMm', t('sheet.stripWidth')]],
  round: [['acrossMm', t('sheet.across')]],
  hexagon: [['acrossMm', t('sheet.acrossTheFlats')]],
  heart: [['acrossMm', t('sheet.across')]],
  triangle: [
    ['baseMm', t('common.base2')],
    ['heightMm', t('sheet.height')],
  ],
  outline: [],
  portion: [],
  slice: [['acrossMm', t('sheet.logAcross')]],
  lining: [['overhangMm', t('sheet.hangsOver')]],
  lid: [
    ['overhangMm', t('sheet.lidHangsOver')],
    ['domeMm', t('sheet.roomForTheFilling')],
  ],
  base: [],
  side: [['overlapMm', t('sheet.lapOfTheStrip')]],
  lattice: [
    ['stripMm', t('sheet.stripWidth')],
    ['gapMm', t('sheet.betweenStrips')],
    ['overhangMm', t('sheet.stripsHangOver')],
  ],
  freeForm: [
    ['filledMm', t('sheet.filledAcross')],
    ['foldMm', t('sheet.foldedIn')],
  ],
};

/** What sets the size of one part. */
export function PartFields({ part, index, what, drawn }: { part: Part; index: number; what: string; drawn: DrawnSheet | null }) {
  const { shape } = part;
  const path = `/sheet/parts/${index}`;
  const second = index > 0;
  // The tops of a pair are cut as its bottoms are.
  const paired = what === 'windowed';
  return (
    <>
      {second && (
        <FieldRow label={paired ? t('sheet.topsThick') : t('sheet.partwordsThick', { partWords: partWords[shape.kind] })}>
          <FormulaField
            path={`${path}/thicknessMm`}
            label={paired ? t('sheet.topsThick') : t('sheet.partwordsThickness', { partWords: partWords[shape.kind] })}
            kind="length"
            grain={0.1}
          />
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
        <FieldRow label={t('sheet.angle')}>
          <FormulaField path={`${path}/shape/angleDeg`} label={t('sheet.angle')} kind="percent" hideUnit digits={0} />°
        </FieldRow>
      )}
      {shape.kind === 'portion' && (
        <FieldRow label={t('sheet.eachWeighs')}>
          <FormulaField path={`${path}/shape/pieceG`} label={t('sheet.portion')} kind="mass" />
        </FieldRow>
      )}
      {shape.kind === 'portion' && drawn && <ShareAll path={`${path}/shape/pieceG`} pieceG={shape.pieceG} drawn={drawn} />}
      {shape.kind === 'portion' && <FillPan />}
      {shape.kind === 'outline' && <OutlineFile path={`${path}/shape/pointsMm`} shape={shape} />}
      {part.window && 'acrossMm' in part.window && (
        <FieldRow label={t('sheet.window')}>
          <Choice
            label={t('sheet.formOfTheWindow')}
            value={part.window.kind}
            options={windowKinds}
            onChange={(kind) => useDraft.getState().edit(`window:${newKey()}`, setValue(`${path}/window/kind`, kind))}
            width={112}
          />
          <FormulaField path={`${path}/window/acrossMm`} label={t('sheet.window')} kind="length" />
        </FieldRow>
      )}
      {shape.kind === 'lid' && (
        <FieldRow label={t('sheet.slitsForSteam')}>
          <FormulaField path={`${path}/vents`} label={t('sheet.slits')} kind="percent" hideUnit digits={0} />
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
      {t('sheet.eachPieceEachNoneLeftOver', { piece: showQuantity(pieceG, 'mass', units), each: showQuantity(eachG, 'mass', units) })}
    </Button>
  );
}

/** As high as batter should stand in its cups or tin, and a batch that fills whole ones. */
function FillPan() {
  const voice = useVoice();
  const formula = useFormula();
  const { kitchen } = useSurroundings();
  const { sheet } = useAnswer().evaluation;
  const filled = sheet.state === 'waiting' ? null : filledPan(formula, kitchen, sheet.result);
  if (!filled || sheet.state === 'waiting') return null;
  const { pieceG, pieces, edits } = filled;
  if (Math.abs(pieceG - sheet.result.pieceDoughG) < 2 && pieces === sheet.result.pieces) return null;
  return (
    <Button
      size="small"
      variant="outlined"
      sx={{ justifySelf: 'start' }}
      onClick={() => useDraft.getState().edit(`fill:${newKey()}`, () => edits)}
    >
      {t('sheet.fillThisPan', { count: pieces, each: voice.show(pieceG, 'mass') })}
    </Button>
  );
}

const windowKinds = [
  { value: 'round' as const, name: t('sheet.round') },
  { value: 'heart' as const, name: t('sheet.heart') },
  { value: 'hexagon' as const, name: t('sheet.hexagon') },
];

/** Bottoms and tops have one outline and one size. */
function PairedSize() {
  const parts = useFormula().sheet.parts;
  const first = parts[0]!.shape;
  if (!('acrossMm' in first)) return null;
  const cutAs = (kind: (typeof acrossShapes)[number]) =>
    useDraft.getState().edit(`pair:${newKey()}`, (now) => parts.flatMap((_, i) => setValue(`/sheet/parts/${i}/shape/kind`, kind)(now)));
  return (
    <FieldRow label={t('sheet.across')}>
      <Choice
        label={t('sheet.formOfThePair')}
        value={first.kind === 'slice' ? 'round' : first.kind}
        options={windowKinds}
        onChange={cutAs}
        width={112}
      />
      <QuantityField
        label={t('sheet.across')}
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
      if (chosen.size > 2_000_000) throw new Error(t('sheet.fileTooLarge'));
      const points = outlineFromSvg(await chosen.text());
      useDraft.getState().edit(`outline:${newKey()}`, setValue(path, points as never));
    } catch (error) {
      notify(t('sheet.notReadMessage', { message: (error as Error).message }), 'error');
    }
  };
  const { widthMm, lengthMm } = safely(shape);
  return (
    <FieldRow
      label={t('sheet.widthLengthPointsPoints', {
        width: showQuantity(widthMm, 'length', units),
        length: showQuantity(lengthMm, 'length', units),
        points: shape.pointsMm.length,
      })}
    >
      <input
        ref={file}
        type="file"
        accept=".svg,image/svg+xml"
        hidden
        aria-label={t('sheet.svgOfTheOutline')}
        onChange={(event) => void read(event.target.files?.[0])}
      />
      <Button size="small" variant="outlined" onClick={() => file.current?.click()}>
        {t('sheet.readAnSvg')}
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
