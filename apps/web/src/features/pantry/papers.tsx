import { useEffect, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { v4 } from 'uuid';
import { Pictures } from '../../ui/frame/pictures';
import { Section } from '../../ui/frame/section';
import { readBytes } from '../../platform/http';
import { t } from '../../platform/words';
import { paperAddress, papersQuery, type PaperOwner } from './api';
import { useDoInPantry } from './use-pantry';

const words = { add: t('pantry.addAPhotoOfIt'), field: t('pantry.photoOfTheLabel') };

/** Photos of the label, report or certificate of what is stored. */
export function Papers({ of, ownerId }: PaperOwner) {
  const owner = { of, ownerId };
  const papers = useQuery(papersQuery(owner));
  const act = useDoInPantry();
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string>();
  const run = async (work: () => Promise<void>) => {
    setBusy(true);
    setFailed(undefined);
    try {
      await work();
    } catch (error) {
      setFailed((error as Error).message);
    }
    setBusy(false);
  };
  return (
    <Section title={t('pantry.labelAndPapers')} space={1}>
      <Pictures
        pictures={(papers.data ?? []).map(({ id }, i) => ({
          id,
          href: `/api${paperAddress(owner, id)}`,
          name: t('pantry.photoI', { i: i + 1 }),
        }))}
        words={words}
        onAdd={(picture) => void run(() => act(t('pantry.photoAdded'), { kind: 'paper', ...owner, id: v4(), picture }))}
        onRemove={(id) =>
          void run(async () => {
            // Without it nothing could bring it back: then it stays.
            const picture = await readBytes(paperAddress(owner, id));
            await act(t('pantry.photoRemoved'), { kind: 'removePaper', ...owner, id, picture });
          })
        }
        busy={busy}
        failed={failed ?? papers.error?.message}
      />
    </Section>
  );
}

/** Photos of what is not stored yet: held here, and sent once it is. */
export function useLaterPapers() {
  const [held, setHeld] = useState<readonly { readonly id: string; readonly picture: File; readonly href: string }[]>([]);
  const act = useDoInPantry();
  useEffect(() => () => held.forEach(({ href }) => URL.revokeObjectURL(href)), [held]);
  return {
    held,
    add: (picture: File) => setHeld((now) => [...now.map(anew), anew({ id: v4(), picture })]),
    remove: (id: string) => setHeld((now) => now.filter((one) => one.id !== id).map(anew)),
    send: async (owner: PaperOwner) => {
      for (const { id, picture } of held) await act(t('pantry.photoAdded'), { kind: 'paper', ...owner, id, picture });
    },
  };
}
/** A preview's address lives as long as the list it stands in. */
const anew = ({ id, picture }: { readonly id: string; readonly picture: File }) => ({ id, picture, href: URL.createObjectURL(picture) });

export function LaterPapers({ later }: { readonly later: ReturnType<typeof useLaterPapers> }) {
  return (
    <Section title={t('pantry.labelAndPapers')} space={1}>
      <Pictures
        pictures={later.held.map(({ id, href }, i) => ({ id, href, name: t('pantry.photoI', { i: i + 1 }) }))}
        words={words}
        onAdd={later.add}
        onRemove={later.remove}
        busy={false}
      />
    </Section>
  );
}
