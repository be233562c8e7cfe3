import { Trans } from 'react-i18next';
import { catalogue, type Key } from '@north-leaf/words';
import { usePreferences } from '../../platform/preferences';

/** A sentence of the catalogue with a part of it in bold, `<b>` in its text. */
export function Sentence({ say, values = {} }: { readonly say: Key; readonly values?: Readonly<Record<string, string | number>> }) {
  const lng = usePreferences((state) => state.language);
  // A name is not markup: it goes in escaped and is shown as it was typed.
  return (
    <Trans
      i18n={catalogue()}
      i18nKey={say as string}
      values={values}
      tOptions={{ lng, interpolation: { escapeValue: true } }}
      shouldUnescape
      components={{ b: <b /> }}
    />
  );
}
