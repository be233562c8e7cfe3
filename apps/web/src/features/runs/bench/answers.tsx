import { useEffect, useRef, useState, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { typeSize, under } from '../../../ui/theme/theme';

export type Answer = { readonly key: string; readonly label: string; readonly picture?: ReactNode };

/** How long a pedal is kept down to take the answer it stands on. */
const HOLD_MS = 800;

type Props = {
  readonly label: string;
  readonly answers: readonly Answer[];
  readonly chosen: string | null;
  readonly onTake: (key: string) => void;
  readonly onAgain?: (() => void) | undefined;
  readonly onBack: () => void;
};

/**
 * Answers to choose from: none is chosen at first. By touch or mouse a press takes one. A pedal walks: forward, back, and held down it
 * takes; so do Space and Enter. Held down on what is chosen already it means what the Next edge means.
 */
export function Answers({ label, answers, chosen, onTake, onAgain, onBack }: Props) {
  const at = useAnswerKeys({ answers, chosen, onTake, onAgain, onBack });

  return (
    <Box
      role="group"
      aria-label={label}
      sx={{
        display: 'grid',
        gridTemplateColumns: `repeat(${answers.length}, 1fr)`,
        gap: 3,
        [under.phone]: { gridTemplateColumns: answers.length > 3 ? '1fr 1fr' : `repeat(${answers.length}, 1fr)`, gap: 2 },
      }}
    >
      {answers.map(({ key, label: name, picture }, i) => (
        <AnswerButton
          key={key}
          name={name}
          picture={picture}
          chosen={chosen === key}
          pointedAt={i === at}
          small={answers.some((one) => one.label.length > 14)}
          onTake={() => onTake(key)}
        />
      ))}
    </Box>
  );
}

/** Walks over the answers by key or pedal, takes one by a press or by holding. */
function useAnswerKeys({ answers, chosen, onTake, onAgain, onBack }: Omit<Props, 'label'>): number {
  const [at, setAt] = useState(-1);
  /** Since when the pedal is down; null: it is up, or has taken already. */
  const downAt = useRef<number | null>(null);
  useEffect(() => {
    const take = () => {
      const answer = answers[at];
      if (!answer) return;
      if (answer.key === chosen && onAgain) onAgain();
      else onTake(answer.key);
    };
    const down = (event: KeyboardEvent) => {
      if (isTyping(event.target)) return;
      const forward = event.key === 'PageDown' || event.key === 'ArrowRight';
      const back = event.key === 'PageUp' || event.key === 'ArrowLeft';
      const press = (event.key === ' ' || event.key === 'Enter') && !(event.target instanceof HTMLButtonElement);
      if (!forward && !back && !press) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      if (event.repeat) {
        if (forward && downAt.current !== null && performance.now() - downAt.current >= HOLD_MS) {
          downAt.current = null;
          take();
        }
        return;
      }
      if (press) return take();
      downAt.current = performance.now();
      if (back && at <= 0) onBack();
      // The press that will be held does not walk on: it stays where it is until it is let go.
      else if (back) setAt(at - 1);
    };
    const up = (event: KeyboardEvent) => {
      if (event.key !== 'PageDown' && event.key !== 'ArrowRight') return;
      if (downAt.current !== null && performance.now() - downAt.current < HOLD_MS) setAt((n) => (n + 1) % answers.length);
      downAt.current = null;
    };
    window.addEventListener('keydown', down, true);
    window.addEventListener('keyup', up, true);
    return () => {
      window.removeEventListener('keydown', down, true);
      window.removeEventListener('keyup', up, true);
    };
  });
  return at;
}

/** One answer, with its picture. */
function AnswerButton({
  name,
  picture,
  chosen,
  pointedAt,
  small,
  onTake,
}: {
  readonly name: string;
  /** Some name beside it is long: all are as small. */ readonly small: boolean;
  readonly picture: ReactNode;
  readonly chosen: boolean;
  readonly pointedAt: boolean;
  readonly onTake: () => void;
}) {
  const { palette } = useTheme();
  return (
    <Box
      component="button"
      type="button"
      aria-pressed={chosen}
      onClick={onTake}
      sx={{
        minHeight: picture ? 190 : 88,
        borderRadius: '12px',
        border: `2px solid ${palette.leaf.edge}`,
        outline: pointedAt ? `4px solid ${palette.text.primary}` : 'none',
        outlineOffset: 2,
        bgcolor: chosen ? palette.leaf.firSoft : 'background.paper',
        boxShadow: chosen ? `inset 0 0 0 4px ${palette.primary.main}` : 'none',
        color: 'text.primary',
        font: 'inherit',
        fontSize: small ? typeSize.list : typeSize.remaining,
        lineHeight: 1.15,
        fontWeight: 680,
        cursor: 'pointer',
        p: 2,
        display: 'flex',
        flexDirection: 'column',
        alignItems: 'center',
        justifyContent: 'space-evenly',
        [under.phone]: { fontSize: typeSize.list, minHeight: picture ? 112 : 72 },
      }}
    >
      {picture}
      {name}
    </Box>
  );
}

export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable], [role=combobox], [role=listbox] *');
