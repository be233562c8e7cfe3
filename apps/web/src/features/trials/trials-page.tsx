import { useEffect, useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { useInfiniteQuery, useQueries, useQuery } from '@tanstack/react-query';
import { DateTime } from 'luxon';
import { useSearchParams } from 'react-router';
import {
  asBaked,
  type Change,
  type Effect,
  type Explanation,
  type RecordedBake,
  ratedWhats,
  showQuantity,
  type Units,
} from '@north-leaf/core';
import type { Bake } from '@north-leaf/contracts';
import { ErrorPage } from '../../platform/error-page';
import { usePreferences, useVoice } from '../../platform/preferences';
import { opened } from '../../platform/worker-kit';
import { Page } from '../../ui/frame/page';
import { crustTones, typeSize, under } from '../../ui/theme/theme';
import { formulaNamesQuery, versionQuery, FormulaSelect } from '../formulas/doors';
import { kitchenQuery } from '../kitchen/doors';
import { pantryQuery } from '../pantry/doors';
import { bakesQuery, last, measured, runQuery, together } from '../bakes/doors';
import { useNames, type Link } from './links';
import { Tasting } from './tasting';
import { TrialTable } from './trial-table';
import type { TrialsApi } from './trials.worker';
import { t } from '../../platform/words';

/** Bakes in one chain, at most. */
const MOST = 4;

/** Up to four bakes of a formula in the order they were made: what changed between them, and what each change did. */
export function TrialsPage() {
  const [params, setParams] = useSearchParams();
  const formulas = useQuery(formulaNamesQuery);
  const formulaId = params.get('formula') ?? formulas.data?.[0]?.id ?? '';
  const bakes = useInfiniteQuery({ ...bakesQuery({ formulaId }), enabled: formulaId !== '' });
  const all = useMemo(() => [...(together(bakes.data) ?? [])].sort((a, b) => a.number - b.number), [bakes.data]);
  const asked = params.get('bakes')?.split(',').filter(Boolean) ?? [];
  // Nothing asked for: the last three that say something of what came out.
  const told = all.filter(({ events }) => events.some(({ what }) => what.kind === 'rated' || what.kind === 'measured'));
  const ids = asked.length > 0 ? asked : told.slice(-3).map(({ id }) => id);
  const chosen = all.filter(({ id }) => ids.includes(id)).slice(0, MOST);
  const choose = (next: readonly string[]) => setParams({ formula: formulaId, bakes: next.join(',') });
  if (formulas.isError) return <ErrorPage error={formulas.error} />;
  return (
    <Page
      title={t('common.trials')}
      beside={bakes.data ? t('trials.chosenOfAllBakesInTheChain', { chosen: chosen.length, all: all.length }) : ' '}
    >
      <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', alignItems: 'center', pb: 4 }}>
        <FormulaSelect formulas={formulas.data} id={formulaId} onChoose={(formula) => setParams({ formula })} />
        <ToggleButtonGroup
          value={chosen.map(({ id }) => id)}
          onChange={(_, next: string[]) => next.length <= MOST && choose(next)}
          aria-label={t('trials.bakesInTheChainAtMostFour')}
          sx={{ flexWrap: 'wrap' }}
        >
          {all.slice(-16).map(({ id, number }) => (
            <ToggleButton key={id} value={id} disabled={chosen.length >= MOST && !chosen.some((one) => one.id === id)}>
              {number}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      {bakes.isPending && <Skeleton height={300} />}
      {bakes.data && all.length < 2 && (
        <Box sx={{ py: 6 }}>
          {t('trials.twoBakesOfAFormulaMakeA', { word: all.length === 0 ? t('trials.noneIsRecordedYet') : t('trials.oneIsRecorded') })}
        </Box>
      )}
      {chosen.length > 0 && <Chain key={chosen.map(({ id }) => id).join()} bakes={chosen} />}
      <Tasting />
    </Page>
  );
}

function Chain({ bakes }: { bakes: readonly Bake[] }) {
  const versions = useQueries({ queries: bakes.map(({ formulaId, version }) => versionQuery(formulaId, version)) });
  // A list of bakes leaves out how each run was led: what was skipped of it stands in the whole record.
  const runs = useQueries({ queries: bakes.map(({ id }) => runQuery(id)) });
  const failed = [...versions, ...runs].find(({ error }) => error !== null)?.error;
  if (failed) return <ErrorPage error={failed} />;
  const ready = [...versions, ...runs].every(({ data }) => data !== undefined);
  if (!ready) return <Skeleton height={300} role="status" aria-busy aria-label={t('trials.loadingTheVersions')} />;
  return <Linked links={bakes.map((_, i) => ({ bake: runs[i]!.data!, version: versions[i]!.data! }))} />;
}

const recorded = ({ bake, version }: Link): RecordedBake => ({
  bakeId: bake.id,
  formula: version.formula,
  factor: bake.factor,
  roomC: bake.roomC,
  humidityShare: bake.humidityShare,
  events: bake.events,
  steps: bake.steps,
});

/** Explanations are worked out beside the page, a few whole formulas each. */
function useExplained(links: readonly Link[]): readonly Explanation[] | null {
  const { data: kitchen } = useQuery(kitchenQuery);
  const { data: pantry } = useQuery(pantryQuery);
  const [explained, setExplained] = useState<readonly Explanation[] | null>(null);
  const [chain] = useState(() => links.map(recorded));
  useEffect(() => {
    if (!kitchen || !pantry || chain.length < 2) return;
    const worker = new Worker(new URL('./trials.worker.ts', import.meta.url), { type: 'module', name: 'trials' });
    const { api, end } = opened<TrialsApi>(worker, { kitchen, pantry });
    void api.explain(chain).then(setExplained);
    return end;
  }, [kitchen, pantry, chain]);
  return explained;
}

function Linked({ links }: { links: readonly Link[] }) {
  const { palette } = useTheme();
  const { data: kitchen } = useQuery(kitchenQuery);
  const explained = useExplained(links);
  const [every, setEvery] = useState(false);
  return (
    <>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'stretch',
          gap: 2,
          overflowX: 'auto',
          pb: 3,
          [under.phone]: { flexDirection: 'column' },
        }}
      >
        {links.map((link, i) => (
          <Box key={link.bake.id} sx={{ display: 'contents' }}>
            {i > 0 && <Arrow explained={explained?.[i - 1] ?? null} before={links[i - 1]!} after={link} waiting={explained === null} />}
            <Box
              component="section"
              aria-label={t('common.bakeNumber', { number: link.bake.number })}
              sx={{ flex: 'none', width: 190, borderRadius: '10px', bgcolor: palette.leaf.well, p: 3 }}
            >
              <Section link={link} zone={kitchen?.zone ?? 'UTC'} />
            </Box>
          </Box>
        ))}
      </Box>
      <Button size="small" variant="outlined" onClick={() => setEvery(!every)} sx={{ mb: 2 }}>
        {every ? t('trials.onlyWhatDiffers') : t('trials.showEveryRow')}
      </Button>
      <TrialTable links={links} every={every} />
    </>
  );
}

/** A piece cut through, from what was measured: its height and its tones. Ten to one, width not to scale. */
function Section({ link: { bake, version }, zone }: { link: Link; zone: string }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const { units } = usePreferences();
  const planned = version.evaluation.bake.state === 'waiting' ? null : version.evaluation.bake.result.end;
  const bakedMm = measured(bake, 'bakedMm');
  const mm = bakedMm ?? planned?.thicknessMm ?? null;
  const tone = measured(bake, 'topTone');
  const top = tone ?? planned?.topTone ?? 1;
  const base = measured(bake, 'baseTone') ?? planned?.baseTone ?? top;
  const colour = (n: number) => crustTones[Math.min(7, Math.max(0, Math.round(n) - 1))]!;
  const rated = last(bake, (one) => (one.kind === 'rated' && one.after === 'fresh' ? one : undefined));
  const height = mm === null ? 20 : Math.min(120, Math.max(8, mm * 10));
  return (
    <>
      <Box sx={{ fontWeight: 700, fontSize: typeSize.large }}>
        {t('common.bakeNumber', { number: bake.number })}{' '}
        <Box component="span" sx={{ fontWeight: 400, fontSize: typeSize.small, color: 'text.secondary' }}>
          v{bake.version}, {DateTime.fromISO(bake.startedAt, { zone }).toFormat('d LLL')}
        </Box>
      </Box>
      <svg
        viewBox="0 0 160 130"
        width="160"
        height="130"
        role="img"
        aria-label={t('trials.sectionWordTopToneTop', {
          word: mm === null ? t('common.notMeasured') : t('trials.mmHigh', { mm: voice.show(mm, 'length') }),
          top: top.toFixed(1),
        })}
      >
        <rect
          x="4"
          y={124 - height}
          width="120"
          height={height}
          rx={Math.min(6, height / 2)}
          fill={palette.leaf.doughPale}
          stroke={palette.leaf.crust}
          strokeDasharray={bakedMm === undefined ? '4 3' : undefined}
        />
        <rect x="4" y={124 - height} width="120" height={Math.min(5, height / 3)} rx="2" fill={colour(top)} />
        <rect x="4" y={124 - Math.min(4, height / 3)} width="120" height={Math.min(4, height / 3)} rx="2" fill={colour(base)} />
        <path d={`M134 ${124 - height}h8m-4 0v${height}m-4 0h8`} stroke={palette.text.secondary} fill="none" />
      </svg>
      <Box sx={{ fontSize: typeSize.small, lineHeight: '20px' }}>
        {mm === null
          ? t('trials.thicknessNotKnown')
          : `${showQuantity(mm, 'length', units)} ${bakedMm === undefined ? t('trials.forecast') : t('trials.measured')}`}
        <br />
        {t('trials.toneTopWord', { top: top.toFixed(1), word: tone === undefined ? t('trials.forecast') : t('trials.seen') })}
        {ratedWhats.map((axis) => (
          <Box key={axis} sx={{ display: 'flex', justifyContent: 'space-between' }}>
            <span>{t(`common.axis.${axis}`)}</span>
            <span aria-label={rated?.[axis] === undefined ? t('common.notRated') : t('trials.ratedOf5', { rated: rated[axis] })}>
              {rated?.[axis] === undefined ? '–' : `${'●'.repeat(rated[axis])}${'○'.repeat(5 - rated[axis])}`}
            </span>
          </Box>
        ))}
      </Box>
    </>
  );
}

const changeNames: Readonly<Record<string, string>> = {
  blend: t('common.blend'),
  thickness: t('common.thickness2'),
  bakeTime: t('trials.timeInTheOven'),
  bakeHeat: t('trials.heatOfTheOven'),
  oven: t('trials.ovenAndTray'),
  air: t('trials.airOfTheDay'),
  chill: t('trials.chillAndRest'),
  sheet: t('trials.shapeAndRolling'),
  keep: t('trials.coolingAndPacking'),
  mix: t('common.orderOfMixing'),
  other: t('common.doughTemperature'),
};

/** A change by the name of what it is about; what was only put in at one of the two bakes is named too. */
function nameOfChange({ key }: Pick<Change, 'key'>, links: readonly Link[], nameOf: (ingredientId: string) => string): string {
  if (!key.startsWith('row:')) return changeNames[key] ?? key;
  const rows = links.flatMap(({ bake, version }) => asBaked(version.formula, bake.events).formula.rows);
  const row = rows.find((one) => `row:${one.key}` === key);
  return row ? nameOf(row.ingredientId).split(/[,(]/)[0]!.trim() : t('trials.somethingAdded');
}

function amounts({ key, from, to }: Change, units: Units): string {
  if (typeof from !== 'number' || typeof to !== 'number') return '';
  const kind = key.startsWith('row:')
    ? 'mass'
    : key === 'thickness'
      ? 'length'
      : key === 'bakeTime'
        ? 'minutes'
        : key === 'bakeHeat'
          ? 'temperature'
          : null;
  if (key === 'air') return t('trials.fromDampToDamp', { from: Math.round(from * 100), to: Math.round(to * 100) });
  return kind === null ? '' : `${showQuantity(from, kind, units).replace(/ [^ ]+$/, '')} → ${showQuantity(to, kind, units)}`;
}

const points = (value: number) => `${value >= 0.05 ? '+' : value <= -0.05 ? '−' : ''}${Math.abs(value).toFixed(1)}`;
const effect = ({ value, sd }: Pick<Effect, 'value' | 'sd'>) => `${points(value)} ± ${sd.toFixed(1)}`;

/** Between two bakes: the changes, each with its share of what came of them, and what none of them explains. */
function Arrow({ explained, before, after, waiting }: { explained: Explanation | null; before: Link; after: Link; waiting: boolean }) {
  const { palette } = useTheme();
  const nameOf = useNames([after, before]);
  const nameOfThis = (change: Change) => nameOfChange(change, [after, before], nameOf);
  return (
    <Box
      component="section"
      aria-label={t('trials.fromBakeNumberToNumber2', { number: before.bake.number, number2: after.bake.number })}
      aria-busy={waiting}
      sx={{
        flex: 1,
        minWidth: 260,
        alignSelf: 'center',
        borderBottom: `3px solid ${palette.primary.main}`,
        position: 'relative',
        pb: 2,
        '&::after': { content: '"›"', position: 'absolute', right: -6, bottom: -21, fontSize: typeSize.timer, color: 'primary.main' },
      }}
    >
      {waiting && <Skeleton height={80} />}
      {explained && <EffectTable explained={explained} nameOfThis={nameOfThis} />}
      {explained && explained.next !== null && explained.mixedUp[0] && (
        <Box sx={{ fontSize: typeSize.small, pt: 1 }}>
          <Typography component="span" sx={{ fontWeight: 680, fontSize: typeSize.small }}>
            {t('trials.changesAndChanges2MovedTogether', {
              changes: nameOfThis(explained.changes[explained.mixedUp[0][0]]!),
              changes2: nameOfThis(explained.changes[explained.mixedUp[0][1]]!).toLowerCase(),
            })}
          </Typography>{' '}
          {t('trials.oneMoreBakeLikeNumberWithOnly', {
            number: after.bake.number,
            changes: nameOfThis(explained.changes[explained.next]!).toLowerCase(),
            number2: before.bake.number,
          })}
        </Box>
      )}
    </Box>
  );
}

/** What each change did, and what is left. */
function EffectTable({ explained, nameOfThis }: { readonly explained: Explanation; readonly nameOfThis: (change: Change) => string }) {
  const { units } = usePreferences();
  const { palette } = useTheme();
  return (
    <Box
      component="table"
      sx={{
        width: '100%',
        fontSize: typeSize.small,
        borderCollapse: 'collapse',
        '& td, & th': { py: '3px', textAlign: 'left', verticalAlign: 'top' },
      }}
    >
      <thead>
        <Box component="tr" sx={{ color: 'text.secondary', fontSize: typeSize.caption }}>
          <th scope="col">{t('trials.changed')}</th>
          <th scope="col">{t('common.crisp2')}</th>
          <th scope="col">{t('common.tender2')}</th>
        </Box>
      </thead>
      <tbody>
        {explained.changes.map((change) => (
          <tr key={change.key}>
            <th scope="row" style={{ fontWeight: 600 }}>
              {nameOfThis(change)}
              <Box sx={{ fontWeight: 400, fontSize: typeSize.caption, color: 'text.secondary' }}>{amounts(change, units)}</Box>
            </th>
            <td>{effect(change.crisp)}</td>
            <td>{effect(change.tender)}</td>
          </tr>
        ))}
        {explained.changes.length === 0 && (
          <tr>
            <td colSpan={3}>{t('trials.nothingThatTheRecordHolds')}</td>
          </tr>
        )}
        <Box component="tr" sx={{ borderTop: `1px solid ${palette.divider}`, color: 'text.secondary' }}>
          <th scope="row" style={{ fontWeight: 400 }}>
            {t('trials.notExplained')}
          </th>
          <td>{explained.notExplained.crisp ? effect(explained.notExplained.crisp) : t('common.notRated')}</td>
          <td>{explained.notExplained.tender ? effect(explained.notExplained.tender) : t('common.notRated')}</td>
        </Box>
      </tbody>
    </Box>
  );
}
