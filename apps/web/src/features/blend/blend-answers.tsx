import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  editsBetween,
  outAndIn,
  rowsOfAnswer,
  type Conflict,
  type Formula,
  type FoundBlend,
  type LeftOut,
  type Limit,
  type Pantry,
  showQuantity,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences, useVoice } from '../../platform/preferences';
import { useBlendSearch } from './blend-search';
import { useDraft, newKey } from '../formulas/doors';
import { useSurroundings } from '../board/doors';
import { goalWords, shownGoal } from './goal-words';
import { t } from '../../platform/words';

/** Up to three answers, each as what to take out and what to put in; or why there is none. */
export function BlendAnswers() {
  const { pantry, kitchen } = useSurroundings();
  const { found, chosen, set } = useBlendSearch();
  const formula = useDraft((state) => state.formula);
  const { palette } = useTheme();
  if (!found) return null;
  const { answer, leftOut } = found.answers;
  const old = found.of.blend.rows !== formula.blend.rows || found.of.blendG !== formula.blendG;
  return (
    <Box
      component="section"
      aria-label={t('blend.answers')}
      aria-live="polite"
      sx={{ pt: 4, borderTop: `1px solid ${palette.divider}`, mt: 4 }}
    >
      {answer.status === 'found' && (
        <>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, flexWrap: 'wrap' }}>
            <ToggleButtonGroup
              exclusive
              value={chosen}
              onChange={(_, next: number | null) => next !== null && set({ chosen: next })}
              aria-label={t('blend.whichAnswer')}
            >
              {answer.answers.map((_, i) => (
                <ToggleButton key={i} value={i}>
                  {t('blend.answerI', { i: i + 1 })}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            {old && <Box sx={{ fontSize: typeSize.small, color: 'warning.main' }}>{t('blend.theBlendHasChangedSinceTheseWere')}</Box>}
            <Button size="small" sx={{ ml: 'auto' }} onClick={() => set({ found: null })}>
              {t('blend.putAway')}
            </Button>
          </Box>
          <OneAnswer key={chosen} answer={answer.answers[chosen]!} number={chosen + 1} of={found.of} pantry={pantry} what={found.what} />
        </>
      )}
      {answer.status === 'impossible' && <Impossible conflict={answer.conflict} pantry={pantry} currency={kitchen.currency} />}
      {answer.status === 'gaveUp' && <Box>{t('blend.noAnswerWithinTheTimeAllowFewer')}</Box>}
      <LeftOutLine leftOut={leftOut} pantry={pantry} />
    </Box>
  );
}

type OneProps = {
  readonly answer: FoundBlend;
  readonly number: number;
  readonly of: Formula;
  readonly pantry: Pantry;
  readonly what: 'found' | 'imitated';
};
function OneAnswer({ answer, number, of, pantry, what }: OneProps) {
  const voice = useVoice();
  const units = usePreferences((state) => state.units);
  const { kitchen } = useSurroundings();
  const { edit } = useDraft.getState();
  const { out, in: putIn } = outAndIn(of.blend, answer.shares, 1e-6);
  const nameOf = (id: string) => pantry.ingredients[id]?.name ?? id;
  const side = (title: string, changes: typeof out, sign: string) => (
    <Box sx={{ flex: 1, minWidth: 180 }}>
      <Typography variant="h3">{title}</Typography>
      {changes.length === 0 && <Note size="small">{t('blend.nothing')}</Note>}
      {changes.map(({ ingredientId, byShare }) => (
        <Box
          key={ingredientId}
          sx={{ display: 'grid', gridTemplateColumns: '1fr auto auto', gap: 2, fontSize: typeSize.small, lineHeight: '20px' }}
        >
          <span>{nameOf(ingredientId)}</span>
          <span>
            {sign}
            {(byShare * 100).toFixed(byShare < 0.01 ? 2 : 1)}
          </span>
          <Box component="span" sx={{ color: 'text.secondary', minWidth: 62, textAlign: 'right' }}>
            {showQuantity(byShare * of.blendG, 'mass', units)}
          </Box>
        </Box>
      ))}
    </Box>
  );
  // Under five steps of the scale a reading is more than a tenth out.
  const tooFine = Object.entries(answer.grams ?? {}).filter(([, g]) => g < 5 * kitchen.scaleStepG);
  const use = () =>
    edit(`answer:${Date.now()}`, (from) => {
      let n = 0;
      const stem = newKey();
      const { uncertainShare: _old, ...blend } = from.blend;
      return editsBetween(from, { ...from, blend: { ...blend, rows: rowsOfAnswer(from.blend, answer.shares, () => `${stem}${n++}`) } });
    });
  return (
    <Box sx={{ pt: 3 }}>
      <Box sx={{ display: 'flex', gap: 6, flexWrap: 'wrap' }}>
        {side(t('common.takeOut'), out, '−')}
        {side(t('blend.putIn'), putIn, '+')}
      </Box>
      <Note pt={1}>
        {t('blend.eachSideIsValueOfTheBlend', { value: (putIn.reduce((sum, { byShare }) => sum + byShare, 0) * 100).toFixed(2) })}
      </Note>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', pt: 3, flexWrap: 'wrap' }}>
        <Button variant="contained" onClick={use}>
          {t('blend.useAnswerNumber', { number })}
        </Button>
        <Note size="small">
          {saysOf(answer, what)}
          {!answer.proven && t('blend.betterOnesMayExistTheSearchWas')} {t('blend.wholeStepsOfYourScale')}{' '}
          {tooFine.length > 0 &&
            t('blend.onAFinerScaleToofine', {
              tooFine: tooFine.map(([id, g]) => `${nameOf(id)} ${voice.exact(g, 'mass', 2)}`).join(', '),
            })}{' '}
          {t('blend.holdAndGritAddByMassAn')}
        </Note>
      </Box>
    </Box>
  );
}

function saysOf({ missed, brokenBySteps }: FoundBlend, what: OneProps['what']): string {
  if (brokenBySteps.length > 0) return t('blend.yourScalesStepsAreTooCoarseTo');
  if (missed >= 0.005) return t('blend.missesItsWishesByMissedNoticeableSteps', { missed: missed.toFixed(1) });
  return what === 'imitated' ? t('blend.behavesLikeTheBoxInAllThat') : t('blend.everyWishIsMet');
}

/** Which wishes clash, and how far each alone would have to give. */
function Impossible({ conflict, pantry, currency }: { conflict: Conflict; pantry: Pantry; currency: string }) {
  const say = (limit: Limit, value: number) => {
    const { words, times, unit } = goalWords(limit.key, limit.side === 'lo' ? 'atLeast' : 'atMost', pantry, currency);
    return `${words} ${shownGoal(value, times)} ${unit}`.trim();
  };
  if (conflict.structural) {
    return <Box role="alert">{t('blend.noBlendCanBeMadeOfWhat')}</Box>;
  }
  return (
    <Box role="alert">
      <Typography variant="h2">{t('blend.noBlendDoesAllOfThat')}</Typography>
      <Box sx={{ py: 1 }}>
        {t('blend.theseCannotHoldAtOnceClash', { clash: conflict.clash.map((limit) => say(limit, limit.value)).join('; ') })}
      </Box>
      {conflict.alone.length > 0 ? (
        <>
          <Box sx={{ fontWeight: 650, pt: 1 }}>{t('blend.aloneOneOfThemWouldHaveTo')}</Box>
          {conflict.alone.map((limit) => {
            const { times, unit } = goalWords(limit.key, limit.side === 'lo' ? 'atLeast' : 'atMost', pantry, currency);
            return (
              <Box key={limit.name} sx={{ fontSize: typeSize.body }}>
                {say(limit, limit.value)} → {outward(limit, times)} {unit}
              </Box>
            );
          })}
        </>
      ) : (
        <Box>
          {t('blend.noSingleOneOfThemCanMend', {
            together: conflict.together
              .map((limit) => `${say(limit, limit.value)} → ${outward(limit, goalWords(limit.key, 'atLeast', pantry, currency).times)}`)
              .join('; '),
          })}
        </Box>
      )}
    </Box>
  );
}

/** The number a limit would have to go to, rounded to the side where it still works. */
function outward({ needed, side }: { readonly needed: number; readonly side: 'lo' | 'hi' }, times: number): string {
  const shown = needed * times * 100;
  return String((side === 'lo' ? Math.floor(shown + 1e-6) : Math.ceil(shown - 1e-6)) / 100);
}

const whyWords: Record<LeftOut['why'], string> = {
  doesNotSuit: t('blend.doNotSuit'),
  notProven: t('blend.haveNoGlutenReport'),
  overLimit: t('blend.areOverYourGlutenLimit'),
  noPrice: t('blend.haveNoPrice'),
  notHere: t('blend.areNotInThePantry'),
};

function LeftOutLine({ leftOut, pantry }: { leftOut: readonly LeftOut[]; pantry: Pantry }) {
  const groups = (Object.keys(whyWords) as LeftOut['why'][])
    .map((why) => ({ why, names: leftOut.filter((one) => one.why === why).map(({ id }) => pantry.ingredients[id]?.name ?? id) }))
    .filter(({ names }) => names.length > 0);
  if (groups.length === 0) return null;
  return (
    <Note pt={3}>
      {t('blend.notLookedAtGroups', {
        groups: groups
          .map(
            ({ why, names }) =>
              `${names.length > 4 ? t('blend.namesThat', { names: names.length }) : `${names.join(', ')}:`} ${whyWords[why]}`,
          )
          .join('; '),
      })}
    </Note>
  );
}
