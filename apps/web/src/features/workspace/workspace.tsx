import { Suspense, useEffect, useMemo, useState } from 'react';
import { useInfiniteQuery } from '@tanstack/react-query';
import PrintIcon from '@mui/icons-material/Print';
import RedoIcon from '@mui/icons-material/Redo';
import UndoIcon from '@mui/icons-material/Undo';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { hasTodaysOven, stageNames, type Finding, type Kitchen, type Pantry, type StageName } from '@north-leaf/core';
import type { FormulaDetail, FormulaVersion } from '@north-leaf/contracts';
import { Link } from 'react-router';
import { Note } from '../../ui/frame/note';
import { nextUnits, usePreferences } from '../../platform/preferences';
import { sizes, typeSize, under } from '../../ui/theme/theme';
import { UnitToggle } from '../../ui/form/unit-toggle';
import { bakesQuery, bakedPoints, together } from '../bakes/doors';
import { BakeBoard } from '../bake/doors';
import { useAskAbout } from '../words/doors';
import { BlendBoard } from '../blend/doors';
import { BoardProvider } from '../board/doors';
import { ChillBoard } from '../chill/doors';
import { DoughBoard } from '../dough/doors';
import { KeepBoard } from '../keep/doors';
import { PrintedFormula } from '../paper/doors';
import { SheetBoard } from '../sheet/doors';
import { countedChanges, discardChanges, useDraft } from '../formulas/doors';
import { FindingsList, inOrder } from './findings-list';
import { OutlookField, OutlookStrip } from './outlook-field';
import { SaveVersionButton } from './save-version';
import { StoringStrip, StoringWords } from './storing';
import { TheLine } from './the-line';
import { useEvaluation } from './use-evaluation';
import { useTakeChange } from './use-take-change';
import { t } from '../../platform/words';
import type { Edit } from '@north-leaf/core';

const boards: Record<StageName, () => React.ReactNode> = {
  blend: BlendBoard,
  dough: DoughBoard,
  chill: ChillBoard,
  sheet: SheetBoard,
  bake: BakeBoard,
  keep: KeepBoard,
};

type Props = {
  readonly detail: FormulaDetail;
  readonly saved: FormulaVersion;
  readonly stage: StageName;
  readonly onStage: (stage: StageName) => void;
  readonly kitchen: Kitchen;
  readonly pantry: Pantry;
};

/** One formula: the Line, the board of the stage that is looked at, the Outlook and what to change. */
export function Workspace({ detail, saved, stage, onStage, kitchen, pantry }: Props) {
  const { palette } = useTheme();
  const worked = useEvaluation(kitchen, pantry, saved);
  const { evaluation, of, stale, failed } = worked;
  // Everything on this page is about the formula that was worked out; only the fields are ahead of it.
  const formula = of ?? saved.formula;
  const changes = useMemo(() => countedChanges(saved.formula, formula), [saved.formula, formula]);
  const apply = useTakeChange(worked, kitchen, pantry);
  useAskAbout(formula.family);
  useKeys(onStage, evaluation ? firstChange(evaluation, stage) : undefined, apply);
  const Shown = boards[stage];
  return (
    <Box component="main" sx={{ px: 4, pb: 4 }}>
      <TopLine detail={detail} saved={saved} kitchen={kitchen} pantry={pantry} worked={worked} changes={changes} />
      <StoringStrip formulaId={detail.id} />
      {failed && (
        <Box role="alert" sx={{ bgcolor: palette.leaf.fixSoft, px: 4, py: 2, borderRadius: '8px' }}>
          {t('workspace.thisDraftCouldNotBeWorkedOut')}
        </Box>
      )}
      <TheLine formula={formula} evaluation={evaluation} stage={stage} onStage={onStage} />
      <Box
        id="board"
        role="tabpanel"
        aria-labelledby={`tab-${stage}`}
        sx={{
          bgcolor: 'background.paper',
          borderRadius: '0 0 12px 12px',
          display: 'grid',
          gridTemplateColumns: `${sizes.left}px minmax(0, 1fr) ${sizes.outlook}px`,
          minHeight: 600,
          [under.desk]: { gridTemplateColumns: `${sizes.left}px minmax(0, 1fr)` },
          [under.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
        }}
      >
        {evaluation?.outlook && <OutlookStrip outlook={evaluation.outlook} worst={inOrder(evaluation, stage)[0]} stale={stale} />}
        {evaluation ? (
          <BoardProvider evaluation={evaluation} stale={stale} kitchen={kitchen} pantry={pantry}>
            <Shown />
          </BoardProvider>
        ) : (
          <Box sx={{ gridColumn: 'span 2', p: 6, color: 'text.secondary' }}>{t('workspace.workingItOut')}</Box>
        )}
        <Aside {...{ detail, saved, stage, onStage, kitchen, pantry, worked }} changed={changes.length > 0} onApply={apply} />
      </Box>
    </Box>
  );
}

/** Name and version, undo and redo, and what to do with the formula. */
function TopLine({
  detail,
  saved,
  kitchen,
  pantry,
  worked,
  changes,
}: {
  readonly detail: FormulaDetail;
  readonly saved: FormulaVersion;
  readonly kitchen: Kitchen;
  readonly pantry: Pantry;
  readonly worked: ReturnType<typeof useEvaluation>;
  readonly changes: readonly Edit[];
}) {
  const [undoable, redoable] = [useDraft((state) => state.undo.length > 0), useDraft((state) => state.redo.length > 0)];
  const { evaluation, of } = worked;
  const [printing, setPrinting] = useState(false);
  const formula = of ?? saved.formula;
  const newest = detail.versions[detail.versions.length - 1]!.version;
  const { undoStep, redoStep } = useDraft.getState();
  const unread = useDraft((state) => Object.keys(state.typed).length);
  return (
    // On a desk what is said beside the name breaks in its own place, so that the board never jumps at the first edit.
    <Box sx={{ minHeight: sizes.top, display: 'flex', alignItems: 'center', gap: 2, [under.desk]: { flexWrap: 'wrap' } }}>
      <Typography variant="h1">{formula.name}</Typography>
      <Note size="small">
        <b>v{saved.version}</b>
        {changes.length > 0 && t('workspace.andChanges', { count: changes.length })}
        {saved.version < newest && t('workspace.vNewestIsNewer', { newest })} · <StoringWords />
      </Note>
      <IconButton size="small" aria-label={t('common.undo')} disabled={!undoable} onClick={undoStep} title={t('common.undoCtrlZ')}>
        <UndoIcon fontSize="small" />
      </IconButton>
      <IconButton
        size="small"
        aria-label={t('workspace.redo')}
        disabled={!redoable}
        onClick={redoStep}
        title={t('workspace.redoCtrlShiftZ')}
      >
        <RedoIcon fontSize="small" />
      </IconButton>
      {changes.length > 0 && (
        <Button size="small" onClick={() => void discardChanges()} sx={{ flex: 'none', fontSize: typeSize.small }}>
          {t('workspace.backToVVersion', { version: saved.version })}
        </Button>
      )}
      <Box
        sx={{
          ml: 'auto',
          flex: 'none',
          display: 'flex',
          gap: 2,
          alignItems: 'center',
          [under.desk]: { flex: 'initial', flexWrap: 'wrap' },
        }}
      >
        <IconButton
          size="small"
          aria-label={t('workspace.printTheFormula')}
          title={t('workspace.printTheFormula')}
          disabled={!evaluation}
          onClick={() => setPrinting(true)}
        >
          <PrintIcon fontSize="small" />
        </IconButton>
        {printing && evaluation && (
          <Suspense>
            <PrintedFormula
              {...{ formula, evaluation, kitchen, pantry }}
              version={`v${saved.version}${changes.length > 0 ? t('workspace.andChanges', { count: changes.length }) : ''}`}
              onClose={() => setPrinting(false)}
            />
          </Suspense>
        )}
        <Button component={Link} to={`/run/new?formula=${detail.id}`} variant="outlined">
          {t('common.startABake')}
        </Button>
        <Button component={Link} to={`/bakes/new?formula=${detail.id}&version=${saved.version}`} variant="outlined">
          {t('common.recordABake')}
        </Button>
        <UnitToggle />
        <SaveVersionButton detail={detail} saved={saved} pantry={pantry} evaluation={evaluation} of={of} unread={unread} />
      </Box>
    </Box>
  );
}

/** What the formula will be, and what is found wrong with it. */
function Aside({
  detail,
  saved,
  stage,
  onStage,
  kitchen,
  pantry,
  worked,
  changed,
  onApply,
}: Props & { readonly worked: ReturnType<typeof useEvaluation>; readonly changed: boolean; readonly onApply: (finding: Finding) => void }) {
  const { evaluation, of, stale } = worked;
  const formula = of ?? saved.formula;
  const bakes = useInfiniteQuery(bakesQuery({ formulaId: detail.id }));
  const baked = useMemo(() => bakedPoints(together(bakes.data) ?? []), [bakes.data]);
  const { palette } = useTheme();
  return (
    <Box
      component="aside"
      id="outlook"
      aria-label={t('workspace.outlookAndFindings')}
      sx={{
        p: '12px 16px',
        [under.desk]: {
          gridColumn: '1 / -1',
          borderTop: `1px solid ${palette.divider}`,
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 320px) 1fr',
          gap: 6,
        },
        [under.phone]: { display: 'block' },
      }}
    >
      <OutlookField
        outlook={evaluation?.outlook ?? null}
        savedOutlook={saved.evaluation.outlook}
        savedByAnother={!hasTodaysOven(saved.coreVersion)}
        version={saved.version}
        changed={changed}
        baked={baked}
        stale={stale}
      />
      {evaluation && (
        <FindingsList
          evaluation={evaluation}
          stage={stage}
          formula={formula}
          places={kitchen.places}
          pantry={pantry}
          onApply={onApply}
          onStage={onStage}
          stale={stale}
        />
      )}
    </Box>
  );
}

function firstChange(evaluation: NonNullable<ReturnType<typeof useEvaluation>['evaluation']>, stage: StageName): Finding | undefined {
  const here = evaluation[stage];
  const of = (name: StageName) => {
    const one = evaluation[name];
    return one.state === 'waiting' ? [] : one.findings;
  };
  return [...(here.state === 'waiting' ? [] : here.findings), ...stageNames.flatMap(of)].find(({ change }) => change !== undefined);
}

/** Desk keys. Single letters and digits only while no field has the focus. */
function useKeys(onStage: (stage: StageName) => void, first: Finding | undefined, apply: (finding: Finding) => void) {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const { undoStep, redoStep } = useDraft.getState();
      const ctrl = event.ctrlKey || event.metaKey;
      if (ctrl && event.key.toLowerCase() === 'z') {
        event.preventDefault();
        (document.activeElement as HTMLElement | null)?.blur();
        return event.shiftKey ? redoStep() : undoStep();
      }
      if (event.altKey && event.key.toLowerCase() === 'a' && first) {
        event.preventDefault();
        return apply(first);
      }
      const at = event.target as HTMLElement;
      if (!usePreferences.getState().letterKeys) return;
      if (ctrl || event.altKey || /^(INPUT|TEXTAREA|SELECT)$/.test(at.tagName) || at.getAttribute('role') === 'combobox') return;
      const stage = stageNames[Number(event.key) - 1];
      if (stage) onStage(stage);
      else if (event.key === 'u') {
        const { units, set } = usePreferences.getState();
        set({ units: nextUnits(units) });
      }
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [onStage, first, apply]);
}
