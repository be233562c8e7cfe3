import { Suspense, useCallback } from 'react';
import AddIcon from '@mui/icons-material/Add';
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
import { Link } from 'react-router';
import {
  dialWords,
  learnedOf,
  type BakeResult,
  type BakeStep,
  type Formula,
  ovenKindWords,
  showDuration,
  showQuantity,
  readWant,
  unitOf,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences, useVoice } from '../../platform/preferences';
import { type ReadTyped } from '../../ui/form/quantity-field';
import { Choice } from '../../ui/form/choice';
import { FieldRow } from '../../ui/form/field-row';
import { LearnedHere } from '../kitchen/doors';
import { useDraft } from '../formulas/doors';
import { stageQuestions, Board, FormulaField, OnWholeBoard, useAnswer, useSurroundings, useFormula, useSet } from '../board/doors';
import { useLooks } from './bake-study';
import { AcrylamideLine } from './acrylamide';
import { BakePicture } from './bake-picture';
import { Looks } from './looks';
import { WeighTray } from './weigh-tray';
import { t } from '../../platform/words';

export function BakeBoard() {
  const formula = useFormula();
  const { kitchen, pantry } = useSurroundings();
  const looks = useLooks(formula, kitchen, pantry);
  return (
    <Board question={stageQuestions.bake} set={<BakeSettings looks={looks} />}>
      <BakePicture looks={looks} />
    </Board>
  );
}

/** When this bake counts as done, in words; each of it can be set below. */
function DoneWords({ result }: { result: BakeResult }) {
  const units = usePreferences((state) => state.units);
  const { coreC, mustDry, dryBelowShare, goldenFromTone, startsDark, filling, second } = result;
  const asked = [
    ...(goldenFromTone > 1
      ? [
          startsDark
            ? t('bake.itsRimAShadeDarker')
            : t('bake.rimOrFacesGoldenToneGoldenfromtone', { goldenFromTone: goldenFromTone.toFixed(1) }),
        ]
      : []),
    ...(coreC === null
      ? []
      : [
          t('bake.wordAtCore', {
            word: filling ? t('bake.fillingAndDough') : 'middle',
            core: showQuantity(coreC, 'temperature', units, 0),
          }),
        ]),
    ...(mustDry ? [t('bake.dryToDrybelow', { dryBelow: (dryBelowShare * 100).toFixed(1) })] : []),
  ];
  return (
    <Box sx={{ fontSize: typeSize.small, color: 'text.secondary', pt: 1 }} data-testid="done-words">
      {t('bake.doneHereMeansAsked', { asked: asked.join(', ') || t('bake.asSetBelow') })}
      {startsDark && t('bake.thisDoughIsDarkBeforeItBakes')}
      {second && second.doneMin !== null && <div>{t('bake.topsAreDoneAt', { at: showDuration(second.doneMin) })}</div>}
    </Box>
  );
}

/** What is done to the tray before or in a step; one of these at a time. */
type TrayDone = 'asIs' | 'weighted' | 'turn';
const trayDones: readonly { readonly value: TrayDone; readonly name: string }[] = [
  { value: 'asIs', name: t('bake.asItIs') },
  { value: 'weighted', name: t('bake.weights') },
  { value: 'turn', name: t('bake.turned') },
];
const trayDoneOf = ({ weighted, turn }: BakeStep): TrayDone => (weighted ? 'weighted' : turn ? 'turn' : 'asIs');
function withTrayDone({ name, wantC, min }: BakeStep, how: TrayDone): BakeStep {
  return { name, wantC, min, ...(how === 'weighted' ? { weighted: true } : how === 'turn' ? { turn: true } : {}) };
}

/** What could have been learned that moves this board's forecast. */
const learnedHere = ({ family, bake: { ovenId } }: Formula) =>
  [
    ['oven', ovenId],
    ['ovenHeatFactor', ovenId],
    ['lift', family],
    ['spread', family],
    ['crisp', family],
    ['tender', family],
  ] as const;

function BakeSettings({ looks }: { looks: ReturnType<typeof useLooks> }) {
  const formula = useFormula();
  const { kitchen } = useSurroundings();
  const { evaluation } = useAnswer();
  const set = useSet();
  const { edit } = useDraft.getState();
  const result = evaluation.bake.state === 'waiting' ? null : evaluation.bake.result;
  const { bake } = formula;
  const thick = typeof result?.coreC === 'number';
  const dialUnit = kitchen.ovens.find(({ id }) => id === bake.ovenId)?.dialUnit ?? 'C';
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <FieldRow label={<Typography variant="h2">{t('common.oven')}</Typography>}>
        <Choice
          label={t('common.oven')}
          value={bake.ovenId}
          onChange={(ovenId) => set('/bake/ovenId', ovenId)}
          options={kitchen.ovens.map(({ id, name, kind }) => ({ value: id, name: `${name}, ${ovenKindWords[kind]}` }))}
        />
      </FieldRow>
      <Note size="small">
        {result &&
          (result.ovenMeasured
            ? t('bake.measuredTheDialIsSetSoThat')
            : learnedOf(kitchen, 'oven', bake.ovenId)
              ? t('bake.neverMeasuredWhatYourBakesSayOf')
              : t('bake.neverMeasuredTheDialIsTakenAt'))}
        <Link to={`/kitchen/ovens/${bake.ovenId}`} style={{ color: 'inherit' }}>
          {t('bake.aboutThisOven')}
        </Link>
      </Note>
      <StepsInOven dialUnit={dialUnit} result={result} />
      <Button
        size="small"
        startIcon={<AddIcon />}
        sx={{ justifySelf: 'start', minHeight: 26 }}
        onClick={() =>
          edit(`add:${Date.now()}`, (from) => [
            { path: `/bake/steps/${from.bake.steps.length}`, to: { name: t('bake.dryOn'), wantC: 130, min: 5 } },
          ])
        }
      >
        {t('common.addAStep')}
      </Button>
      <FieldRow label={t('bake.tray')}>
        <Choice
          label={t('bake.tray')}
          value={bake.trayId}
          onChange={(trayId) => set('/bake/trayId', trayId)}
          options={kitchen.trays.map(({ id, name }) => ({ value: id, name }))}
        />
      </FieldRow>
      {(kitchen.pans?.length ?? 0) > 0 && <InAPan />}
      {bake.panId !== undefined && <PanStands />}
      <TraysAndLayer />
      <Into />
      {result && <DoneWords result={result} />}
      {result && <AcrylamideLine result={result} />}
      <OnWholeBoard>
        {result && (
          <Looks
            {...looks}
            goldenFromTone={result.goldenFromTone}
            startsDark={result.startsDark}
            coreC={result.coreC}
            dryBelowShare={result.dryBelowShare}
          />
        )}
        <DoneByMoisture result={result} thick={thick} />
        <DoneByCore result={result} thick={thick} />
        <Suspense>
          <LearnedHere kitchen={kitchen} of={learnedHere(formula)} />
        </Suspense>
        <WeighTray />
      </OnWholeBoard>
      <Note pt={2}>{t('bake.traysAndSteamBurnDryClothsOpen')}</Note>
    </Box>
  );
}

/** The bake's steps: heat, dial, minutes, and what is done to the tray. */
function StepsInOven({ dialUnit, result }: { readonly dialUnit: 'C' | 'F' | 'gas'; readonly result: BakeResult | null }) {
  const { bake } = useFormula();
  return (
    <Table size="small" sx={{ '& td, & th': { px: 1 } }}>
      <TableHead>
        <TableRow>
          <TableCell>{t('bake.step')}</TableCell>
          <TableCell align="right">{t('common.want')}</TableCell>
          <TableCell align="right">{t('common.dial')}</TableCell>
          <TableCell align="right">{t('bake.min')}</TableCell>
          <TableCell component="td" />
        </TableRow>
      </TableHead>
      <TableBody>
        {bake.steps.map((step, i) => {
          const dialC = result?.steps[i]?.dialC;
          return <StepInOven key={i} dialC={dialC} dialUnit={dialUnit} i={i} step={step} />;
        })}
      </TableBody>
    </Table>
  );
}

/** A want as recipes write it, `180 fan`, for the oven that it is typed for; what was made of it is said. */
function useReadWant(ovenId: string): ReadTyped {
  const { kitchen } = useSurroundings();
  const voice = useVoice();
  const here = kitchen.ovens.find(({ id }) => id === ovenId)?.kind === 'fan' ? 'fan' : 'still';
  return useCallback(
    (typed) => {
      const read = readWant(typed, unitOf('oven', voice.units), here);
      if (!read.ok || !read.meantFor) return read;
      return {
        ...read,
        note: t(read.meantFor === 'fan' ? 'bake.meantForAFan' : 'bake.meantForStillAir', { here: voice.show(read.value, 'oven') }),
      };
    },
    [here, voice],
  );
}

/** One step. */
function StepInOven({
  dialC,
  dialUnit,
  i,
  step,
}: {
  readonly dialC: number | null | undefined;
  readonly dialUnit: 'C' | 'F' | 'gas';
  readonly i: number;
  readonly step: BakeStep;
}) {
  const { edit } = useDraft.getState();
  const { bake } = useFormula();
  const readHere = useReadWant(bake.ovenId);
  return (
    <TableRow>
      <TableCell component="th" scope="row" sx={{ fontWeight: 650 }}>
        {step.name}
        <Choice
          label={t('bake.nameTray', { name: step.name })}
          value={trayDoneOf(step)}
          options={i === 0 ? trayDones.slice(0, 2) : trayDones}
          onChange={(how) =>
            edit(`how:${Date.now()}`, () => [{ path: `/bake/steps/${i}`, from: step as never, to: withTrayDone(step, how) as never }])
          }
          width={98}
        />
      </TableCell>
      <TableCell align="right">
        {step.wantC === null ? (
          t('bake.off')
        ) : (
          <FormulaField
            path={`/bake/steps/${i}/wantC`}
            label={t('bake.nameWant', { name: step.name })}
            kind="oven"
            read={readHere}
            grain={5}
            width={60}
            hideUnit
            digits={0}
          />
        )}
      </TableCell>
      <DialCell dialC={dialC} dialUnit={dialUnit} />
      <TableCell align="right">
        <FormulaField
          path={`/bake/steps/${i}/min`}
          label={t('bake.nameMinutes', { name: step.name })}
          kind="minutes"
          grain={0.5}
          width={50}
          hideUnit
        />
      </TableCell>
      <TableCell sx={{ width: 30 }}>
        {bake.steps.length > 1 && (
          <IconButton
            size="small"
            aria-label={t('bake.removeName', { name: step.name })}
            onClick={() => edit(`out:${Date.now()}`, (from) => [{ path: `/bake/steps/${i}`, from: from.bake.steps[i] as never }])}
          >
            <CloseIcon fontSize="inherit" />
          </IconButton>
        )}
      </TableCell>
    </TableRow>
  );
}

/** Where the dial stands for that, in its own marks and in the other degrees. */
function DialCell({ dialC, dialUnit }: { readonly dialC: number | null | undefined; readonly dialUnit: 'C' | 'F' | 'gas' }) {
  return (
    <TableCell align="right" sx={{ whiteSpace: 'nowrap', lineHeight: '15px' }}>
      {dialC === null || dialC === undefined ? (
        '–'
      ) : (
        <>
          <b>{dialWords(dialUnit, dialC)}</b>
          <Note>{dialWords(dialUnit === 'F' ? 'C' : 'F', dialC)}</Note>
        </>
      )}
    </TableCell>
  );
}

/** How many trays at once, and what lies on them. */
function TraysAndLayer() {
  const { bake } = useFormula();
  const set = useSet();
  return (
    <FieldRow label={t('bake.atOnceOn')}>
      <Choice
        label={t('bake.traysAtOnce')}
        value={bake.traysAtOnce}
        onChange={(trays) => set('/bake/traysAtOnce', trays)}
        options={[
          { value: 1, name: t('common.trays', { count: 1 }) },
          { value: 2, name: t('common.trays', { count: 2 }) },
        ]}
        width={96}
      />
      <Choice
        label={t('common.layer')}
        value={bake.layer}
        onChange={(layer) => set('/bake/layer', layer)}
        options={[
          { value: 'none', name: t('common.under.nothing') },
          { value: 'paper', name: t('common.under.paper') },
          { value: 'mat', name: t('common.under.mat') },
        ]}
        width={92}
      />
    </FieldRow>
  );
}

/** A hot or a cold oven, a hot or a cold tray. */
function Into() {
  const { bake } = useFormula();
  const { edit } = useDraft.getState();
  return (
    <FieldRow label={t('bake.into')}>
      <Choice
        label={t('bake.intoTheOven')}
        value={bake.fromCold ? 'cold' : bake.hotTray ? 'hotTray' : 'hot'}
        onChange={(into) =>
          edit(`into:${Date.now()}`, (from) => {
            const { fromCold: _cold, hotTray: _hot, ...rest } = from.bake;
            const to = { ...rest, ...(into === 'cold' ? { fromCold: true } : into === 'hotTray' ? { hotTray: true } : {}) };
            return [{ path: '/bake', from: from.bake as never, to: to as never }];
          })
        }
        options={[
          { value: 'hot', name: t('bake.hotOvenColdTray') },
          { value: 'hotTray', name: t('bake.hotOvenHotTray') },
          { value: 'cold', name: t('bake.coldOven') },
        ]}
        width={160}
      />
    </FieldRow>
  );
}

/** At which moisture it is done. */
function DoneByMoisture({ result, thick }: { readonly result: BakeResult | null; readonly thick: boolean }) {
  const { bake } = useFormula();
  const set = useSet();
  return (
    <FieldRow label={thick && !result?.mustDry ? t('bake.orDoneByMoisture') : t('bake.doneWhenMoistureIs')}>
      {bake.done.moistureShare === undefined ? (
        <Button size="small" onClick={() => set('/bake/done/moistureShare', result?.dryBelowShare ?? 0.05)} sx={{ minHeight: 26 }}>
          {result ? t('bake.drybelowTheFamilys', { dryBelow: (result.dryBelowShare * 100).toFixed(1) }) : t('bake.setIt')}
        </Button>
      ) : (
        <FormulaField path="/bake/done/moistureShare" label={t('bake.doneAtMoisture')} kind="percent" times={100} grain={0.5} />
      )}
    </FieldRow>
  );
}

/** At which heat of its middle it is done. */
function DoneByCore({ result, thick }: { readonly result: BakeResult | null; readonly thick: boolean }) {
  const { bake } = useFormula();
  const set = useSet();
  const units = usePreferences((state) => state.units);
  return (
    <FieldRow label={t('bake.doneWhenItsCoreIs')}>
      {bake.done.coreC === undefined ? (
        <Button size="small" onClick={() => set('/bake/done/coreC', result?.coreC ?? 95)} sx={{ minHeight: 26 }}>
          {thick
            ? t('bake.coreTheFamilys', { core: showQuantity(result?.coreC ?? 0, 'temperature', units, 0) })
            : t('bake.notAskedItIsThin')}
        </Button>
      ) : (
        <FormulaField path="/bake/done/coreC" label={t('bake.doneAtCore')} kind="temperature" digits={0} />
      )}
    </FieldRow>
  );
}

/** Which pan it stands in, if any. */
function InAPan() {
  const { bake } = useFormula();
  const { edit } = useDraft.getState();
  const { kitchen } = useSurroundings();
  return (
    <FieldRow label={t('bake.inAPan')}>
      <Choice
        label={t('common.pan')}
        value={bake.panId ?? ''}
        onChange={(panId) =>
          edit(`pan:${Date.now()}`, (from) => {
            const { panId: _was, panOnTray: _on, ...rest } = from.bake;
            return [{ path: '/bake', from: from.bake as never, to: { ...rest, ...(panId ? { panId } : {}) } as never }];
          })
        }
        options={[{ value: '', name: t('bake.flatOnTheTray') }, ...(kitchen.pans ?? []).map(({ id, name }) => ({ value: id, name }))]}
      />
    </FieldRow>
  );
}

/** On the rack or on a tray. */
function PanStands() {
  const { bake } = useFormula();
  const set = useSet();
  return (
    <FieldRow label={t('bake.itStands')}>
      <Choice
        label={t('bake.thePanStands')}
        value={bake.panOnTray ? 'tray' : 'rack'}
        onChange={(on) => set('/bake/panOnTray', on === 'tray' ? true : undefined)}
        options={[
          { value: 'rack', name: t('bake.onTheRack') },
          { value: 'tray', name: t('bake.onTheTray') },
        ]}
        width={118}
      />
    </FieldRow>
  );
}
