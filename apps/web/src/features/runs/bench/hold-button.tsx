import { useEffect, useRef, useState, type ReactNode } from 'react';
import Button, { type ButtonProps } from '@mui/material/Button';
import { bench } from './bench-style';

/** A button that a stray hand must not press: it is held, and shows how far. A key presses it at once. */
export function HoldButton({
  holdMs,
  onHeld,
  children,
  ...props
}: { holdMs: number; onHeld: () => void; children: ReactNode } & Omit<ButtonProps, 'onClick'>) {
  const [held, setHeld] = useState(0);
  const timer = useRef<ReturnType<typeof setInterval> | undefined>(undefined);
  const stop = () => {
    clearInterval(timer.current);
    setHeld(0);
  };
  useEffect(() => () => clearInterval(timer.current), []);
  const begin = () => {
    const from = performance.now();
    clearInterval(timer.current);
    timer.current = setInterval(() => {
      const share = (performance.now() - from) / holdMs;
      setHeld(Math.min(1, share));
      if (share >= 1) {
        stop();
        onHeld();
      }
    }, 50);
  };
  return (
    <Button
      variant="outlined"
      {...props}
      onPointerDown={begin}
      onPointerUp={stop}
      onPointerLeave={stop}
      onPointerCancel={stop}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        event.stopPropagation();
        onHeld();
      }}
      sx={{
        ...bench.button,
        ...(props.sx as object),
        backgroundImage: held > 0 ? `linear-gradient(90deg, currentColor ${held * 100}%, transparent 0)` : undefined,
        backgroundSize: '100% 6px',
        backgroundRepeat: 'no-repeat',
        backgroundPosition: 'bottom',
      }}
    >
      {children}
    </Button>
  );
}
