import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { families, type Family, type FamilyGuess } from '@north-leaf/core';
import { t } from '../../../platform/words';
import { Sentence } from '../../../ui/words/sentence';
import { Note } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';

/** How many other families are offered by a press. */
const OTHERS = 3;

/** What a recipe is taken for, why, and what it may be instead: a guess is asked, never made in silence. */
export function TakenForFamily({
  guess,
  family,
  onChoose,
}: {
  readonly guess: FamilyGuess;
  readonly family: Family;
  readonly onChoose: (familyId: string) => void;
}) {
  const taken = guess.nearest.find((one) => one.family === family.id);
  const others = guess.nearest.filter((one) => one.family !== family.id).slice(0, OTHERS);
  const amounts = guess.percents && {
    fat: Math.round(guess.percents.fat),
    sugar: Math.round(guess.percents.sugar),
    egg: Math.round(guess.percents.egg),
    water: Math.round(guess.percents.water),
  };
  return (
    <Box
      component="section"
      aria-label={t('workspace.takenFor')}
      sx={{ gridColumn: '1 / -1', display: 'grid', gap: 1, fontSize: typeSize.small }}
    >
      <span>
        <Sentence
          say={taken?.word === undefined ? 'workspace.takenForNameByAmounts' : 'workspace.takenForNameByItsName'}
          values={{ name: family.name, word: taken?.word ?? '' }}
        />{' '}
        {amounts && t('workspace.fatSugarEggWaterOfItsFlour', amounts)}
      </span>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        {t('workspace.orIsIt')}
        {others.map(({ family: id }) => (
          <Button key={id} size="small" variant="outlined" onClick={() => onChoose(id)}>
            {families[id]!.name}
          </Button>
        ))}
      </Box>
      <Note>{t('workspace.shapeOvenAndKeepingAreUsual')}</Note>
    </Box>
  );
}
