import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { useVoice } from '../../platform/preferences';
import { t } from '../../platform/words';

/** Sets what is held: how far it was moved since it was grasped, mm, and the undo step that all of one move belong to. */
export type Mover = (rightMm: number, downMm: number, step: string) => void;
type Props = {
  /** Where it lies, mm from the top left of the drawing. */ readonly xMm: number;
  readonly yMm: number;
  readonly pxPerMm: number;
  readonly label: string;
  readonly valueMm: number;
  readonly valueText: string;
  readonly cursor: 'ew-resize' | 'ns-resize' | 'nwse-resize';
  /** By an arrow key; left out: a millimetre. */ readonly stepMm?: number;
  /** Called as it is grasped, with the sizes of that moment in hand. */ readonly grasp: () => Mover;
};

/** A point of a drawing to scale that can be dragged, or moved by the arrow keys: a step, five with Shift. One drag is one undo step. */
export function Grip({ xMm, yMm, pxPerMm, label, valueMm, valueText, cursor, stepMm = 1, grasp }: Props) {
  const voice = useVoice();
  const { palette } = useTheme();
  const held = useRef<{ x: number; y: number; pxPerMm: number; step: string; move: Mover } | null>(null);
  const take = (event: PointerEvent<SVGGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    // The drawing may be shown smaller than it is drawn.
    const svg = event.currentTarget.ownerSVGElement!;
    const shown = svg.getBoundingClientRect().width / svg.viewBox.baseVal.width || 1;
    held.current = { x: event.clientX, y: event.clientY, pxPerMm: pxPerMm * shown, step: `drag:${Date.now()}`, move: grasp() };
  };
  const drag = ({ clientX, clientY }: PointerEvent) => {
    const from = held.current;
    if (from) from.move((clientX - from.x) / from.pxPerMm, (clientY - from.y) / from.pxPerMm, from.step);
  };
  const press = (event: KeyboardEvent) => {
    const by = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowDown: [0, 1], ArrowUp: [0, -1] }[event.key];
    if (!by) return;
    event.preventDefault();
    const times = stepMm * (event.shiftKey ? 5 : 1);
    // Presses that follow each other are one step.
    grasp()(by[0]! * times, by[1]! * times, `size:${label}:${Math.floor(Date.now() / 1500)}`);
  };
  const leave = () => (held.current = null);
  return (
    <Box
      component="g"
      className="not-on-paper"
      role="slider"
      tabIndex={0}
      aria-label={t('ui.labelArrowKeysChangeItByStep', { label, step: voice.show(stepMm, 'length') })}
      aria-valuenow={Math.round(valueMm / stepMm) * stepMm}
      aria-valuetext={valueText}
      sx={{ cursor, touchAction: 'none', outline: 'none', '&:focus-visible circle': { strokeWidth: 5 } }}
      transform={`translate(${xMm * pxPerMm} ${yMm * pxPerMm})`}
      onKeyDown={press}
      onPointerDown={take}
      onPointerMove={drag}
      onPointerUp={leave}
      onPointerCancel={leave}
    >
      <rect x="-16" y="-16" width="32" height="32" fill="transparent" />
      <circle r="6" fill={palette.background.paper} stroke={palette.primary.main} strokeWidth="2.4" />
    </Box>
  );
}
