import { useRef } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import CloseIcon from '@mui/icons-material/Close';
import { Note } from './note';
import { t } from '../../platform/words';

export type Picture = { readonly id: string; readonly href: string; /** What it shows, in words. */ readonly name: string };
type Props = {
  readonly pictures: readonly Picture[];
  readonly words: { readonly add: string; /** Of the field that takes the file. */ readonly field: string };
  readonly onAdd: (file: File) => void;
  readonly onRemove?: ((id: string) => void) | undefined;
  readonly busy: boolean;
  readonly failed?: string | undefined;
};

/** Pictures as they are kept, and one more. */
export function Pictures({ pictures, words, onAdd, onRemove, busy, failed }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        {pictures.map(({ id, href, name }) => (
          <Box key={id} sx={{ position: 'relative' }}>
            <a href={href} target="_blank" rel="noreferrer">
              <img src={href} alt={name} width={132} height={99} style={{ objectFit: 'cover', borderRadius: 8 }} />
            </a>
            {onRemove && (
              <IconButton
                size="small"
                aria-label={t('ui.removePicture', { name })}
                disabled={busy}
                onClick={() => onRemove(id)}
                sx={{ position: 'absolute', top: 2, right: 2, bgcolor: 'background.paper', '&:hover': { bgcolor: 'background.paper' } }}
              >
                <CloseIcon fontSize="inherit" />
              </IconButton>
            )}
          </Box>
        ))}
        <Button variant="outlined" disabled={busy} onClick={() => input.current?.click()}>
          {busy ? t('common.storing') : words.add}
        </Button>
        <input
          ref={input}
          hidden
          type="file"
          accept="image/jpeg,image/png,image/webp"
          aria-label={words.field}
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            if (file) onAdd(file);
            target.value = '';
          }}
        />
      </Box>
      <Note pt={1}>{t('ui.storedSmallerWithoutPlaceCameraAndDate')}</Note>
      {failed && <Alert severity="error">{failed}</Alert>}
    </>
  );
}
