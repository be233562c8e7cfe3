import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { editsBetween, isExcluded, roundTo, withNewComponent, type ComponentUse, type GoesOn } from '@north-leaf/core';
import { Choice } from '../../../ui/form/choice';
import { SearchField } from '../../../ui/form/search-field';
import { Note } from '../../../ui/frame/note';
import { newKey, useDraft } from '../../formulas/doors';
import { useSurroundings } from '../../board/doors';
import { ingredientOptions } from '../../pantry/doors';
import { t } from '../../../platform/words';

type Kind = { readonly value: string; readonly name: string; readonly use: ComponentUse; readonly goesOn?: GoesOn };
/** What bakers put on and into a dough, by its usual name and moment. */
const kinds: readonly Kind[] = [
  { value: 'filling', name: t('dough.kind.filling'), use: 'filling' },
  { value: 'filledAfter', name: t('dough.kind.filledAfter'), use: 'filling', goesOn: { at: 'cooled' } },
  { value: 'foldIn', name: t('dough.kind.foldIn'), use: 'foldIn' },
  { value: 'topping', name: t('dough.kind.topping'), use: 'topping' },
  { value: 'frosting', name: t('dough.kind.frosting'), use: 'topping', goesOn: { at: 'cooled' } },
  { value: 'cream', name: t('dough.kind.cream'), use: 'topping', goesOn: { at: 'serving' } },
  { value: 'wash', name: t('dough.kind.wash'), use: 'wash' },
];
/** Of the blend: something to begin with, to be put right. */
const FIRST_SHARE = 0.2;

/** A filling, frosting, cream...: what kind it is, and the first thing that goes into it. */
export function AddComponent({ onAdded }: { readonly onAdded: (key: string) => void }) {
  const { pantry } = useSurroundings();
  const [kind, setKind] = useState<string | null>(null);
  const chosen = kinds.find(({ value }) => value === kind);
  if (kind === null)
    return (
      <Button size="small" variant="outlined" sx={{ mb: 2 }} onClick={() => setKind('filling')}>
        {t('dough.addAComponent')}
      </Button>
    );
  return (
    <Box
      role="group"
      aria-label={t('dough.addAComponent')}
      sx={{ display: 'grid', gap: 2, p: 2, mb: 2, bgcolor: 'leaf.well', borderRadius: '8px' }}
    >
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Choice label={t('dough.whatKind')} value={kind} options={kinds} onChange={setKind} width={230} />
        <Button size="small" onClick={() => setKind(null)}>
          {t('common.leaveIt')}
        </Button>
      </Box>
      <SearchField
        label={t('dough.itsFirstIngredient')}
        placeholder={t('dough.itsFirstIngredient')}
        find={ingredientOptions(pantry.ingredients, (one) => !isExcluded(one))}
        onChoose={(ingredientId) => {
          const { use, goesOn, name } = chosen!;
          const { edit } = useDraft.getState();
          edit(`component:${newKey()}`, (from) => {
            const first = { ingredientId, amountG: roundTo(from.blendG * FIRST_SHARE, 1) };
            return editsBetween(from, withNewComponent(from, { name, use, ...(goesOn ? { goesOn } : {}) }, first, newKey));
          });
          onAdded(useDraft.getState().formula.components!.at(-1)!.key);
          setKind(null);
        }}
      />
      <Note>{t('dough.aListWithHeadingsDoesItToo')}</Note>
    </Box>
  );
}
