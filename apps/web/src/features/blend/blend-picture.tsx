import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { bendIndexRange, binderRatioRange, families, gritLimit, type BlendResult, type BlendRole, type Family } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize, under } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { Fact } from '../../ui/frame/fact-tile';
import { GoodRange } from '../../ui/drawing/good-range';
import { showMoney } from '../../ui/words/money';
import { useBlendSearch } from './blend-search';
import { OnWholeBoard, useAnswer, useFormula, useSurroundings } from '../board/doors';
import { t } from '../../platform/words';

const roleWords: Record<BlendRole, string> = {
  grain: t('blend.grain'),
  starch: t('common.starch'),
  sticky: t('blend.stickyStarch'),
  nut: t('common.nut'),
  gum: t('common.gum'),
  other: t('blend.other'),
};
const percent = (share: number, digits = 0) => `${(share * 100).toFixed(digits)} %`;

/** Roles in proportion, how the blend behaves beside what the family needs, and each gum against its need. */
export function BlendPicture() {
  const voice = useVoice();
  const { evaluation, stale } = useAnswer();
  const formula = useFormula();
  const { kitchen } = useSurroundings();
  const answer = useBlendSearch(({ found, chosen }) =>
    found?.answers.answer.status === 'found' ? found.answers.answer.answers[chosen] : undefined,
  );
  if (evaluation.blend.state === 'waiting') return null;
  const { result } = evaluation.blend;
  const family = families[formula.family]!;
  return (
    <Box sx={{ display: 'grid', gap: 4, opacity: stale ? 0.6 : 1 }}>
      <Roles result={result} />
      <Box>
        <Typography variant="h3" sx={{ pb: 1 }}>
          {t('blend.howItWillBehave')}
        </Typography>
        <Behaviour result={result} family={family} then={answer?.brings} />
        <Note>
          {t('blend.dashedGoodRangeFromTheModelNo')} {answer && t('blend.uprightBarWithTheAnswerBelow')}
        </Note>
      </Box>
      <OnWholeBoard>
        <Gums result={result} />
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: '1.2fr 0.95fr 0.95fr 1.5fr 1fr',
            gap: 2,
            [under.phone]: { gridTemplateColumns: 'repeat(2, 1fr)' },
          }}
        >
          <Fact label={t('blend.waterHold')} value={`${result.waterHoldGPerG.toFixed(2)} g/g`} />
          <Fact label={t('blend.protein')} value={percent(result.composition.proteinShare, 1)} />
          <Fact label={t('common.fibre')} value={percent(result.composition.fibreShare, 1)} />
          <Fact
            label={t('blend.starchesSet')}
            value={result.setsFromC === null ? '–' : voice.range(result.setsFromC, result.setsToC ?? result.setsFromC, 'temperature')}
          />
          <Fact
            label={
              result.pricedShare > 0.995 || result.costMinorPerKg === null
                ? t('blend.perKg')
                : t('blend.perKgPricedPriced', { priced: percent(result.pricedShare) })
            }
            value={result.costMinorPerKg === null ? '–' : showMoney(result.costMinorPerKg, kitchen.currency)}
          />
        </Box>
      </OnWholeBoard>
    </Box>
  );
}

function Roles({ result }: { result: BlendResult }) {
  const { palette } = useTheme();
  const fills: Record<BlendRole, [string, string]> = {
    grain: [palette.make.grain, palette.onMake.grain],
    starch: [palette.make.starch, palette.onMake.starch],
    sticky: [palette.make.starch, palette.onMake.starch],
    nut: [palette.make.fat, palette.onMake.fat],
    gum: [palette.make.fibre, palette.onMake.fibre],
    other: [palette.make.protein, palette.onMake.protein],
  };
  const shares = (Object.keys(roleWords) as BlendRole[])
    .map((role) => ({
      role,
      share: result.rows.filter((row) => row.role === role).reduce((sum, { amountG }) => sum + amountG, 0) / result.blendG,
    }))
    .filter(({ share }) => share > 0);
  return (
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
              fontSize: typeSize.small,
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
            {wordFor(role, share)}
          </Box>
        ))}
      </Box>
      <Note pt={1}>{shares.map(({ role, share }) => `${roleWords[role].toLowerCase()} ${percent(share, 1)}`).join(' · ')}</Note>
    </Box>
  );
}

/** As much as fits: about 6.6 px a letter in a bar of about 465. */
function wordFor(role: BlendRole, share: number): string {
  const room = (share * 465 - 14) / 6.6;
  const words = roleWords[role];
  return [`${words} ${percent(share)}`, words, words.split(' ')[0]!, ''].find((text) => text.length <= room) ?? '';
}

type Strip = {
  readonly label: string;
  readonly value: number;
  readonly low?: number;
  readonly high?: number;
  readonly from: number;
  readonly to: number;
  readonly key: string;
  readonly show: (value: number) => string;
};

/** What each strip shows, and under which name an answer speaks of it. */
function stripsOf(result: BlendResult, family: Family): Strip[] {
  return [
    { label: t('common.starch'), key: 'starch', value: result.starchShare, low: family.starchPercent[0] / 100, high: family.starchPercent[2] / 100, from: 0, to: 0.8, show: percent },
    { label: t('common.grainAndPulse'), key: 'grain', value: result.proteinTypeShare, low: family.proteinTypePercent[0] / 100, high: family.proteinTypePercent[2] / 100, from: 0, to: 1, show: percent },
    { label: t('blend.bend'), key: 'bend', value: result.bendIndex, low: bendIndexRange.values.low, high: bendIndexRange.values.high, from: 0, to: 3, show: (v) => v.toFixed(2) },
    { label: t('blend.bindsOfNeed'), key: 'binder', value: result.binderRatio, low: binderRatioRange.values.low, high: binderRatioRange.values.high, from: 0, to: 2, show: percent },
    { label: t('blend.grit'), key: 'grit', value: result.gritIndex, low: 0, high: gritLimit.value, from: 0, to: 2.5, show: (v) => v.toFixed(2) },
  ]; // prettier-ignore
}

function Behaviour({ result, family, then }: { result: BlendResult; family: Family; then: Readonly<Record<string, number>> | undefined }) {
  return (
    <>
      {stripsOf(result, family).map(({ key, show, ...strip }) => {
        const next = then?.[key];
        const moved = next !== undefined && show(next) !== show(strip.value);
        return (
          <GoodRange
            key={key}
            {...strip}
            then={moved ? next : undefined}
            text={moved ? `${show(strip.value)} → ${show(next)}` : show(strip.value)}
          />
        );
      })}
    </>
  );
}

/** Each gum against what the family takes of it alone; what a bought blend already holds counts. */
function Gums({ result }: { result: BlendResult }) {
  const { palette } = useTheme();
  if (result.gums.length === 0) return <Box sx={{ fontSize: typeSize.small }}>{t('blend.noGumInItTheSheetWill')}</Box>;
  const most = Math.max(1.2, ...result.gums.map(({ ofNeed }) => ofNeed));
  return (
    <Box>
      <Typography variant="h3" sx={{ pb: 1 }}>
        {t('blend.gumsAgainstWhatThisFamilyNeeds')}
      </Typography>
      {result.gums.map(({ ingredientId, name, percent: dose, window, ofNeed, held }) => (
        <Box
          key={ingredientId}
          sx={{
            display: 'grid',
            gridTemplateColumns: '150px 1fr 200px',
            [under.phone]: { gridTemplateColumns: '1fr 60px', '& > :last-child': { gridColumn: '1 / -1' } },
            gap: 3,
            alignItems: 'center',
            minHeight: 26,
            fontSize: typeSize.small,
          }}
        >
          <span>{held ? t('blend.nameHolds', { name }) : name}</span>
          <Box sx={{ position: 'relative', height: 12, borderBottom: `1px solid ${palette.leaf.edge}` }}>
            <Box
              sx={{ position: 'absolute', left: 0, bottom: 0, height: 9, width: `${(100 * ofNeed) / most}%`, bgcolor: palette.make.fibre }}
            />
            <Box
              sx={{ position: 'absolute', left: `${100 / most}%`, bottom: -3, height: 15, borderLeft: `2px solid ${palette.text.primary}` }}
              title={t('blend.allOfTheNeed')}
            />
          </Box>
          <Box sx={{ textAlign: 'right' }}>
            <b>{dose.toFixed(dose < 1 ? 2 : 1)} %</b>
            {window
              ? t('blend.ofWindowAloneWindow2ToWindow3', { window: window[1], window2: window[0], window3: window[2] })
              : ofNeed > 0
                ? t('blend.ofneedOfTheNeed', { ofNeed: percent(ofNeed) })
                : t('blend.noNeedOfIt')}
          </Box>
        </Box>
      ))}
      <Note>{t('blend.uprightLineTheWholeNeedFromThat', { binderRatio: percent(result.binderRatio) })}</Note>
    </Box>
  );
}
