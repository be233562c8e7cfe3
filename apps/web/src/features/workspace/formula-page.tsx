import { useEffect, useMemo, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import { stageNames, type StageName } from '@north-leaf/core';
import type { FormulaVersion } from '@north-leaf/contracts';
import { useNavigate, useParams } from 'react-router';
import { ErrorPage } from '../../platform/error-page';
import { kitchenQuery } from '../kitchen/doors';
import { pantryQuery } from '../pantry/doors';
import { formulaQuery, versionQuery, openDraft, useDraftKeeping, useDraft } from '../formulas/doors';
import { Workspace } from './workspace';
import { t } from '../../platform/words';

/** Loads a formula, its newest version and its draft, then shows the workspace. */
export function FormulaPage() {
  const { id = '', stage } = useParams();
  const navigate = useNavigate();
  const detail = useQuery(formulaQuery(id));
  const newest = detail.data?.versions[detail.data.versions.length - 1];
  const basedOn = detail.data?.draft?.basedOn ?? newest?.version;
  const version = useQuery({ ...versionQuery(id, basedOn ?? 0), enabled: basedOn !== undefined });
  const saved = version.data;
  const kitchen = useQuery(kitchenQuery);
  const pantry = useQuery(pantryQuery);
  const [opened, setOpened] = useState<{ readonly id: string; readonly saved: FormulaVersion } | null>(null);
  useDraftKeeping(id);

  // A draft is opened once for each version it may begin from; later answers of the server do not disturb what is typed.
  const opening = saved && detail.data ? `${id}:${saved.version}` : null;
  useEffect(() => {
    if (!opening || !saved || !detail.data) return;
    let gone = false;
    void openDraft(detail.data, saved).then(() => !gone && setOpened({ id, saved }));
    return () => {
      gone = true;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [opening]);

  const error = detail.error ?? version.error ?? kitchen.error ?? pantry.error;
  const known = stageNames.includes(stage as StageName) ? (stage as StageName) : 'dough';
  const isOpen = useDraft((state) => state.formulaId === id);
  const surroundings = useMemo(
    () => (kitchen.data && pantry.data ? { kitchen: kitchen.data, pantry: pantry.data } : null),
    [kitchen.data, pantry.data],
  );
  if (error) return <ErrorPage error={error} />;
  // After a save the workspace stays as it is until the next version's draft is open.
  if (!isOpen || !surroundings || opened?.id !== id || !detail.data) return <Loading />;
  return (
    <Workspace
      detail={detail.data}
      saved={opened.saved}
      stage={known}
      onStage={(next) => void navigate(`/formulas/${id}/${next}`, { replace: true })}
      {...surroundings}
    />
  );
}

/** The Line keeps its shape while it loads. */
function Loading() {
  return (
    <Box component="main" sx={{ px: 4 }} aria-busy="true" aria-label={t('workspace.loadingTheFormula')}>
      <Skeleton height={52} width={320} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(6, 1fr)', gap: 2 }}>
        {stageNames.map((name) => (
          <Skeleton key={name} variant="rounded" height={126} />
        ))}
      </Box>
      <Skeleton variant="rounded" height={560} sx={{ mt: 1 }} />
    </Box>
  );
}
