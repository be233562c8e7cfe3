import { useEffect, useMemo, useRef, useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import { useTheme } from '@mui/material/styles';
import { problemsOf, type Evaluation, type Formula, type Pantry } from '@north-leaf/core';
import type { FormulaDetail, FormulaVersion } from '@north-leaf/contracts';
import { describeEdits, placeName, refusalWords } from '@north-leaf/words';
import { typeSize, under } from '../../ui/theme/theme';
import { pointerOf } from '../board/doors';
import { useVoice } from '../../platform/preferences';
import { notify } from '../../platform/notices';
import { ApiError } from '../../platform/http';
import { useSaveVersion, countedChanges, holdDraft, releaseDraft, useDraft } from '../formulas/doors';
import { t } from '../../platform/words';
import type { Dispatch, SetStateAction } from 'react';

type Props = {
  readonly detail: FormulaDetail;
  readonly saved: FormulaVersion;
  readonly pantry: Pantry;
  readonly evaluation: Evaluation | null;
  /** The formula the evaluation is of: an older one while the newest is being worked out. */ readonly of: Formula | null;
  /** Fields holding what cannot be read. */ readonly unread: number;
};

/** Makes the draft the next version, with a one-line why made from its changes. Safe to press twice and across a server that dies. */
export function SaveVersionButton({ detail, saved, pantry, evaluation, of, unread }: Props) {
  const { palette } = useTheme();
  const [button, setButton] = useState<HTMLButtonElement | null>(null);
  const [open, setOpen] = useState(false);
  const [why, setWhy] = useState('');
  const saving = useSaving(detail, evaluation, of, pantry, saved, setOpen, setWhy, unread, why);
  const { ask, reason, next } = saving;
  return (
    <>
      <Button ref={setButton} variant="contained" onClick={ask} aria-disabled={reason !== null} sx={reason ? { opacity: 0.75 } : {}}>
        {t('workspace.saveAsVNext', { next })}
        <Box
          component="span"
          sx={{
            [under.phone]: { display: 'none' },
            ml: 2,
            px: 1.5,
            borderRadius: '5px',
            border: `1px solid ${palette.primary.contrastText}`,
            fontSize: typeSize.caption,
            lineHeight: '18px',
          }}
        >
          {t('find.ctrlS')}
        </Box>
      </Button>
      <Why saving={saving} button={button} open={open} setOpen={setOpen} setWhy={setWhy} why={why} />
    </>
  );
}

/** Whether the draft can be saved, why not, and the saving itself. */
function useSaving(
  detail: FormulaDetail,
  evaluation: Evaluation | null,
  of: Formula | null,
  pantry: Pantry,
  saved: FormulaVersion,
  setOpen: Dispatch<SetStateAction<boolean>>,
  setWhy: Dispatch<SetStateAction<string>>,
  unread: number,
  why: string,
) {
  const voice = useVoice();
  const save = useSaveVersion();
  const next = detail.versions[detail.versions.length - 1]!.version + 1;
  // What is saved is the draft as it stands, not as it was last worked out.
  const draft = useDraft((state) => state.formula);
  const changes = useMemo(() => countedChanges(saved.formula, draft), [saved.formula, draft]);
  const problem = evaluation && of === draft ? problemsOf(evaluation)[0] : undefined;
  const reason =
    unread > 0
      ? t('workspace.aFieldHoldsWhatCannotBeRead')
      : problem
        ? `${placeName(pointerOf(problem.path), voice) ?? problem.path} ${refusalWords(problem, voice)}`
        : changes.length === 0
          ? t('workspace.nothingHasChanged')
          : null;

  const ask = () => {
    if (save.isPending) return;
    if (reason) return void notify(t('workspace.notSavedReason', { reason }));
    save.reset();
    setWhy(describeEdits(changes, saved.formula, pantry, voice));
    setOpen(true);
  };
  const askNow = useRef(ask);
  useEffect(() => {
    askNow.current = ask;
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 's') return;
      event.preventDefault();
      askNow.current();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);

  const send = async () => {
    await holdDraft();
    const { formula, basedOn, revision } = useDraft.getState();
    save.mutate(
      { formulaId: detail.id, versionId: crypto.randomUUID(), body: { basedOn, why, formula, setAside: [], draftRevision: revision } },
      {
        onError: releaseDraft,
        onSuccess: (version) => {
          setOpen(false);
          if (version.draftKept) notify(t('workspace.anotherDeviceHasALaterDraftOf'));
          notify(
            version.beside === null
              ? t('workspace.savedAsVVersion', { version: version.version })
              : t('workspace.savedAsVVersionBesideVBeside', { version: version.version, beside: version.beside }),
          );
        },
      },
    );
  };

  const recovering = save.failureReason instanceof ApiError && save.failureReason.mayRecover && save.isPending;
  return { ask, reason, next, save, send, recovering };
}

type Saving = ReturnType<typeof useSaving>;

/** Why it is saved, said before it is. */
function Why({
  saving,
  button,
  open,
  setOpen,
  setWhy,
  why,
}: {
  readonly saving: Saving;
  readonly button: HTMLButtonElement | null;
  readonly open: boolean;
  readonly setOpen: Dispatch<SetStateAction<boolean>>;
  readonly setWhy: Dispatch<SetStateAction<string>>;
  readonly why: string;
}) {
  const { save, send, recovering, next } = saving;
  return (
    <Popover
      open={open}
      anchorEl={button}
      onClose={() => !save.isPending && setOpen(false)}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      transformOrigin={{ vertical: 'top', horizontal: 'right' }}
    >
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          void send();
        }}
        sx={{ p: 4, width: 420, display: 'grid', gap: 3 }}
      >
        <TextField
          autoFocus
          label={t('workspace.why')}
          value={why}
          onChange={(event) => setWhy(event.target.value.slice(0, 500))}
          multiline
          maxRows={4}
          onKeyDown={(event) => event.key === 'Enter' && !event.shiftKey && (event.preventDefault(), void send())}
          slotProps={{ htmlInput: { style: { textAlign: 'left', height: 'auto' } } }}
        />
        {save.isError && <Alert severity="error">{save.error.message}</Alert>}
        {recovering && <Alert severity="warning">{t('workspace.theServerDoesNotAnswerSavingAgain')}</Alert>}
        <Button type="submit" variant="contained" disabled={save.isPending}>
          {save.isPending ? t('workspace.saving') : t('workspace.saveVNext', { next })}
        </Button>
      </Box>
    </Popover>
  );
}
