import { useDeferredValue, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import {
  editsBetween,
  factorForPieces,
  InputError,
  scaled,
  shelvesApartK,
  shelvesEvenK,
  type Formula,
  type Kitchen,
  type SheetResult,
  showQuantity,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { under, media } from '../../ui/theme/theme';
import { usePreferences, useVoice } from '../../platform/preferences';
import { Fact } from '../../ui/frame/fact-tile';
import { usePrintAlone } from '../../ui/frame/print-alone';
import { useDraft, newKey } from '../formulas/doors';
import {
  layerQuestion,
  portionQuestion,
  stageQuestions,
  Board,
  OnWholeBoard,
  useAnswer,
  useFormula,
  useSurroundings,
  Waiting,
} from '../board/doors';
import { CutOrder } from './cut-order';
import { FoldTable } from './laminate/fold-table';
import { LayersPicture } from './laminate/layers-picture';
import { PanPicture } from './pan-picture';
import { SheetToScale, TraysToScale } from './sheet-drawing';
import { useDrawnSheet, type DrawnSheet } from './sheet-plan';
import { SheetSettings } from './sheet-settings';
import { Standing } from './standing';
import { Templates } from './templates/templates';
import { t } from '../../platform/words';

/** Divided by weight: there is no sheet to draw. */
const isWeighed = ({ sheet }: Formula): boolean => sheet.parts.every(({ shape }) => shape.kind === 'portion' || shape.kind === 'slice');

/** Rolled and cut; what is laminated has a second face, its layers. */
export function SheetBoard() {
  const formula = useFormula();
  const laminated = formula.sheet.laminate !== undefined;
  const weighed = isWeighed(formula);
  const [face, setFace] = useState<'layers' | 'sheet'>('layers');
  const drawn = useDrawnSheet();
  const faces = laminated && (
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label={t('sheet.face')}
      value={face}
      onChange={(_, next: 'layers' | 'sheet' | null) => next && setFace(next)}
    >
      <ToggleButton value="layers">{t('sheet.layers2')}</ToggleButton>
      <ToggleButton value="sheet">{t('sheet.sheetAndTrays')}</ToggleButton>
    </ToggleButtonGroup>
  );
  if (laminated && face === 'layers') {
    return (
      <Board question={layerQuestion} set={<FoldTable faces={faces} />}>
        <LayersPicture />
      </Board>
    );
  }
  return (
    <Board question={weighed ? portionQuestion : stageQuestions.sheet} set={<SheetSettings faces={faces} drawn={drawn} />}>
      <SheetPicture drawn={drawn} />
    </Board>
  );
}

function SheetPicture({ drawn }: { drawn: DrawnSheet | null }) {
  const { evaluation } = useAnswer();
  const { kitchen } = useSurroundings();
  const { className, styles, print } = usePrintAlone();
  // The sheet follows the key; what hangs on it may come a frame later.
  const later = useDeferredValue(drawn) ?? drawn;
  if (!drawn || !later) return <Waiting stage="sheet" />;
  const { formula, plan } = drawn;
  const result = evaluation.sheet.state === 'waiting' ? null : evaluation.sheet.result;
  const tray = kitchen.trays.find(({ id }) => id === formula.bake.trayId);
  const pan = kitchen.pans?.find(({ id }) => id === formula.bake.panId);
  return (
    <Box className={className} sx={{ display: 'grid', gap: 3 }}>
      {styles}
      <Typography variant="h2" sx={{ display: 'none', [media.print]: { display: 'block' } }}>
        {formula.name}
      </Typography>
      <EnoughForOne drawn={later} />
      {plan.layout ? <SheetToScale drawn={drawn} /> : isWeighed(formula) ? null : <PanPicture drawn={drawn} pan={pan ?? null} />}
      <Yields drawn={drawn} result={result} />
      <OnWholeBoard>
        <Box
          sx={{
            display: 'grid',
            gap: 3,
            gridTemplateColumns: plan.layout ? 'minmax(0, 1.4fr) minmax(0, 1fr)' : '1fr',
            [under.phone]: { gridTemplateColumns: '1fr' },
          }}
        >
          {result && tray && !pan && result.trays.length > 0 && <TraysToScale drawn={later} result={result} tray={tray} />}
          {later.plan.layout && later.plan.pieces > 0 && <CutOrder drawn={later} layout={later.plan.layout} onPrint={print} />}
        </Box>
        {result && plan.pieces > 0 && <Standing result={result} parts={later.formula.sheet.parts} pan={pan ?? null} />}
        <Box className="not-on-paper">
          <Templates drawn={later} />
        </Box>
      </OnWholeBoard>
    </Box>
  );
}

/** What comes out, in four numbers; the rest of the dough in words. */
function Yields({ drawn: { formula, plan }, result }: { drawn: DrawnSheet; result: SheetResult | null }) {
  const units = usePreferences((state) => state.units);
  const more = plan.rolls.slice(1).reduce((sum, { pieces }) => sum + pieces, 0) * formula.sheet.lots;
  const { lots } = formula.sheet;
  const panned = result?.body.form === 'inPan' || result?.body.form === 'poured';
  return (
    <Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(110px, 1fr))', gap: 2 }}>
        <Fact
          label={
            more > 0 && plan.layout
              ? t(plan.cutsPerPiece > 1 ? 'sheet.piecesAndCutOuts' : 'sheet.piecesAndTrim', { count: plan.pieces, more })
              : t('sheet.pieces', { count: plan.pieces })
          }
          value={String(plan.pieces)}
        />
        <Fact label={t('sheet.eachRaw')} value={showQuantity(plan.pieceDoughG, 'mass', units)} />
        <Fact label={t('sheet.leftOver')} value={showQuantity(plan.scrapG, 'mass', units)} />
        {result && (
          <Fact
            label={
              panned
                ? result.loads === 1
                  ? t('sheet.loadOfTheOven')
                  : t('sheet.loadsOfTheOven')
                : t('sheet.traysOfPiecespertray', { piecesPerTray: result.piecesPerTray })
            }
            value={String(panned ? result.loads : result.traysNeeded)}
          />
        )}
      </Box>
      <Note size="small" pt={1}>
        {lots > 1 && t('sheet.rolledInLotsEqualLotsOfMass', { lots, mass: showQuantity(plan.rolls[0]?.massG ?? 0, 'mass', units, 0) })}
        {plan.dustG > 0.05 && t('sheet.rolledAgainTheScrapsTakeUpAbout', { dust: showQuantity(plan.dustG, 'mass', units) })}
        {plan.halves > 0 &&
          t('sheet.halvesHalfTrianglesAreLeftAtThe', {
            halves: plan.halves,
            pieceDough: showQuantity(plan.pieceDoughG / 2, 'mass', units),
          })}
        {plan.byHand && t('sheet.oneMorePieceCanBePressedBy')}
        {plan.oddCuts > 0 && t('sheet.cutOutsAlone', { count: plan.oddCuts })}
        {result && result.loads > 1 && !panned && <Loads loads={result.loads} />}
        {formula.sheet.shrink && <Shrunk />}
      </Note>
    </Box>
  );
}

/** How often the oven is filled, and whether two trays at once would do. */
function Loads({ loads }: { loads: number }) {
  const voice = useVoice();
  const { bake } = useFormula();
  const { kitchen } = useSurroundings();
  const oven = kitchen.ovens.find(({ id }) => id === bake.ovenId);
  const apart = oven ? shelvesApartK(oven) : null;
  if (!oven || bake.traysAtOnce === 2) return t('sheet.loadsLoadsOfTheOven', { loads });
  if (apart === null) return t('sheet.loadsLoadsOfTheOvenMapA', { loads, name: oven.name });
  return apart > shelvesEvenK.value
    ? t('sheet.loadsLoadsOfTheOvenItsShelves', { loads, apart: voice.show(apart, 'difference') })
    : t('sheet.loadsLoadsOfTheOvenItsShelves2', { loads, apart: voice.show(apart, 'difference') });
}

/** Too little dough for one piece: the batch that gives one, by one button. */
function EnoughForOne({ drawn: { formula, plan, massG } }: { drawn: DrawnSheet }) {
  const { kitchen } = useSurroundings();
  const units = usePreferences((state) => state.units);
  if (plan.pieces > 0) return null;
  const factor = enough(formula, kitchen, massG);
  if (factor === null) return null;
  const g = (mass: number) => showQuantity(mass, 'mass', units, 0);
  return (
    <Button
      variant="outlined"
      size="small"
      sx={{ justifySelf: 'start' }}
      onClick={() => useDraft.getState().edit(`scale:${newKey()}`, (from) => editsBetween(from, scaled(from, factor)))}
    >
      {t('sheet.doughMassMass2OnePiece', { mass: g(massG), mass2: g(massG * factor) })}
    </Button>
  );
}

/** A hair more than the least, so that rounded grams still give it; null where no batch does. */
function enough(formula: DrawnSheet['formula'], kitchen: Kitchen, massG: number): number | null {
  try {
    return 1.01 * factorForPieces(formula, kitchen, massG, 1);
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

/** What a piece will measure when it has shortened. */
function Shrunk() {
  const formula = useFormula();
  const units = usePreferences((state) => state.units);
  const { evaluation } = useAnswer();
  const shrink = formula.sheet.shrink;
  const [part] = evaluation.sheet.state === 'waiting' ? [] : evaluation.sheet.result.parts;
  if (!shrink || !part) return null;
  return (
    <>
      {t('sheet.bakedItMeasuresAboutWidthLength', {
        width: showQuantity(part.widthMm * (1 - shrink.acrossShare), 'length', units),
        length: showQuantity(part.lengthMm * (1 - shrink.alongShare), 'length', units),
      })}
    </>
  );
}
