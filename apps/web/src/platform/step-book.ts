import { useCallback } from 'react';
import { create } from 'zustand';
import { notify } from './notices';
import { useUndoKey } from './undo-key';
import { t } from './words';

type Step<Change> = { readonly name: string; readonly change: Change };
const MOST_STEPS = 50;

export type StepBook<Change> = {
  readonly push: (step: Step<Change>) => void;
  /** Does something and remembers the change that takes it back (null: nothing does). Rejects as `what` does. */
  readonly act: (name: string, what: () => Promise<Change | null>) => Promise<void>;
  /** Takes the last step back through `send`: by its button, or by Ctrl Z while no field has the focus. */
  readonly useUndo: (send: (change: Change) => Promise<unknown>) => { readonly undo: () => Promise<void>; readonly undoable: boolean };
};

/**
 * What was done on a page, and how it is taken back, newest last. Acts and their taking back follow each other in the order in which
 * they were asked for: Undo pressed while a change is still on its way takes back that change and not the one before it.
 */
export function stepBook<Change>(): StepBook<Change> {
  const useSteps = create<{ readonly steps: readonly Step<Change>[]; readonly underWay: number }>()(() => ({ steps: [], underWay: 0 }));
  const push = (step: Step<Change>) => useSteps.setState(({ steps }) => ({ steps: [...steps, step].slice(-MOST_STEPS) }));
  let last: Promise<unknown> = Promise.resolve();
  const inOrder = (task: () => Promise<void>): Promise<void> => {
    useSteps.setState(({ underWay }) => ({ underWay: underWay + 1 }));
    const run = last.then(task).finally(() => useSteps.setState(({ underWay }) => ({ underWay: underWay - 1 })));
    last = run.catch(() => undefined);
    return run;
  };
  const act = (name: string, what: () => Promise<Change | null>) =>
    inOrder(async () => {
      const back = await what();
      if (back) push({ name, change: back });
      notify(back ? t('platform.nameCtrlZTakesItBack', { name }) : `${name}.`);
    });
  const useUndo = (send: (change: Change) => Promise<unknown>) => {
    const undoable = useSteps(({ steps, underWay }) => steps.length > 0 || underWay > 0);
    const undo = useCallback(
      () =>
        inOrder(async () => {
          const { steps } = useSteps.getState();
          const step = steps[steps.length - 1];
          if (!step) return;
          useSteps.setState({ steps: steps.slice(0, -1) });
          await send(step.change).then(
            () => notify(t('platform.takenBackName', { name: step.name })),
            (error: Error) => notify(t('platform.notTakenBackMessage', { message: error.message }), 'error'),
          );
        }),
      [send],
    );
    useUndoKey(undo);
    return { undo, undoable };
  };
  return { push, act, useUndo };
}
