import { useRef } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { v4 } from 'uuid';
import { standingEvents } from '@north-leaf/core';
import type { Run } from '@north-leaf/contracts';
import { Note } from '../../../ui/frame/note';
import { useAddPhoto } from '../api';
import { Section } from '../../../ui/frame/section';
import { t } from '../../../platform/words';

/** Pictures of the bake. */
export function Photos({ bake }: { bake: Run }) {
  const add = useAddPhoto(bake.id);
  const input = useRef<HTMLInputElement>(null);
  const photos = standingEvents(bake.events).flatMap(({ what }) => (what.kind === 'photographed' ? [what.photoId] : []));
  return (
    <Section title={t('bakes.photos')} space={1}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        {photos.map((photoId, i) => (
          <a key={photoId} href={`/api/bakes/${bake.id}/photos/${photoId}`} target="_blank" rel="noreferrer">
            <img
              src={`/api/bakes/${bake.id}/photos/${photoId}`}
              alt={t('bakes.bakeNumberPhotoI', { number: bake.number, i: i + 1 })}
              width={132}
              height={99}
              style={{ objectFit: 'cover', borderRadius: 8 }}
            />
          </a>
        ))}
        <Button variant="outlined" disabled={add.isPending} onClick={() => input.current?.click()}>
          {add.isPending ? t('common.storing') : t('bakes.addAPhoto')}
        </Button>
        <input
          ref={input}
          hidden
          type="file"
          accept="image/jpeg,image/png,image/webp"
          aria-label={t('bakes.photoOfTheBake')}
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            if (file) add.mutate({ photoId: v4(), file });
            target.value = '';
          }}
        />
      </Box>
      <Note pt={1}>{t('bakes.storedSmallerWithoutPlaceCameraAndDate')}</Note>
      {add.isError && <Alert severity="error">{add.error.message}</Alert>}
    </Section>
  );
}
