import { memo, useDeferredValue } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  binderRatioRange,
  families,
  gritLimit,
  handWordOrder,
  spoonWaterG,
  type BakersPercents,
  type DoughResult,
  type Family,
  type SpreadOfWater,
  showQuantity,
  type Handling,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { Section } from '../../ui/frame/section';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences, useVoice } from '../../platform/preferences';
import { GoodRange } from '../../ui/drawing/good-range';
import { handWordsOf } from '../../ui/words/words';
import { useDraft } from '../formulas/doors';
import { OnWholeBoard, useEarlyDough, useAnswer, useHandling, useSurroundings, Waiting } from '../board/doors';
import { MixSteps } from './mix-steps';
import { t } from '../../platform/words';
import { Sentence } from '../../ui/words/sentence';

/** What the dough is: its water today, its balance against the family, its fat, what binds it, and the order it goes together in. */
export function DoughPicture() {
  const { evaluation } = useAnswer();
  const family = useDraft((state) => state.formula.family);
  const early = useEarlyDough((state) => state.dough);
  // Drawn after the key that changed it is on the screen.
  const dough = useDeferredValue(early ?? evaluation.dough);
  return dough.state === 'waiting' ? <Waiting stage="dough" /> : <Figures result={dough.result} family={families[family]!} />;
}

/** Drawn when the dough is answered, not again when the rest of the Line is. */
const Figures = memo(function Figures({ result, family }: { result: DoughResult; family: Family }) {
  return (
    <Box sx={{ display: 'grid', gap: 4 }}>
      <Box data-gets={result.getsG.toFixed(2)} data-testid="water-in">
        <HandChances result={result} />
      </Box>
      <Ladder result={result} />
      <WantsAndGets result={result} />
      <OnWholeBoard>
        <Balance result={result} family={family} />
        <Fats result={result} />
        <Binders result={result} />
        <Box>
          <MixSteps />
          <Standing result={result} />
        </Box>
      </OnWholeBoard>
    </Box>
  );
});

/** What the wet dough's standing does: softens fine grit, lets starch and husk drink. */
function Standing({ result: { standingMin, gritRaw, gritFelt } }: { result: DoughResult }) {
  return (
    <Box sx={{ fontSize: typeSize.caption, color: 'text.secondary', pt: 2 }} data-testid="standing">
      {standingMin > 0
        ? t('dough.standsStandingMinBeforeItIsCold', {
            standing: Math.round(standingMin),
            gritRaw: gritRaw.toFixed(1),
            gritFelt: gritFelt.toFixed(1),
            value: gritLimit.value,
          })
        : t('dough.itDoesNotStandBeforeItIs')}
    </Box>
  );
}

type Percent = { readonly name: keyof BakersPercents; readonly label: string; readonly window: Family['fatPercent'] | undefined };

/** Each number that the family has a window for, where the window or the dough has any of it. */
function Balance({ result, family }: { result: DoughResult; family: Family }) {
  const { percents } = result;
  const shown: readonly Percent[] = [
    { name: 'fat', label: t('dough.fatOnBlend'), window: family.fatPercent },
    { name: 'water', label: t('dough.waterGumApart'), window: family.waterPercent },
    { name: 'sugar', label: t('dough.sugar'), window: family.sugarPercent },
    { name: 'egg', label: t('dough.egg'), window: family.eggPercent },
    { name: 'salt', label: t('dough.salt'), window: family.saltPercent },
    { name: 'leavener', label: t('dough.leavener'), window: family.leavenerPercent },
    { name: 'yeast', label: t('dough.driedYeast'), window: family.yeastPercent },
    { name: 'nuts', label: t('dough.groundNuts'), window: family.nutPercent },
  ];
  return (
    <Box component="section" aria-label={t('dough.balance')}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', pb: 1 }}>
        <Typography variant="h3">{t('dough.balance')}</Typography>
        <Box sx={{ fontSize: typeSize.caption, color: 'text.secondary' }} title={family.source}>
          {t('dough.ofBlendDashedName', { name: family.name.toLowerCase() })}
        </Box>
      </Box>
      {shown.map(
        ({ name, label, window }) =>
          window &&
          (window[2] > 0 || percents[name] > 0) && (
            <GoodRange
              key={name}
              label={label}
              value={percents[name]}
              low={window[0]}
              high={window[2]}
              from={0}
              to={Math.max(1, window[2] * 1.5, percents[name] * 1.05)}
              text={`${percents[name].toFixed(1)} %`}
            />
          ),
      )}
      {(result.needsBinder || result.binderRatio > 0) && (
        <GoodRange
          label={t('dough.gumOfItsNeed')}
          value={result.binderRatio}
          low={result.needsBinder ? binderRatioRange.values.low : 0}
          high={binderRatioRange.values.high}
          from={0}
          to={2}
          text={`${Math.round(result.binderRatio * 100)} %`}
        />
      )}
    </Box>
  );
}

const stateWords = {
  pieces: t('dough.inPieces'),
  rubbed: t('dough.rubbedIn'),
  creamed: t('dough.creamed'),
  melted: t('dough.meltedOrPoured'),
} as const;
const stateEffects = {
  pieces: t('dough.piecesMeltToGapsFlakeAndA'),
  rubbed: t('dough.partCoatsTheFlourShortWithSome'),
  creamed: t('dough.holdsAirAndCoatsTheFlourTender'),
  melted: t('dough.coatsAllTheFlourShortestNoFlake'),
} as const;

/** Each fat as it goes in: how solid it is there, and what that does. */
function Fats({ result }: { result: DoughResult }) {
  const units = usePreferences((state) => state.units);
  if (result.fats.length === 0) return null;
  return (
    <Section title={t('dough.fatAsItGoesIn')} label={t('common.fat')} level={3} space={1}>
      {result.fats.map(({ rowKey, name, state, pieceMm, atC, solidPercent, band }) => (
        <Box key={rowKey} sx={{ pb: 1 }}>
          {solidPercent !== null && band && (
            <GoodRange
              label={t('dough.solidAtAt', { at: showQuantity(atC, 'temperature', units, 0) })}
              value={solidPercent}
              low={band[0]}
              high={band[1]}
              from={0}
              to={100}
              text={`${Math.round(solidPercent)} ± 5 %`}
            />
          )}
          <Note>
            {name}, {stateWords[state]}
            {pieceMm !== null && t('dough.ofPiece', { piece: showQuantity(pieceMm, 'length', units) })}: {stateEffects[state]}.
          </Note>
        </Box>
      ))}
    </Section>
  );
}

/** What holds it, cold and once baked, and the water that takes. */
function Binders({ result }: { result: DoughResult }) {
  const units = usePreferences((state) => state.units);
  if (result.binders.length === 0) return null;
  const baked = result.binders.reduce((sum, { bakedAsXanthanG }) => sum + bakedAsXanthanG, 0);
  return (
    <Section title={t('dough.whatBindsIt')} label={t('dough.binders')} level={3} space={1}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr auto auto auto', columnGap: 3, rowGap: 0.5, fontSize: typeSize.small }}>
        {['', t('dough.ofBlend'), t('dough.asXanthan'), t('dough.takesWater')].map((head) => (
          <Box key={head} sx={{ fontSize: typeSize.caption, color: 'text.secondary', textAlign: head ? 'right' : 'left' }}>
            {head}
          </Box>
        ))}
        {result.binders.flatMap(({ ingredientId, name, percent, asXanthanG, bakedAsXanthanG, gelWaterG }) => [
          <Box key={ingredientId}>{name}</Box>,
          <Box key={`${ingredientId}%`} sx={cell}>
            {percent.toFixed(1)}
          </Box>,
          <Box key={`${ingredientId}x`} sx={cell}>
            {asXanthanG === 0 && bakedAsXanthanG > 0
              ? t('dough.bakedasxanthanBaked', { bakedAsXanthan: showQuantity(bakedAsXanthanG, 'mass', units) })
              : asXanthanG === null
                ? '–'
                : showQuantity(asXanthanG, 'mass', units)}
          </Box>,
          <Box key={`${ingredientId}w`} sx={cell}>
            {gelWaterG > 0.05 ? showQuantity(gelWaterG, 'mass', units) : '–'}
          </Box>,
        ])}
      </Box>
      <Note pt={1}>{t('dough.onceBakedItIsHeldAsBy', { baked: showQuantity(baked, 'mass', units) })}</Note>
    </Section>
  );
}
const cell = { textAlign: 'right', fontVariantNumeric: 'tabular-nums' } as const;

/** How likely each word of the hand is; the flour's thirst is not known exactly. */
function HandChances({ result }: { result: DoughResult }) {
  const { palette } = useTheme();
  const words = handWordsOf(useHandling());
  const best = result.handWord;
  const right = result.rightHandWords;
  return (
    <Box>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(5, 1fr)', gap: '2px' }}
        role="img"
        aria-label={t('dough.chanceThatItFeelsRightRightValue', {
          right: right.map((word) => words[word].toLowerCase()).join(t('dough.or')),
          value: Math.round(right.reduce((sum, word) => sum + result.handWordChances[word], 0) * 100),
        })}
      >
        {handWordOrder.map((word) => {
          const chance = result.handWordChances[word];
          return (
            <Box key={word} sx={{ textAlign: 'center' }}>
              <Box
                sx={{
                  height: 56,
                  bgcolor: right.includes(word) ? palette.leaf.firSoft : palette.leaf.well,
                  display: 'flex',
                  alignItems: 'flex-end',
                  borderBottom: `3px solid ${word === best ? palette.primary.main : palette.divider}`,
                }}
              >
                <Box
                  sx={{
                    width: '100%',
                    height: `${Math.max(1, chance * 100)}%`,
                    bgcolor: right.includes(word) ? palette.primary.main : palette.make.grain,
                  }}
                />
              </Box>
              <Box sx={{ fontWeight: word === best ? 700 : 500, fontSize: typeSize.small }}>{words[word]}</Box>
              <Note>{t('dough.chanceIn100', { chance: Math.round(chance * 100) })}</Note>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

const spreadWords: Readonly<Record<SpreadOfWater['cause'], string>> = {
  thirst: t('dough.thisBlendsThirst'),
  moisture: t('dough.floursMoisture'),
  egg: t('dough.eggsByThePiece'),
  cup: t('dough.cups'),
};

/** Pour most, hold spoons back; how cold to pour; and when to stop. */
function Ladder({ result }: { result: DoughResult }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  const handling = useHandling();
  const { temperature, pours } = result;
  if (!pours) {
    return <Box sx={{ fontSize: typeSize.small }}>{t('dough.nothingIsPouredFatAndEggBring')}</Box>;
  }
  return (
    <Box component="section" aria-label={t('dough.waterLadder')}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap' }}>
        <Box sx={{ bgcolor: palette.make.water, color: palette.onMake.water, borderRadius: '6px', px: 4, py: 1, fontWeight: 650 }}>
          {t(result.pouredWaterG > 0 ? 'dough.pourPour' : 'dough.pourLiquid', {
            pour: showQuantity(result.pourG, 'bulk', units),
            liquid: pours.name.split(/[,(]/)[0]!.trim().toLowerCase(),
          })}
        </Box>
        {Array.from({ length: result.spoons }, (_, i) => (
          <Box key={i} aria-hidden sx={{ width: 26, height: 18, borderRadius: '50%', bgcolor: palette.make.water }} />
        ))}
        <Box sx={{ fontSize: typeSize.small }}>
          {result.spoons > 0
            ? t('dough.holdBack', {
                count: result.spoons,
                each: voice.exact(spoonWaterG.value, 'mass'),
              })
            : t('dough.allAtOnce')}
        </Box>
      </Box>
      {temperature && (
        <Box sx={{ fontSize: typeSize.small, pt: 1 }} data-testid="water-temperature">
          {temperature.asItIs ? (
            <>
              <Sentence
                say="dough.asItIsTheDoughEndsAt"
                values={{
                  reached: showQuantity(temperature.reachedC, 'temperature', units, 0),
                  wanted: showQuantity(temperature.wantedC, 'temperature', units, 0),
                }}
              />
            </>
          ) : temperature.feasible ? (
            <>
              <Sentence say="dough.atAt" values={{ at: showQuantity(temperature.atC, 'temperature', units, 0) }} />
              {temperature.iceG > 0.5 && t('dough.iceOfItAsIce', { ice: showQuantity(temperature.iceG, 'bulk', units) })}
              {t('dough.forADoughAtWanted', { wanted: showQuantity(temperature.wantedC, 'temperature', units, 0) })}
            </>
          ) : (
            <>{t('dough.itEndsAtReachedWhateverTheWater', { reached: showQuantity(temperature.reachedC, 'temperature', units, 0) })}</>
          )}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {' '}
            {t('dough.mixingWarmsItByAboutFrictionk', { frictionK: showQuantity(temperature.frictionK, 'difference', units) })}
          </Box>
        </Box>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(130px, 1fr))', gap: 2, pt: 2 }}>
        {handRules(handling).map(([name, says]) => (
          <Box key={name} sx={{ bgcolor: palette.leaf.well, borderRadius: '8px', px: 3, py: 1.5, fontSize: typeSize.small }}>
            <b>{name}</b>
            <Box sx={{ color: 'text.secondary' }}>{says}</Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
/** When to stop, by how it is shaped; common practice, no source. */
function handRules(handling: Handling): readonly (readonly [string, string])[] {
  const bowl = [t('dough.bowl'), t('dough.noDryFlourAtItsBottom')] as const;
  if (handling === 'poured' || handling === 'spread')
    return [[t('dough.rule.lift'), t('dough.rule.flows')], bowl, [t('dough.touch'), t('dough.rule.smooth')]];
  if (handling === 'dropped' || handling === 'piped')
    return [[t('dough.rule.lift'), t('dough.rule.clings')], bowl, [t('dough.touch'), t('dough.rule.shine')]];
  if (handling === 'pressedIn') return [[t('dough.squeeze'), t('dough.rule.justHolds')], bowl];
  return [[t('dough.squeeze'), t('dough.holdsHairlineCracksAtMost')], bowl, [t('dough.touch'), t('dough.notShinyLeavesTheHand')]];
}

function WantsAndGets({ result }: { result: DoughResult }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  const { wants } = result;
  const widest = Math.max(result.wantsG, result.getsG);
  const missing = result.wantsG - result.getsG;
  const bar = (parts: readonly { name: string; g: number; fill: string; on: string }[]) => (
    <Box sx={{ display: 'flex', gap: '1.5px', width: `${(parts.reduce((sum, { g }) => sum + g, 0) / widest) * 100}%`, height: 28 }}>
      {parts.map(({ name, g, fill, on }) => (
        <Box
          key={name}
          title={`${name} ${voice.exact(g, 'mass')}`}
          sx={{
            flex: `${Math.max(g, 0.1)} 0 0`,
            bgcolor: fill,
            color: on,
            fontSize: typeSize.caption,
            fontWeight: 650,
            lineHeight: '28px',
            px: 1.5,
            overflow: 'hidden',
            whiteSpace: 'nowrap',
          }}
        >
          {g / widest > 0.09 && `${name} ${showQuantity(g, 'bulk', units)}`}
        </Box>
      ))}
    </Box>
  );
  const grain = { fill: palette.make.grain, on: palette.onMake.grain };
  return (
    <Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', pb: 1 }}>
        <Typography variant="h3">{t('dough.waterWantedAndWaterIn')}</Typography>
        <Box sx={{ fontWeight: 650, fontSize: typeSize.small }}>
          {Math.abs(missing) < 1
            ? t('dough.asWanted')
            : `${showQuantity(Math.abs(missing), 'bulk', units)} ${missing > 0 ? t('dough.short') : t('common.over')}`}
        </Box>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '52px 1fr', gap: 1.5, alignItems: 'center' }}>
        <Box sx={{ fontSize: typeSize.small }}>{t('dough.needs')}</Box>
        {bar([
          { name: t('dough.flours'), g: wants.flourG, ...grain },
          { name: t('dough.starches'), g: wants.starchG, fill: palette.make.starch, on: palette.onMake.starch },
          { name: t('common.gum'), g: wants.gumG, fill: palette.make.fibre, on: palette.onMake.fibre },
        ])}
        <Box sx={{ fontSize: typeSize.small }}>{t('dough.gets')}</Box>
        {bar([
          { name: t('dough.poured'), g: result.pouredWaterG, fill: palette.make.water, on: palette.onMake.water },
          ...(result.broughtWaterG > 0.05
            ? [{ name: t('dough.brought'), g: result.broughtWaterG, fill: palette.make.protein, on: palette.onMake.protein }]
            : []),
        ])}
      </Box>
      <Note pt={1}>
        {t('dough.wantsWantssdWaterspreadTheFloursOwnOwnwater', {
          wantsSd: showQuantity(result.wantsSdG, 'bulk', units),
          waterSpread: result.waterSpread.map(({ cause, sdG }) => `${spreadWords[cause]} ${showQuantity(sdG, 'mass', units)}`).join(', '),
          ownWater: showQuantity(result.ownWaterG, 'bulk', units),
        })}
        {Math.abs(wants.moistureG) >= 0.5 &&
          t('dough.todaysFlourIsWordWord2Moisture', {
            word: wants.moistureG < 0 ? t('dough.damp') : t('dough.dry'),
            word2: wants.moistureG < 0 ? '−' : '+',
            moisture: showQuantity(Math.abs(wants.moistureG), 'mass', units),
          })}
        .<Learned />
      </Note>
    </Box>
  );
}

/** What hands have taught of this blend, and from how many bakes. */
function Learned() {
  const { kitchen } = useSurroundings();
  const blendName = useDraft((state) => state.formula.blend.name);
  const learned = kitchen.learned.find(({ what, about }) => what === 'thirstFactor' && about === blendName);
  if (!learned) return <> {t('dough.sayAtABakeHowTheDough')}</>;
  return (
    <>
      {' '}
      {t('dough.learnedThirst', {
        count: learned.bakeIds.length,
        value: learned.value.toFixed(2),
        sd: learned.sd.toFixed(2),
      })}
    </>
  );
}
