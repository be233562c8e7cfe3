import { useId, useRef, useState, type FocusEvent, type KeyboardEvent } from 'react';
import Box from '@mui/material/Box';
import InputBase from '@mui/material/InputBase';
import { useTheme } from '@mui/material/styles';
import { readQuantity, roundTo, type QuantityKind, type ReadQuantity, showValue, unitOf } from '@north-leaf/core';
import { typeSize, media } from '../theme/theme';
import { usePreferences } from '../../platform/preferences';
import { t } from '../../platform/words';

type Props = {
  readonly label: string;
  readonly kind: QuantityKind;
  /** In the core's unit. */ readonly value: number;
  /** Told at every keystroke that can be read; `step` is the same for one visit of the field, `text` what was typed (null: stepped). */
  readonly onChange: (value: number, step: string, text: string | null) => void;
  /** What was typed and cannot be read, kept with the draft; null when it can. */ readonly typed?: string | undefined;
  readonly onTyped?: (text: string | null) => void;
  /** The saved value, shown while it differs. */ readonly was?: number | undefined;
  /** From the core: why the value cannot be worked with. */ readonly problem?: string | undefined;
  /** How far Up and Down move it, core unit. */ readonly grain?: number;
  readonly width?: number;
  readonly hideUnit?: boolean;
  readonly digits?: number;
  /** Reads more than a plain quantity: cups, sticks, half an egg, an oven with a fan. */ readonly read?: ReadTyped;
};
/** What was typed, read; `note` says what was made of it. */
export type ReadTyped = (typed: string) => ReadQuantity & { readonly note?: string };

let visits = 0;

/**
 * A number with its unit, as a baker types it: `62`, `18 oz`, `350F`, `1h20`. Never clipped: what is out of range stays, marked, with
 * the reason beneath. Up and Down step it, Shift ten times, Alt a tenth.
 */
export function QuantityField(props: Props) {
  const { label, kind, was, width = 74, hideUnit = false, digits } = props;
  const units = usePreferences((state) => state.units);
  const typing = useTyping(props);
  const { unit, changed, wrong, id, note } = typing;

  return (
    <Box sx={{ display: 'inline-block' }}>
      <Box sx={{ display: 'inline-flex', alignItems: 'center', gap: 1.5 }}>
        <TypedInput typing={typing} label={label} width={width} />
        {!hideUnit && (
          <Box component="span" sx={{ color: 'text.secondary', fontSize: typeSize.small }}>
            {unit}
          </Box>
        )}
      </Box>
      {was !== undefined && changed && !wrong && (
        <Box
          sx={{
            color: 'primary.main',
            fontSize: typeSize.caption,
            lineHeight: '14px',
            fontWeight: 650,
            textAlign: 'right',
            whiteSpace: 'nowrap',
          }}
        >
          {t('ui.wasWas', { was: showValue(was, kind, units, digits) })}
        </Box>
      )}
      {note && !wrong && (
        <Box role="status" sx={{ fontSize: typeSize.caption, lineHeight: '15px', maxWidth: 160, textAlign: 'left' }}>
          {note}
        </Box>
      )}
      {wrong && (
        <Box
          id={`${id}-why`}
          role="alert"
          sx={{
            color: 'error.main',
            fontSize: typeSize.caption,
            lineHeight: '15px',
            maxWidth: 220,
            whiteSpace: 'normal',
            textAlign: 'left',
          }}
        >
          {label} {wrong}
        </Box>
      )}
    </Box>
  );
}

/** What is typed, as the core reads it, and why not. */
function useTyping({ digits, grain = 1, kind, onChange, onTyped, problem, read, typed, value, was }: Props) {
  const units = usePreferences((state) => state.units);
  const visit = useRef('');
  const [text, setText] = useState<string | null>(null);
  const [reason, setReason] = useState<string | null>(null);
  const [note, setNote] = useState<string | undefined>();
  const id = useId();
  const unit = unitOf(kind, units);
  const reads: ReadTyped = (text) => (read ?? ((one: string) => readQuantity(one, kind, unit)))(text);
  const shown = text ?? typed ?? showValue(value, kind, units, digits);
  const unread = typed === undefined ? null : reads(typed);
  const wrong = reason ?? (unread && !unread.ok ? unread.reason : null) ?? problem ?? null;
  const changed = was !== undefined && Math.abs(was - value) > 1e-9;

  const type = (next: string) => {
    setText(next);
    const found = reads(next);
    setReason(found.ok ? null : found.reason);
    setNote(found.note);
    onTyped?.(found.ok ? null : next);
    if (found.ok) onChange(found.value, visit.current, next);
  };
  const nudge = (event: KeyboardEvent) => {
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
    event.preventDefault();
    const by = grain * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
    const next = roundTo(value + by, grain * 0.1);
    setText(null);
    setReason(null);
    setNote(undefined);
    onTyped?.(null);
    onChange(next, visit.current, null);
  };
  const enter = (event: FocusEvent<HTMLInputElement | HTMLTextAreaElement>) => {
    visit.current = `visit-${++visits}`;
    event.target.select();
  };
  const leave = () => {
    if (reason === null) setText(null);
  };
  return { id, unit, shown, wrong, note, changed, type, nudge, enter, leave };
}

type Typing = ReturnType<typeof useTyping>;

/** The field itself. */
function TypedInput({ typing, label, width }: { readonly typing: Typing; readonly label: string; readonly width: number }) {
  const { palette } = useTheme();
  const { id, shown, wrong, type, nudge, changed, enter, leave } = typing;
  return (
    <InputBase
      id={id}
      value={shown}
      inputProps={{
        'aria-label': label,
        'aria-invalid': wrong !== null,
        'aria-describedby': wrong ? `${id}-why` : undefined,
        inputMode: 'decimal',
        autoComplete: 'off',
      }}
      onChange={(event) => type(event.target.value)}
      onKeyDown={nudge}
      onFocus={enter}
      onBlur={leave}
      sx={{
        width,
        height: 28,
        [media.coarse]: { height: 48 },
        px: 2,
        border: `1.5px solid ${wrong ? palette.error.main : palette.leaf.edge}`,
        borderRadius: '6px',
        bgcolor: wrong ? palette.leaf.fixSoft : changed ? palette.leaf.firSoft : palette.background.paper,
        '& input:focus-visible': { outline: 'none !important' },
        '& input': { textAlign: 'right', p: 0, fontWeight: 650, fontVariantNumeric: 'tabular-nums' },
        '&.Mui-focused': { borderColor: palette.primary.main, outline: `2px solid ${palette.primary.main}` },
      }}
    />
  );
}
