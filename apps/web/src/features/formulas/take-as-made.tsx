import { useMemo, useState } from 'react';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { editsBetween, takenAsMade, type Formula } from '@north-leaf/core';
import type { FormulaDetail, FormulaVersion, Run } from '@north-leaf/contracts';
import { describeEdits } from '@north-leaf/words';
import { useVoice } from '../../platform/preferences';
import { kitchenQuery } from '../kitchen/doors';
import { pantryQuery } from '../pantry/doors';
import { formulaQuery, versionQuery, waitingDraft } from './api';
import { newKey } from './new-key';
import { keepChange } from './draft-keeping';
import { t } from '../../platform/words';
import { Sentence } from '../../ui/words/sentence';

type Props = { readonly bake: Run; readonly version: FormulaVersion };

/** What was put in, left out or swapped at the bench, offered to the next version in one press. Nothing where it was made as written. */
export function TakeAsMade({ bake, version }: Props) {
  const { data: detail } = useQuery(formulaQuery(bake.formulaId));
  const newest = detail?.versions.at(-1)?.version ?? 0;
  const { data: saved } = useQuery({ ...versionQuery(bake.formulaId, newest), enabled: newest > 0 });
  if (!detail || !saved) return null;
  return <Offer bake={bake} version={version} detail={detail} saved={saved} />;
}

function Offer({ bake, version, detail, saved }: Props & { detail: FormulaDetail; saved: FormulaVersion }) {
  const voice = useVoice();
  const navigate = useNavigate();
  const { data: kitchen } = useQuery(kitchenQuery);
  const { data: pantry } = useQuery(pantryQuery);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const draft = waitingDraft(detail);
  const now = draft?.formula ?? saved.formula;
  const taking = useMemo(() => {
    if (!kitchen || !pantry) return null;
    const { factor, events, steps } = bake;
    return (into: Formula) =>
      takenAsMade(into, { formula: version.formula, factor, events, steps }, pantry, { scaleStepG: kitchen.scaleStepG, newKey });
  }, [bake, version, kitchen, pantry]);
  const edits = useMemo(() => (taking ? editsBetween(now, taking(now)) : []), [taking, now]);
  if (!pantry || !taking || edits.length === 0) return null;
  // Where what was added is mixed in goes without saying.
  const told = edits.filter(({ path }) => !path.startsWith('/mix'));
  const take = async () => {
    setBusy(true);
    setFailed(null);
    try {
      await keepChange(detail, saved, `asMade:${bake.id}`, (into) => editsBetween(into, taking(into)));
      await navigate(`/formulas/${bake.formulaId}/dough`);
    } catch (error) {
      setFailed((error as Error).message);
      setBusy(false);
    }
  };
  return (
    <Alert
      severity="info"
      action={
        <Button color="inherit" size="small" onClick={() => void take()} disabled={busy}>
          {t('formulas.takeItIntoWord', { word: draft ? t('formulas.theDraft') : t('formulas.theNextVersion') })}
        </Button>
      }
    >
      <Sentence say="formulas.madeOtherwiseThanWrittenTold" values={{ told: describeEdits(told, now, pantry, voice, { most: 8 }) }} />
      {failed && t('formulas.notTakenFailed', { failed })}
    </Alert>
  );
}
