import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import {
  componentFor,
  editsBetween,
  goesOnOf,
  isOfDough,
  rowUses,
  withPreparationOpened,
  withRowPartOf,
  type ComponentUse,
  type Formula,
  type GoesOn,
  type GoesOnMoment,
  type Row,
  type RowUse,
} from '@north-leaf/core';
import { Note, Wrong } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { Choice } from '../../../ui/form/choice';
import { newKey, useDraft } from '../../formulas/doors';
import { useFormula, useProblem, useSet } from '../../board/doors';
import { pantryQuery } from '../../pantry/doors';
import { t } from '../../../platform/words';

export const useWords: Record<RowUse, string> = {
  dough: '',
  rollIn: t('dough.toRollIn'),
  foldIn: t('common.foldedIn'),
  wash: t('common.asAWash'),
  topping: t('common.onTop'),
  filling: t('dough.theFilling'),
  dust: t('common.forDusting'),
};
const nameOfUse = (use: RowUse) => (use === 'dough' ? t('dough.theDough') : useWords[use]);

/** What a row is for and when it goes on; of one in a component, which one. */
export function WhereItGoes({ index, row, name }: { readonly index: number; readonly row: Row; readonly name: string }) {
  const set = useSet();
  const problem = useProblem(`/rows/${index}/goesOn`);
  const inside = row.component !== undefined;
  return (
    <>
      {!inside && (
        <>
          <Box sx={line}>
            <span>{t('dough.isFor')}</span>
            <Choice
              label={t('dough.whatNameIsFor', { name })}
              value={row.use}
              options={rowUses.map((value) => ({ value, name: nameOfUse(value) }))}
              onChange={(use) => set(`/rows/${index}/use`, use)}
              width={150}
            />
          </Box>
          {row.use === 'foldIn' && <Note>{t('dough.foldedInNote')}</Note>}
          {!isOfDough(row) && (
            <WhenItGoesOn
              value={goesOnOf(row)!}
              name={name}
              problem={problem}
              onChange={(goesOn) => set(`/rows/${index}/goesOn`, goesOn)}
            />
          )}
        </>
      )}
      <PartOf row={row} name={name} />
      {!inside && row.use !== 'dough' && row.use !== 'rollIn' && <OpenUp row={row} />}
    </>
  );
}

/** Which component a row is part of: asked where there is one. */
function PartOf({ row, name }: { readonly row: Row; readonly name: string }) {
  const components = useDraft((state) => state.formula.components);
  if (!components || components.length === 0 || row.use === 'dough' || row.use === 'rollIn') return null;
  return (
    <Box sx={line}>
      <span>{t('dough.isPartOf')}</span>
      <Choice
        label={t('dough.whatNameIsPartOf', { name })}
        value={row.component ?? ''}
        options={[{ value: '', name: t('dough.onItsOwn') }, ...components.map((one) => ({ value: one.key, name: one.name }))]}
        onChange={(to) =>
          useDraft.getState().edit(`part:${newKey()}`, (from) => editsBetween(from, withRowPartOf(from, row.key, to === '' ? null : to)))
        }
        width={150}
      />
    </Box>
  );
}

/** A preparation of the pantry, made in this formula instead: its rows stand here, and its acts are steps of the run. */
function OpenUp({ row }: { readonly row: Row }) {
  const { data } = useQuery(pantryQuery);
  const preparation = data?.preparations.find(({ id }) => id === row.ingredientId);
  if (!preparation) return null;
  return (
    <Button
      size="small"
      variant="outlined"
      sx={{ justifySelf: 'start' }}
      onClick={() =>
        useDraft
          .getState()
          .edit(`open:${newKey()}`, (from) => editsBetween(from, withPreparationOpened(from, row.key, preparation, newKey)))
      }
    >
      {t('dough.makeItHere')}
    </Button>
  );
}

/** What a component is for, and when it goes on: all of its rows together. */
export function WhereComponentGoes({ component, row, name }: { readonly component: string; readonly row: Row; readonly name: string }) {
  const move = (to: { readonly use: ComponentUse; readonly goesOn?: GoesOn }) =>
    useDraft.getState().edit(`whole:${newKey()}`, (from) => editsBetween(from, componentFor(from, component, to)));
  const use = row.use as ComponentUse;
  return (
    <>
      <Box sx={line}>
        <span>{t('dough.isFor')}</span>
        <Choice
          label={t('dough.whatNameIsFor', { name })}
          value={use}
          options={rowUses.filter((one) => one !== 'dough' && one !== 'rollIn').map((value) => ({ value, name: nameOfUse(value) }))}
          onChange={(to) => move({ use: to, ...(row.goesOn ? { goesOn: row.goesOn } : {}) })}
          width={150}
        />
      </Box>
      {use !== 'foldIn' && (
        <WhenItGoesOn value={goesOnOf(row)!} name={name} problem={undefined} onChange={(goesOn) => move({ use, goesOn })} />
      )}
    </>
  );
}

const moments: Readonly<Record<GoesOnMoment, string>> = {
  shaping: t('dough.inShaping'),
  hot: t('dough.hotFromTheOven'),
  cooled: t('dough.onceCooled'),
  serving: t('common.atServing'),
};

/** When something goes on, in words, with the wait or step it names. */
export function goesOnWords(goesOn: GoesOn, { sheet, bake }: Pick<Formula, 'sheet' | 'bake'>): string {
  if (!('n' in goesOn)) return moments[goesOn.at];
  if (goesOn.at === 'wait') return t('dough.beforeWaitNOfWaitsAfterCutting', { n: goesOn.n + 1, waits: sheet.waits.length });
  return t('dough.beforeName', { name: bake.steps[goesOn.n]?.name ?? t('dough.stepN', { n: goesOn.n + 1 }) });
}

/** A wash, filling, topping or dust says when: only what is on before the oven bakes with the piece. */
function WhenItGoesOn({
  value,
  name,
  problem,
  onChange,
}: {
  readonly value: GoesOn;
  readonly name: string;
  readonly problem: string | undefined;
  readonly onChange: (goesOn: GoesOn) => void;
}) {
  const formula = useFormula();
  const choices: readonly GoesOn[] = [
    { at: 'shaping' },
    ...formula.sheet.waits.map((_, n): GoesOn => ({ at: 'wait', n })),
    ...formula.bake.steps.map((_, n): GoesOn => ({ at: 'bakeStep', n })),
    { at: 'hot' },
    { at: 'cooled' },
    { at: 'serving' },
  ];
  const keyOf = (one: GoesOn) => JSON.stringify(one);
  return (
    <Box sx={line}>
      <span>{t('dough.goesOn')}</span>
      <Choice
        label={t('dough.whenNameGoesOn', { name })}
        value={keyOf(value)}
        options={choices.map((one) => ({ value: keyOf(one), name: goesOnWords(one, formula) }))}
        onChange={(next) => onChange(JSON.parse(next) as GoesOn)}
        width={190}
      />
      {problem && <Wrong>{problem}</Wrong>}
    </Box>
  );
}

const line = { display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 2, fontSize: typeSize.small } as const;
