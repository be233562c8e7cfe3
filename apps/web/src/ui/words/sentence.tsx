import { Trans } from 'react-i18next';
import { catalogue, type Key } from '@north-leaf/words';
import { usePreferences } from '../../platform/preferences';

/** A sentence of the catalogue with a part of it in bold, `<b>` in its text. */
export function Sentence({ say, values = {} }: { readonly say: Key; readonly values?: Readonly<Record<string, string | number>> }) {
  const lng = usePreferences((state) => state.language);
  return <Trans i18n={catalogue()} i18nKey={say as string} values={values} tOptions={{ lng }} components={{ b: <b /> }} />;
}
