import { v4 } from 'uuid';
import { standingEvents } from '@north-leaf/core';
import type { Run } from '@north-leaf/contracts';
import { Pictures } from '../../../ui/frame/pictures';
import { Section } from '../../../ui/frame/section';
import { t } from '../../../platform/words';
import { useAddPhoto } from '../api';

/** Pictures of the bake. */
export function Photos({ bake }: { bake: Run }) {
  const add = useAddPhoto(bake.id);
  const photos = standingEvents(bake.events).flatMap(({ what }) => (what.kind === 'photographed' ? [what.photoId] : []));
  return (
    <Section title={t('bakes.photos')} space={1}>
      <Pictures
        pictures={photos.map((id, i) => ({
          id,
          href: `/api/bakes/${bake.id}/photos/${id}`,
          name: t('bakes.bakeNumberPhotoI', { number: bake.number, i: i + 1 }),
        }))}
        words={{ add: t('bakes.addAPhoto'), field: t('bakes.photoOfTheBake') }}
        onAdd={(file) => add.mutate({ photoId: v4(), file })}
        busy={add.isPending}
        failed={add.error?.message}
      />
    </Section>
  );
}
