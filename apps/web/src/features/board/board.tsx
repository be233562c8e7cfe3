import { createContext, memo, useContext, useMemo, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  families,
  handlingOf,
  problemsOf,
  valueAt,
  type Evaluation,
  type Formula,
  type Handling,
  type Kitchen,
  type Pantry,
  type QuantityKind,
  type Refusal,
} from '@north-leaf/core';
import { placeName, refusalWords } from '@north-leaf/words';
import { useVoice } from '../../platform/preferences';
import { QuantityField, type ReadTyped } from '../../ui/form/quantity-field';
import { setValue, useDraft } from '../formulas/doors';
import { t } from '../../platform/words';
import { AllOfIt } from './whole-board';

/** What stays while the baker types. */
export type Surroundings = { readonly kitchen: Kitchen; readonly pantry: Pantry };
/** What each answer of the core changes. */
export type BoardAnswer = { readonly evaluation: Evaluation; readonly stale: boolean };
type Problems = readonly Refusal[];

// Three contexts, so that a field is drawn again only when its own value or problem changes, not at every answer.
const SurroundingsContext = createContext<Surroundings | null>(null);
const AnswerContext = createContext<BoardAnswer | null>(null);
const ProblemsContext = createContext<Problems>([]);

export function BoardProvider({ kitchen, pantry, evaluation, stale, children }: Surroundings & BoardAnswer & { children: ReactNode }) {
  const surroundings = useMemo(() => ({ kitchen, pantry }), [kitchen, pantry]);
  const answer = useMemo(() => ({ evaluation, stale }), [evaluation, stale]);
  const said = JSON.stringify(problemsOf(evaluation));
  const problems = useMemo(() => JSON.parse(said) as Problems, [said]);
  return (
    <SurroundingsContext.Provider value={surroundings}>
      <ProblemsContext.Provider value={problems}>
        <AnswerContext.Provider value={answer}>{children}</AnswerContext.Provider>
      </ProblemsContext.Provider>
    </SurroundingsContext.Provider>
  );
}

function held<T>(value: T | null): T {
  if (value === null) throw new Error('a board is drawn outside its formula');
  return value;
}
export const useSurroundings = (): Surroundings => held(useContext(SurroundingsContext));
/** How hands shape this dough: what a board asks and says goes by it. */
export function useHandling(): Handling {
  const formula = useFormula();
  const family = families[formula.family];
  return family ? handlingOf(formula, family) : 'rolled';
}
export const useAnswer = (): BoardAnswer => held(useContext(AnswerContext));

/** Left what is set, centre the picture that teaches. The heading is the board's one question. */
export function Board({ question, set, children }: { question: string; set: ReactNode; children: ReactNode }) {
  const { palette } = useTheme();
  return (
    <>
      <Box sx={{ p: '12px 16px', borderRight: `1px solid ${palette.divider}`, minWidth: 0 }}>{set}</Box>
      <Box component="section" aria-labelledby="question" sx={{ p: '12px 16px', borderRight: `1px solid ${palette.divider}`, minWidth: 0 }}>
        <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, minHeight: 32 }}>
          <Typography id="question" variant="h2" sx={{ lineHeight: '32px' }}>
            {question}
          </Typography>
          <AllOfIt />
        </Box>
        {children}
      </Box>
    </>
  );
}

/** What a centre says while its stage cannot be worked out. */
export function Waiting({ stage }: { stage: keyof Omit<Evaluation, 'outlook'> }) {
  const voice = useVoice();
  const { evaluation } = useAnswer();
  const problem = problemsOf(evaluation)[0];
  const own = evaluation[stage].state === 'waiting' && (evaluation[stage] as { problem?: unknown }).problem !== undefined;
  return (
    <Box role="status" sx={{ py: 8, textAlign: 'center', color: 'text.secondary' }}>
      {own ? t('board.thisStageCannotBeWorkedOutYet') : t('board.waitingForAnEarlierStage')}
      <Box sx={{ color: 'error.main', fontWeight: 650, pt: 1 }}>
        {problem && `${placeName(pointerOf(problem.path), voice) ?? plainPath(problem.path)}: ${refusalWords(problem, voice)}`}
      </Box>
    </Box>
  );
}

const plainPath = (path: string) => path.replace(/\[(\d+)\]/g, (_, n: string) => ` ${Number(n) + 1}`).replaceAll('.', ', ');

/** The problem the core has with a place, by its path in the document. */
export function useProblem(path: string): string | undefined {
  const voice = useVoice();
  const problem = useContext(ProblemsContext).find((one) => pointerOf(one.path) === path);
  return problem && refusalWords(problem, voice);
}

/** 'rows[2].amountG' as '/rows/2/amountG'. */
export const pointerOf = (path: string): string => `/${path.replace(/\[(\d+)\]/g, '.$1').replaceAll('.', '/')}`;

type FieldProps = {
  readonly path: string;
  readonly label: string;
  readonly kind: QuantityKind;
  /** Shown value over held value: 100 where a share is shown in percent. */ readonly times?: number;
  readonly grain?: number;
  readonly width?: number;
  readonly hideUnit?: boolean;
  readonly digits?: number;
  /** The same function at every drawing. */ readonly read?: ReadTyped;
};

/** One number of the formula, at its path: value, saved ghost, what is typed, and what the core has against it. */
export const FormulaField = memo(function FormulaField({ path, label, kind, times = 1, ...rest }: FieldProps) {
  const value = useDraft((state) => valueAt(state.formula, path) as number | undefined);
  const was = useDraft((state) => valueAt(state.saved, path) as number | undefined);
  const typed = useDraft((state) => state.typed[path]);
  const { edit, type } = useDraft.getState();
  const problem = useProblem(path);
  if (value === undefined) return null;
  return (
    <QuantityField
      label={label}
      kind={kind}
      value={value * times}
      was={was === undefined ? undefined : was * times}
      typed={typed}
      problem={problem}
      onTyped={(text) => type(path, text)}
      onChange={(next, visit) => edit(`${path}:${visit}`, setValue(path, next / times))}
      {...rest}
    />
  );
});

/** Sets one value of the formula as a step of its own. */
export function useSet(): (path: string, to: Parameters<typeof setValue>[1]) => void {
  const { edit } = useDraft.getState();
  return (path, to) => edit(`${path}:${Date.now()}`, setValue(path, to));
}

export const useFormula = (): Formula => useDraft((state) => state.formula);
