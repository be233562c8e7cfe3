import Box from '@mui/material/Box';
import { findingsOf } from '@north-leaf/core';
import { typeSize } from '../../ui/theme/theme';
import { Leaf } from '../../ui/frame/leaf';
import { useAnswer } from './board';
import { allergenWord } from '../../ui/words/words';
import { t } from '../../platform/words';

const glutenWords: Record<string, string> = {
  'gluten.contains': t('board.containsGluten'),
  'gluten.notProven': t('board.glutenNotProven'),
  'gluten.overLimit': t('board.overYourGlutenLimit'),
  'gluten.reportOld': t('board.oldGlutenReport'),
  'gluten.lookAtBag': t('board.lookForTheMarkOn'),
};

/** Gluten proof from the lots really chosen, and the allergens of everything in it. */
export function AllergenLine() {
  const { evaluation } = useAnswer();
  const dough = evaluation.dough.state === 'waiting' ? null : evaluation.dough.result;
  const gluten = findingsOf(evaluation).filter(({ code }) => code.startsWith('gluten.'));
  const words = (possible: boolean) => [
    ...new Set((dough?.allergens ?? []).filter((one) => one.possible === possible).map(({ code }) => allergenWord(code))),
  ];
  const certain = words(false);
  const maybe = words(true).filter((word) => !certain.includes(word));
  return (
    <Box sx={{ display: 'grid', gap: 1, pt: 3, fontSize: typeSize.small, lineHeight: '17px' }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start' }}>
        <Leaf
          state={
            gluten.some(({ level }) => level === 'fix')
              ? 'fix'
              : gluten.some(({ level }) => level === 'watch')
                ? 'watch'
                : dough
                  ? 'good'
                  : 'waiting'
          }
          size={16}
        />
        <span>
          {gluten.length > 0
            ? gluten.map(({ code, measured }) => `${glutenWords[code] ?? t('board.gluten')}: ${measured?.of ?? ''}`).join('; ')
            : dough
              ? t('board.glutenAllLotsThatNeedAReport')
              : t('board.glutenWaiting')}
        </span>
      </Box>
      <Box sx={{ color: 'text.secondary' }}>
        {certain.length > 0
          ? t('board.containsCertain', { certain: certain.join(', ') })
          : dough
            ? t('common.noListedAllergenForCertain')
            : t('board.allergensWaiting')}
        {maybe.length > 0 && t('board.dependsOnTheMakerMaybe', { maybe: maybe.join(', ') })} {t('board.theLabelInHandAndLocalRules')}
      </Box>
      <Box sx={{ color: 'text.secondary' }}>{t('board.rawDoughIsNotForTastingFlour')}</Box>
    </Box>
  );
}
