import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  stageNames,
  worstFirst,
  type Evaluation,
  type Finding,
  type Formula,
  type Pantry,
  type Place,
  type StageName,
  type StageState,
} from '@north-leaf/core';
import { findingWords, describeEdits } from '@north-leaf/words';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { Leaf, stateWords } from '../../ui/frame/leaf';
import { stageLabels, useWholeBoard } from '../board/doors';
import { t } from '../../platform/words';

type Props = {
  readonly evaluation: Evaluation;
  readonly stage: StageName;
  readonly formula: Formula;
  readonly pantry: Pantry;
  readonly places: readonly Place[];
  readonly onApply: (finding: Finding) => void;
  readonly onStage: (stage: StageName) => void;
  readonly stale: boolean;
};

const MOST_OPEN = 3;

/** What to change, by how much, and why: this stage's first, worst first; the rest as one line each. */
export function FindingsList({ evaluation, stage, formula, pantry, places, onApply, onStage, stale }: Props) {
  const [all, setAll] = useState(false);
  const found = inOrder(evaluation, stage);
  const whole = useWholeBoard();
  // A short board says what comes first, and whatever is to be mended before anything is baked.
  const folded = found.filter(({ level }, i) => whole || i === 0 || level === 'fix').slice(0, MOST_OPEN);
  const open = all ? found : folded;
  return (
    <Box component="section" aria-label={t('workspace.findings')} aria-live="polite" sx={{ pt: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, minHeight: 28 }}>
        <Typography variant="h2">{t('workspace.findings')}</Typography>
        <Box component="span" sx={{ fontWeight: 650, fontSize: typeSize.small }}>
          {found.length}
        </Box>
        {folded.length < found.length && (
          <Button size="small" onClick={() => setAll(!all)} sx={{ ml: 'auto', minHeight: 24, fontSize: typeSize.caption }}>
            {all ? t('workspace.fewer') : t('workspace.allFound', { found: found.length })}
          </Button>
        )}
      </Box>
      {found.length === 0 && (
        <Note size="small">
          {stageNames.some((name) => evaluation[name].state === 'waiting')
            ? t('workspace.nothingSoFarTheStagesThatWait')
            : t('workspace.holdsAllTheWayDownTheLine')}
        </Note>
      )}
      {open.map((finding) => (
        <FindingCard
          key={finding.code + (finding.measured?.of ?? '') + finding.stage}
          finding={finding}
          here={finding.stage === stage}
          formula={formula}
          pantry={pantry}
          places={places}
          onApply={onApply}
          onStage={onStage}
          stale={stale}
        />
      ))}
    </Box>
  );
}

/** What is found, this stage's first, worst first. */
export function inOrder(evaluation: Evaluation, stage: StageName): Finding[] {
  const of = (name: StageName) => {
    const one = evaluation[name];
    return one.state === 'waiting' ? [] : one.findings;
  };
  return [...worstFirst(of(stage)), ...worstFirst(stageNames.filter((name) => name !== stage).flatMap(of))];
}

type CardProps = {
  readonly finding: Finding;
  readonly here: boolean;
  readonly formula: Formula;
  readonly pantry: Pantry;
  readonly places: readonly Place[];
  readonly onApply: (finding: Finding) => void;
  readonly onStage: (stage: StageName) => void;
  readonly stale: boolean;
};

/** What is off and why; then the change, as a button. */
function FindingCard({ finding, here, formula, pantry, places, onApply, onStage, stale }: CardProps) {
  const { palette } = useTheme();
  const voice = useVoice();
  const { what, why, change } = findingWords(finding, voice);
  const state: StageState = finding.level === 'note' ? 'good' : finding.level;
  return (
    <Box data-code={finding.code} sx={{ borderTop: `1px solid ${palette.divider}`, py: 2, display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '22px 1fr', gap: 1 }}>
        <Leaf state={state} size={17} />
        <Box>
          <Box sx={{ fontWeight: 650, fontSize: typeSize.body, lineHeight: '18px' }}>
            {!here && (
              <ButtonBase
                onClick={() => onStage(finding.stage)}
                sx={{
                  color: 'primary.main',
                  fontWeight: 650,
                  fontSize: typeSize.body,
                  verticalAlign: 'baseline',
                  textDecoration: 'underline',
                  mr: 1,
                }}
              >
                {stageLabels[finding.stage]}
              </ButtonBase>
            )}
            {what}
            <Box component="span" sx={{ position: 'absolute', width: '1px', height: '1px', overflow: 'hidden', clipPath: 'inset(50%)' }}>
              {' '}
              {finding.level === 'note' ? t('common.note') : stateWords[state]}
            </Box>
          </Box>
          <Box sx={{ fontSize: typeSize.small, lineHeight: '17px', color: 'text.secondary' }}>
            {why} {!finding.change && change}
          </Box>
        </Box>
      </Box>
      {finding.change && (
        <Button
          variant="outlined"
          size="small"
          disabled={stale}
          onClick={() => onApply(finding)}
          sx={{
            justifySelf: 'start',
            ml: '26px',
            textAlign: 'left',
            fontSize: typeSize.lead,
            whiteSpace: 'normal',
            lineHeight: '19px',
            py: 1,
            color: 'primary.main',
          }}
        >
          {describeEdits(finding.change.edits, formula, pantry, voice, { most: 4, places })}
        </Button>
      )}
    </Box>
  );
}
