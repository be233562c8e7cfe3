import { useMemo, useState } from 'react';
import { useQuery, useSuspenseQuery } from '@tanstack/react-query';
import { kindWords, ownIngredientFields, type Fields, type Ingredient, type IngredientKind, type OwnIngredient } from '@north-leaf/core';
import { ApiError } from '../../../../platform/http';
import { notify } from '../../../../platform/notices';
import { t } from '../../../../platform/words';
import { emptyPanel, type TypedPanel } from '../../../../ui/form/nutrition-panel';
import { changedName } from '../../../../ui/words/change-words';
import { kitchenQuery } from '../../../kitchen/doors';
import { pantryQuery } from '../../api';
import { useLaterPapers } from '../../papers';
import { useDoInPantry } from '../../use-pantry';
import { panelRuleOf, readPanel, usualOf } from './of-panel';
import { asOwn, doings, formOf, furtherParts, likeness, ownOfForm, withParts, type OwnForm } from './own-ingredient-of-form';
/** An ingredient of one's own as it is typed, likened to another, and stored. */
export function useOwnForm(
  name: string,
  onClose: () => void,
  onStored: ((id: string) => void) | undefined,
  stored: Ingredient | undefined,
) {
  const act = useDoInPantry();
  const { data: book } = useSuspenseQuery(pantryQuery);
  const [id] = useState(() => stored?.id ?? crypto.randomUUID());
  const [base, setBase] = useState<Partial<OwnIngredient>>(() => (stored && asOwn(stored)) ?? {});
  const [form, setForm] = useState<OwnForm>(() => formOf(stored ?? { name }));
  /** Its id. */
  const [like, setLike] = useState<string | null>(null);
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [busy, setBusy] = useState(false);
  const [more, setMore] = useState(false);
  const set = (patch: Partial<OwnForm>) => setForm((now) => ({ ...now, ...patch }));
  const later = useLaterPapers();
  const label = useItsPanel(form.words['kind']!, like, book.ingredients);
  // What is stored has its parts already.
  const [byParts, setByParts] = useState(stored !== undefined);

  const behaveLike = (twinId: string) => {
    const twin = book.ingredients[twinId]!;
    setBase(likeness(twin));
    setLike(twinId);
    setForm((now) => ({
      ...formOf(likeness(twin) as Partial<Ingredient>),
      name: now.name,
      allergens: now.allergens,
      labelRead: now.labelRead,
    }));
  };
  const store = async () => {
    label.setTried(true);
    // What is wrong stands where it is typed.
    if (!byParts && label.read && !label.read.ok) return setProblems({ root: t('pantry.somethingAboveIsNotRightYet') });
    const parts = byParts || !label.read?.ok ? null : label.read.composition;
    const read = parts ? ownOfForm(withParts(form, parts), { ...base, basis: 'label' }) : ownOfForm(form, base);
    setProblems(read.ok ? {} : read.problems);
    // What is wrong is never folded away.
    if (!read.ok && Object.keys(read.problems).some((path) => doings.numbers.includes(path) || furtherParts.includes(path))) setMore(true);
    if (!read.ok) return;
    setBusy(true);
    try {
      const revision = book.revisions.ingredients[id] ?? 0;
      await act(
        stored
          ? changedName(stored.name, ownIngredientFields as Fields, [stored, read.ingredient])
          : t('common.nameAdded', { name: read.ingredient.name }),
        { kind: 'own', id, ingredient: read.ingredient, revision },
      );
      // What is stored stays stored, whatever becomes of its photo.
      await later
        .send({ of: 'ingredients', ownerId: id })
        .catch((error: Error) => notify(t('pantry.storedWithoutItsPhoto', { message: error.message }), 'error'));
      onStored?.(id);
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      const told = Object.fromEntries((error.problems ?? []).map(({ path, message }) => [path.replace(/^ingredient\./, ''), message]));
      setProblems({ ...told, root: error.message });
    } finally {
      setBusy(false);
    }
  };

  const moreSaid =
    form.flags.length +
    [...doings.words.map((key) => form.words[key]), ...doings.texts.map((key) => form.texts[key])].filter(Boolean).length +
    [...doings.numbers, ...furtherParts].filter((path) => form.numbers[path] !== '').length;
  const onByParts = () => {
    // What was worked out so far stands in the parts, to be put right.
    if (label.read?.ok) setForm(withParts(form, label.read.composition));
    setByParts(true);
  };
  return {
    form,
    set,
    problems,
    store,
    book,
    id,
    behaveLike,
    like: like && book.ingredients[like]!.name,
    setMore,
    more,
    moreSaid,
    busy,
    byParts,
    later,
    label: { ...label, onByParts },
  };
}

/** The panel as it is typed, and what is worked out of it. */
function useItsPanel(kind: string, like: string | null, ingredients: Readonly<Record<string, Ingredient>>) {
  const kitchen = useQuery(kitchenQuery);
  const [typed, onChange] = useState<TypedPanel | null>(null);
  const [tried, setTried] = useState(false);
  const panel = useMemo(() => typed ?? emptyPanel(panelRuleOf(kitchen.data?.market)), [typed, kitchen.data?.market]);
  const read = useMemo(
    () =>
      Object.values(panel.typed).some((text) => text.trim() !== '')
        ? readPanel(panel, usualOf(kind, like ? ingredients[like] : undefined, Object.values(ingredients)))
        : null,
    [panel, kind, like, ingredients],
  );
  const usual = like ? ingredients[like]!.name : kindWords[kind as IngredientKind];
  return { panel, onChange, read, tried, setTried, usualOf: usual };
}

export type Entry = ReturnType<typeof useOwnForm>;
