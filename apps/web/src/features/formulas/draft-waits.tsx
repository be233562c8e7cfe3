import { useEffect, useMemo, useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { Draft, FormulaDetail } from '@north-leaf/contracts';
import { describeEdits } from '@north-leaf/words';
import { useVoice } from '../../platform/preferences';
import { pantryQuery } from '../pantry/doors';
import { useSaveVersion, versionQuery } from './api';
import { countedChanges } from './counted-changes';

type Props = {
  readonly detail: FormulaDetail;
  readonly draft: Draft;
  /** The version that is to be baked. */ readonly onVersion: (version: number) => void;
};

/** A draft newer than what was saved: which of the two is baked is asked, never chosen in silence. */
export function DraftWaits({ detail, draft, onVersion }: Props) {
  const voice = useVoice();
  const newest = detail.versions.at(-1)!.version;
  const { data: saved } = useQuery(versionQuery(detail.id, newest));
  const { data: pantry } = useQuery(pantryQuery);
  const [versionId] = useState(() => crypto.randomUUID());
  const save = useSaveVersion();
  const changes = useMemo(() => (saved ? countedChanges(saved.formula, draft.formula) : []), [saved, draft]);
  const unread = Object.keys(draft.typed).length;
  // Typed and taken back: there is nothing to choose between.
  const same = saved !== undefined && changes.length === 0 && unread === 0;
  useEffect(() => {
    if (same) onVersion(newest);
  });
  if (!saved || !pantry || same) return null;
  const words = describeEdits(changes, saved.formula, pantry, voice);
  const keep = () =>
    save.mutate(
      {
        formulaId: detail.id,
        versionId,
        body: { basedOn: draft.basedOn, why: words, formula: draft.formula, setAside: [], draftRevision: draft.revision },
      },
      { onSuccess: ({ version }) => onVersion(version) },
    );
  return (
    <Alert severity="info" sx={{ maxWidth: 760, '& .MuiAlert-message': { display: 'grid', gap: 3 } }}>
      <span>
        A newer draft of this formula waits, not saved yet: <b>{words || `${changes.length} changes`}</b>. Which one is baked?
      </span>
      {unread > 0 && <span>A field of the draft holds what cannot be read as a number: mend it in the formula to bake the draft.</span>}
      {save.isError && <span role="alert">Not saved: {save.error.message}</span>}
      {save.isPending && save.failureReason && <span role="status">The server does not answer. Saving again until it does.</span>}
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
        <Button variant="contained" onClick={keep} disabled={save.isPending || unread > 0}>
          Save it as v{newest + 1} and bake that
        </Button>
        <Button variant="outlined" onClick={() => onVersion(newest)} disabled={save.isPending}>
          Bake v{newest} as saved
        </Button>
      </Box>
    </Alert>
  );
}
