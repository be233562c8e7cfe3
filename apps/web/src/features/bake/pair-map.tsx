import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { families, roundTo, windowShare, type Edit, type PairCell, showDuration, showQuantity } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences, useVoice } from '../../platform/preferences';
import { usePairMap, type MapState } from './bake-study';
import { useDraft } from '../formulas/doors';
import { useFormula, useSurroundings } from '../board/doors';
import { t } from '../../platform/words';
import type { Dispatch, SetStateAction } from 'react';

/** What a pair comes to: shape and word first, colour after. */
type Verdict = 'meet' | 'dryFirst' | 'goldenFirst' | 'darkFirst' | 'never';
/** Dry (or through) and golden meet when they come within this share of the whole bake. */
const MEET = 0.15;
function verdictOf(cell: PairCell): Verdict {
  const { doneMin, goldenMin } = cell;
  if (doneMin === null || goldenMin === null) return 'never';
  if (windowShare(cell) <= 0) return 'darkFirst';
  const lead = (goldenMin - Math.max(cell.dryMin ?? 0, cell.throughMin ?? 0)) / doneMin;
  return lead > MEET ? 'dryFirst' : lead < -MEET ? 'goldenFirst' : 'meet';
}
const verdictWords: Readonly<Record<Verdict, string>> = {
  meet: t('bake.doneAndGoldenTogether'),
  dryFirst: t('bake.doneWellBeforeItIsGoldenPale'),
  goldenFirst: t('bake.goldenWellBeforeItIsDoneWatch'),
  darkFirst: t('bake.darkBeforeItIsDone'),
  never: t('bake.notDoneWithinAnHourAndA'),
};
const marks: Readonly<Record<Verdict, string>> = { meet: '●', dryFirst: '◁', goldenFirst: '▷', darkFirst: '▲', never: '–' };

/** Thickness by temperature: where dry and golden meet. A click takes a pair into the formula. */
export function PairMapSection() {
  const formula = useFormula();
  const { kitchen, pantry } = useSurroundings();
  const { map, run, stop } = usePairMap(formula, kitchen, pantry);
  const [open, setOpen] = useState(false);
  const family = families[formula.family];
  const part = formula.sheet.parts[0];
  const wantC = formula.bake.steps[0]?.wantC ?? null;
  if (!family || !part || wantC === null) return null;
  const [low, , high] = family.thicknessMm;
  const mm = [Math.min(low, part.thicknessMm) * 0.8, Math.max(high, part.thicknessMm) * 1.2] as const;
  const atC = [Math.min(family.ovenC[0], wantC) - 15, Math.max(family.ovenC[2], wantC) + 15] as const;
  const work = (fine: boolean) => {
    setOpen(true);
    run(mm, atC, fine);
  };
  const total = map ? map.thicknesses.length * map.temperatures.length : 0;
  return (
    <Box component="section" aria-label={t('bake.thicknessAndHeat')}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap' }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          {t('bake.thicknessAndHeatWhereDryAndGolden')}
        </Typography>
        {map?.running ? (
          <Button size="small" onClick={stop}>
            {t('bake.stopTheMap')}
          </Button>
        ) : (
          <>
            <Button size="small" variant="outlined" onClick={() => work(false)}>
              {map ? t('bake.workItOutAgain') : t('common.workItOut')}
            </Button>
            {map && map.cells.length > 0 && (
              <Button size="small" onClick={() => work(true)}>
                {t('bake.finer')}
              </Button>
            )}
          </>
        )}
      </Box>
      {map?.running && (
        <LinearProgress
          variant="determinate"
          value={(100 * map.cells.length) / total}
          aria-label={t('bake.workingOutTheMap')}
          sx={{ height: 3 }}
        />
      )}
      {open && map && map.cells.length > 0 && <Map map={map} nowMm={part.thicknessMm} nowC={wantC} />}
    </Box>
  );
}

const WIDTH = 460;
const HEIGHT = 176;
const TOP = 6;
const LEFT = 48;
const RIGHT = 6;
const BOTTOM = 30;

function Map({ map, nowMm, nowC }: { map: MapState; nowMm: number; nowC: number }) {
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  const [chosen, setChosen] = useState<PairCell | null>(null);
  const { edit } = useDraft.getState();
  const places = placesOn(map);
  const { fine, x, y, wide, tall, temperatures, thicknesses } = places;
  const fills: Readonly<Record<Verdict, string>> = useMemo(
    () => ({
      meet: palette.leaf.okSoft,
      dryFirst: palette.leaf.well,
      goldenFirst: palette.leaf.watchSoft,
      darkFirst: palette.leaf.fixSoft,
      never: palette.background.paper,
    }),
    [palette],
  );
  const take = (cell: PairCell) => {
    const until = cell.overMin === null ? cell.doneMin! : cell.doneMin! + 0.25 * (cell.overMin - cell.doneMin!);
    const min = roundTo(Math.max(0.5, until), 0.5);
    edit(`pair:${Date.now()}`, (from) => {
      const edits: Edit[] = [
        { path: '/sheet/parts/0/thicknessMm', from: from.sheet.parts[0]!.thicknessMm, to: roundTo(cell.thicknessMm, 0.1) },
        {
          path: '/bake/steps',
          from: from.bake.steps as never,
          to: [{ name: from.bake.steps.length > 1 ? t('common.bake') : from.bake.steps[0]!.name, wantC: roundTo(cell.wantC, 1), min }],
        },
      ];
      return edits;
    });
    setChosen(null);
  };
  return (
    <Box sx={{ pt: 1 }}>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        role="group"
        aria-label={t('bake.mapOfCellsPairsOfThicknessAnd', {
          cells: map.cells.length,
          cells2: map.cells.filter((cell) => verdictOf(cell) === 'meet').length,
        })}
      >
        {map.cells.map((cell) => (
          <Cell key={`${cell.thicknessMm} ${cell.wantC}`} cell={cell} places={places} fills={fills} onChoose={setChosen} />
        ))}
        <circle cx={x(nowMm) + wide / 2} cy={y(nowC) + tall / 2} r="9" fill="none" stroke={palette.primary.main} strokeWidth="2.2" />
        {[temperatures[0]!, temperatures[temperatures.length >> 1]!, temperatures[temperatures.length - 1]!].map((c) => (
          <text
            key={c}
            x={LEFT - 6}
            y={Math.max(y(c) + tall / 2 + 4, 12)}
            textAnchor="end"
            fontSize={typeSize.tiny}
            fill={palette.text.secondary}
          >
            {showQuantity(c, 'temperature', units, 0)}
          </text>
        ))}
        {[thicknesses[0]!, thicknesses[thicknesses.length >> 1]!, thicknesses[thicknesses.length - 1]!].map((mm) => (
          <text
            key={mm}
            x={Math.min(x(mm) + wide / 2, WIDTH - 24)}
            y={HEIGHT - 14}
            textAnchor="middle"
            fontSize={typeSize.tiny}
            fill={palette.text.secondary}
          >
            {showQuantity(mm, 'length', units)}
          </text>
        ))}
      </svg>
      <Note>
        {t('bake.wordTheRingIsTheDraftOne', {
          word: fine ? t('bake.blueDoneAndGoldenTogetherPaleDone') : t('bake.minutesUntilDoneWithGoldBeforeGold'),
        })}
      </Note>
      {chosen && <ChosenPair chosen={chosen} setChosen={setChosen} take={take} />}
    </Box>
  );
}

/** Where a pair lies in the picture. */
function placesOn(map: MapState) {
  const { thicknesses, temperatures } = map;
  const fine = thicknesses.length > 20;
  const wide = (WIDTH - LEFT - RIGHT) / thicknesses.length;
  const tall = (HEIGHT - BOTTOM - TOP) / temperatures.length;
  const x = (mm: number) =>
    LEFT + ((mm - thicknesses[0]!) / (thicknesses[thicknesses.length - 1]! - thicknesses[0]!)) * (WIDTH - LEFT - RIGHT - wide);
  const y = (c: number) =>
    HEIGHT -
    BOTTOM -
    tall -
    ((c - temperatures[0]!) / (temperatures[temperatures.length - 1]! - temperatures[0]!)) * (HEIGHT - BOTTOM - TOP - tall);
  return { fine, x, y, wide, tall, temperatures, thicknesses };
}
type Places = ReturnType<typeof placesOn>;

/** One pair: its verdict by colour, its minutes where they fit. */
function Cell({
  cell,
  places,
  fills,
  onChoose,
}: {
  readonly cell: PairCell;
  readonly places: Places;
  readonly fills: Readonly<Record<Verdict, string>>;
  readonly onChoose: (cell: PairCell) => void;
}) {
  const { fine, tall, wide, x, y } = places;
  const verdict = verdictOf(cell);
  const voice = useVoice();
  const { palette } = useTheme();
  return (
    <g
      role="button"
      tabIndex={fine ? -1 : 0}
      aria-label={t('bake.thicknessAtWantVerdictwords', {
        thickness: voice.show(cell.thicknessMm, 'length'),
        want: voice.show(cell.wantC, 'temperature'),
        verdictWords: verdictWords[verdict],
      })}
      onClick={() => onChoose(cell)}
      onKeyDown={(event) => (event.key === 'Enter' || event.key === ' ') && onChoose(cell)}
      style={{ cursor: 'pointer' }}
    >
      <rect
        x={x(cell.thicknessMm)}
        y={y(cell.wantC)}
        width={wide - (fine ? 0 : 1.5)}
        height={tall - (fine ? 0 : 1.5)}
        fill={fills[verdict]}
      />
      {!fine && (
        <text
          x={x(cell.thicknessMm) + wide / 2}
          y={y(cell.wantC) + tall / 2 + 4}
          textAnchor="middle"
          fontSize={typeSize.tiny}
          fill={palette.text.primary}
        >
          {cell.doneMin === null ? marks.never : `${marks[verdict]} ${cell.doneMin.toFixed(0)}`}
        </text>
      )}
    </g>
  );
}

/** What the pair under the finger would give, and the press that sets it. */
function ChosenPair({
  chosen,
  setChosen,
  take,
}: {
  readonly chosen: PairCell;
  readonly setChosen: Dispatch<SetStateAction<PairCell | null>>;
  readonly take: (cell: PairCell) => void;
}) {
  const units = usePreferences((state) => state.units);
  return (
    <Box
      role="status"
      sx={{
        bgcolor: 'leaf.well',
        borderRadius: '8px',
        p: 2,
        mt: 1,
        display: 'flex',
        alignItems: 'center',
        gap: 3,
        flexWrap: 'wrap',
        fontSize: typeSize.small,
      }}
    >
      <span>
        {t('bake.thicknessAtWantVerdictwords', {
          thickness: showQuantity(chosen.thicknessMm, 'length', units),
          want: showQuantity(chosen.wantC, 'temperature', units, 0),
          verdictWords: verdictWords[verdictOf(chosen)],
        })}
        {chosen.doneMin !== null && t('bake.doneAtDone', { done: showDuration(chosen.doneMin) })}
        {chosen.overMin !== null && t('bake.overAtOver', { over: showDuration(chosen.overMin) })}.
      </span>
      {chosen.doneMin !== null && (
        <Button size="small" variant="outlined" onClick={() => take(chosen)}>
          {t('bake.setThisPair')}
        </Button>
      )}
      <Button size="small" onClick={() => setChosen(null)}>
        {t('common.leaveIt')}
      </Button>
    </Box>
  );
}
