import { useCallback, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  bowlDough,
  feelAnswer,
  feelsByWarmth,
  handWordOrder,
  type FeelAnswer,
  type FeelsByWarmth,
  type HandWord,
  type StepProgress,
  showQuantity,
} from '@north-leaf/core';
import { usePreferences, useVoice } from '../../../platform/preferences';
import { handWordsOf } from '../../../ui/words/words';
import { Answers } from '../bench/answers';
import { bench } from '../bench/bench-style';
import { Palm } from './feel-pictures';
import { useNext, type Advance } from '../bench/next-press';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';
import { spoons, feelWords } from './feel-words';

type Props = { readonly run: RunInHand; readonly progress: StepProgress; readonly advance: Advance };

/** The hand's word, and what it asks for in grams. */
export function FeelStep({ run, progress, advance }: Props) {
  const voice = useVoice();
  const feeling = useFeeling(advance, progress, run);
  const { right, bowl, word, take, press, warmth, isRight, dosing, answer, dosesGiven, button } = feeling;
  return (
    <Box sx={{ display: 'grid', gap: 4 }}>
      <Box sx={bench.text}>
        {feelWords(right, progress.step.handling)}{' '}
        {bowl?.dough.pours &&
          t('runs.pouredwaterOfWaterIsInWord', {
            pouredWater: voice.show(bowl.dough.pours.amountG, 'mass'),
            liquid: liquidName(bowl.dough.pours.name),
            word: bowl.heldG > 0.5 ? t('runs.heldIsHeldBack', { held: voice.show(bowl.heldG, 'mass') }) : '',
          })}
      </Box>
      <Answers
        label={t('runs.howTheDoughFeels')}
        answers={handWordOrder.map((key) => ({ key, label: handWordsOf(progress.step.handling)[key], picture: <Palm word={key} /> }))}
        chosen={word}
        onTake={take}
        onAgain={press}
        onBack={advance.back}
      />
      <Box aria-live="polite" sx={{ display: 'grid', gap: 3 }}>
        {warmth && <Warmth {...warmth} />}
        {word && !warmth && (
          <FeelSaid
            liquid={liquidName(bowl?.dough.pours?.name ?? '')}
            isRight={isRight}
            answer={dosing ? answer : null}
            dosesGiven={dosesGiven}
            wantedThirst={run.formula.blend.name}
          />
        )}
        {button && <FeelButtons feeling={feeling} />}
      </Box>
    </Box>
  );
}

/** What the hand says, what follows from it, and what is noted of it. */
function useFeeling(advance: Advance, progress: StepProgress, run: RunInHand) {
  const voice = useVoice();
  const { step } = progress;
  const [word, setWord] = useState<HandWord | null>(null);
  const [busy, setBusy] = useState(false);
  const bowl = bowlDough({ formula: run.formula, kitchen: run.kitchen, pantry: run.pantry }, run.run.steps, run.events);
  const water = run.formula.rows.find(({ key }) => key === bowl?.dough.pours?.rowKey);
  const doses = run.events.filter(
    ({ stepKey, what }) => stepKey === step.key && what.kind === 'weighed' && what.rowKey === (water?.key ?? 'b1'),
  ).length;
  const wetDoses = run.events.filter(
    ({ stepKey, what }) => stepKey === step.key && what.kind === 'weighed' && what.rowKey === run.formula.blend.rows[0]?.key,
  ).length;
  const dosesGiven = Math.max(doses, wetDoses);
  const answer: FeelAnswer =
    word && bowl
      ? feelAnswer(
          word,
          bowl.dough,
          { getsG: bowl.dough.getsG, heldG: bowl.heldG, dosesGiven },
          { formula: bowl.formula, kitchen: run.kitchen, pantry: run.pantry },
        )
      : null;
  const [asItIs, setAsItIs] = useState(false);
  const right = bowl?.dough.rightHandWords ?? ['rollsClean'];
  const isRight = word !== null && right.includes(word);
  // A word that is right for this dough needs no excuse.
  const warmth = word && !isRight && !asItIs ? feelsByWarmth(word, run.run.steps, run.state.measured.doughC) : null;
  const take = useCallback((key: string) => setWord(key as HandWord), []);

  const said = async (then: 'dose' | 'end') => {
    if (!word || busy) return;
    setBusy(true);
    const stepKey = step.key;
    const events: Parameters<RunInHand['say']> = [{ stepKey, what: { kind: 'felt', word } }];
    if (then === 'dose' && answer?.adds === 'water' && water)
      events.push({ stepKey, what: { kind: 'weighed', rowKey: water.key, addedG: answer.doseG } });
    if (then === 'dose' && answer?.adds === 'blend') {
      for (const row of run.formula.blend.rows)
        events.push({ stepKey, what: { kind: 'weighed', rowKey: row.key, addedG: row.share * answer.doseG } });
      for (const dose of answer.withIt) {
        const row = run.formula.rows.find(({ ingredientId }) => run.pantry.ingredients[ingredientId]?.name === dose.name);
        if (row) events.push({ stepKey, what: { kind: 'weighed', rowKey: row.key, addedG: dose.amountG } });
      }
    }
    if (then === 'end') events.push({ stepKey, what: { kind: 'stepEnded' } });
    await run.say(...events);
    setWord(null);
    setBusy(false);
    if (then === 'end') advance.forward();
  };

  const dosing = answer !== null && !(answer.adds === 'water' && !water);
  const button = !word
    ? null
    : warmth
      ? t('runs.iWillFeelItAgain')
      : isRight
        ? t('runs.goOn')
        : !dosing
          ? t('runs.leaveItGoOn')
          : answer.adds === 'water'
            ? t('runs.spoonsIn', { spoons: capital(spoons(answer.spoons ?? 0)) })
            : t('runs.doseOfBlendIn', { dose: voice.show(answer.doseG, 'mass') });
  const press = () => (warmth ? setWord(null) : word ? void said(dosing && !isRight ? 'dose' : 'end') : undefined);
  useNext(advance, {
    label: button ?? t('runs.next'),
    detail: word ? '' : t('runs.sayHowItFeels'),
    filled: word !== null,
    press,
  });
  return { right, bowl, word, take, press, warmth, isRight, dosing, answer, dosesGiven, button, busy, setAsItIs, said };
}

type Feeling = ReturnType<typeof useFeeling>;

/** What can be done with the word. */
function FeelButtons({ feeling }: { readonly feeling: Feeling }) {
  const { busy, press, button, warmth, setAsItIs, dosing, isRight, said } = feeling;
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
      <Button variant="contained" disabled={busy} sx={bench.button} onClick={press}>
        {button}
      </Button>
      {warmth && (
        <Button variant="outlined" sx={bench.button} onClick={() => setAsItIs(true)}>
          {t('runs.goByThisWordAllTheSame')}
        </Button>
      )}
      {dosing && !isRight && !warmth && (
        <Button variant="outlined" disabled={busy} sx={bench.button} onClick={() => void said('end')}>
          {t('runs.leaveItGoOn')}
        </Button>
      )}
    </Box>
  );
}

const liquidName = (name: string) => name.split(/[,(]/)[0]!.trim().toLowerCase();
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** The temperature explains the word: it is mended first. */
function Warmth({ is, measuredC, plannedC }: FeelsByWarmth) {
  const { units } = usePreferences();
  const show = (celsius: number) => showQuantity(celsius, 'temperature', units, 0);
  return (
    <Box sx={bench.text}>
      <b>{t('runs.itIsMeasuredPlannedWasPlanned', { measured: show(measuredC), planned: show(plannedC) })}</b>{' '}
      {is === 'warm'
        ? t('runs.softFatFeelsLikeTooMuchWater', { planned: show(plannedC) })
        : t('runs.firmFatFeelsLikeTooLittleWater', { planned: show(plannedC) })}
    </Box>
  );
}

function FeelSaid({
  isRight,
  answer,
  dosesGiven,
  wantedThirst,
  liquid,
}: {
  liquid: string;
  isRight: boolean;
  answer: FeelAnswer;
  dosesGiven: number;
  wantedThirst: string;
}) {
  const voice = useVoice();
  if (isRight) return <Box sx={bench.title}>{t('runs.itIsRight')}</Box>;
  if (!answer)
    return (
      <Box sx={bench.text}>
        <b>{t('runs.stopHere')}</b> {dosesGiven >= 2 ? t('runs.twoDosesAreInAThirdChases') : t('runs.nothingInThisFormulaMendsIt')}
      </Box>
    );
  const drinks = (answer.impliedThirst - 1) * 100;
  return (
    <Box>
      <Box sx={bench.title}>
        {answer.adds === 'water'
          ? t('runs.addSpoonsOfWaterDoseMix20', { liquid, spoons: spoons(answer.spoons ?? 0), dose: voice.show(answer.doseG, 'mass') })
          : t('runs.addDoseOfTheBlendWithitMix', {
              dose: voice.show(answer.doseG, 'mass'),
              withIt: answer.withIt
                .map(({ name, amountG }) => `, ${voice.show(amountG, 'mass')} ${name.split(',')[0]!.toLowerCase()}`)
                .join(''),
            })}
      </Box>
      <Box sx={{ ...bench.text, color: 'text.secondary' }}>
        {t('runs.wordAboutTotal', {
          word: answer.dose === 1 ? t('runs.firstOfTwoDosesHalfOf') : t('runs.secondAndLastDoseTheRestOf'),
          total: voice.spread(answer.totalG, answer.sdG, 'mass'),
        })}{' '}
        {answer.orStarch.length > 0 &&
          t('runs.orOrstarch', {
            orStarch: answer.orStarch
              .map(({ name, amountG }) => `${voice.show(amountG, 'mass')} ${name.split(/[,(]/)[0]!.trim().toLowerCase()}`)
              .join(', '),
          })}
        {t('runs.ifItMakesItRightWantedthirstDrinks', {
          wantedThirst,
          drinks: Math.abs(drinks).toFixed(0),
          word: drinks >= 0 ? t('common.more') : t('common.less2'),
        })}
      </Box>
    </Box>
  );
}
