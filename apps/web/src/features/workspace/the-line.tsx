import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useTheme } from '@mui/material/styles';
import { stageNames, type Evaluation, type Formula, type StageName } from '@north-leaf/core';
import type { KeyboardEvent } from 'react';
import { useVoice } from '../../platform/preferences';
import { Leaf } from '../../ui/frame/leaf';
import { sizes, typeSize, under } from '../../ui/theme/theme';
import { Ribbon } from '../../ui/drawing/ribbon';
import { rulingOf, stageLabelOf } from '../board/doors';
import { t } from '../../platform/words';

/** Six stages in the order of the work; one picture of the same dough runs under them. */
export function TheLine({
  formula,
  evaluation,
  stage,
  onStage,
}: {
  formula: Formula;
  evaluation: Evaluation | null;
  stage: StageName;
  onStage: (stage: StageName) => void;
}) {
  const move = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    const next = stageNames[(stageNames.indexOf(stage) + by + stageNames.length) % stageNames.length]!;
    onStage(next);
    document.getElementById(`tab-${next}`)?.focus();
  };
  return (
    <Box sx={{ position: 'relative', height: sizes.line, [under.phone]: { height: 'auto' } }}>
      <Box
        role="tablist"
        aria-label={t('workspace.theLine')}
        onKeyDown={move}
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(6, minmax(0, 1fr))',
          height: '100%',
          [under.phone]: { gridTemplateColumns: 'repeat(2, minmax(0, 1fr))' },
        }}
      >
        {stageNames.map((name) => (
          <StageTab key={name} name={name} chosen={name === stage} formula={formula} evaluation={evaluation} onStage={onStage} />
        ))}
      </Box>
      <Box
        sx={{
          position: 'absolute',
          left: 0,
          right: 0,
          bottom: 0,
          height: sizes.ribbon,
          pointerEvents: 'none',
          [under.phone]: { display: 'none' },
        }}
      >
        <Ribbon formula={formula} evaluation={evaluation} />
      </Box>
    </Box>
  );
}

/** The word that explains each stage's number. */
const ruledBy: Readonly<Record<StageName, string>> = {
  blend: 'waterHold',
  dough: 'ofItsWater',
  chill: 'toTarget',
  sheet: 'thickness',
  bake: 'bakeTime',
  keep: 'daysKept',
};

/** A stage: its name, its state, its ruling number. */
function StageTab({
  name,
  chosen,
  formula,
  evaluation,
  onStage,
}: {
  readonly name: StageName;
  readonly chosen: boolean;
  readonly formula: Formula;
  readonly evaluation: Evaluation | null;
  readonly onStage: (stage: StageName) => void;
}) {
  const voice = useVoice();
  const state = evaluation?.[name].state ?? 'waiting';
  const { number, unit } = evaluation ? rulingOf(name, evaluation, voice) : { number: '–', unit: '' };
  const { palette } = useTheme();
  return (
    <ButtonBase
      id={`tab-${name}`}
      role="tab"
      aria-selected={chosen}
      aria-controls="board"
      tabIndex={chosen ? 0 : -1}
      onClick={() => onStage(name)}
      sx={{
        display: 'flex',
        flexDirection: 'column',
        alignItems: 'stretch',
        justifyContent: 'flex-start',
        textAlign: 'left',
        px: 4,
        pt: 2.5,
        minHeight: 72,
        borderRadius: '10px 10px 0 0',
        borderTop: `3px solid ${chosen ? palette.primary.main : 'transparent'}`,
        bgcolor: chosen ? 'background.paper' : 'transparent',
        '&:hover': { bgcolor: chosen ? 'background.paper' : palette.action.hover },
      }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center' }}>
        <Box component="span" sx={{ fontWeight: 600, fontSize: typeSize.body }}>
          {stageLabelOf(name, formula)}
        </Box>
        <Leaf state={state} size={19} label />
      </Box>
      <Box
        data-ask={ruledBy[name]}
        sx={{
          display: 'flex',
          alignItems: 'baseline',
          columnGap: 1.5,
          whiteSpace: 'nowrap',
          overflow: 'hidden',
          // Narrow stages say all of it too, one under the other.
          [under.desk]: { flexWrap: 'wrap', whiteSpace: 'normal' },
        }}
      >
        <Box
          component="span"
          data-testid={`ruling-${name}`}
          sx={{ fontSize: typeSize.stage, lineHeight: '30px', fontWeight: 700, letterSpacing: '-0.4px' }}
        >
          {number}
        </Box>
        <Box
          component="span"
          sx={{ fontSize: typeSize.small, fontWeight: 600, color: 'text.secondary', overflow: 'hidden', textOverflow: 'ellipsis' }}
        >
          {unit}
        </Box>
      </Box>
    </ButtonBase>
  );
}
