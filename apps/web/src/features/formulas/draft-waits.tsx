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
import { t } from '../../platform/words';
import { Sentence } from '../../ui/words/sentence';

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
        <Sentence
          say="formulas.aNewerDraftOfThisFormulaWaits"
          values={{ words: words || t('formulas.changesChanges', { changes: changes.length }) }}
        />
      </span>
      {unread > 0 && <span>{t('formulas.aFieldOfTheDraftHoldsWhat')}</span>}
      {save.isError && <span role="alert">{t('formulas.notSavedMessage', { message: save.error.message })}</span>}
      {save.isPending && save.failureReason && <span role="status">{t('formulas.theServerDoesNotAnswerSavingAgain')}</span>}
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
        <Button variant="contained" onClick={keep} disabled={save.isPending || unread > 0}>
          {t('formulas.saveItAsVNewestAndBake', { newest: newest + 1 })}
        </Button>
        <Button variant="outlined" onClick={() => onVersion(newest)} disabled={save.isPending}>
          {t('formulas.bakeVNewestAsSaved', { newest })}
        </Button>
      </Box>
    </Alert>
  );
}
