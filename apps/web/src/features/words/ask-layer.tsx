import { useCallback, useEffect, useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Paper from '@mui/material/Paper';
import Portal from '@mui/material/Portal';
import { useTheme } from '@mui/material/styles';
import { termOf, type Term } from '@north-leaf/words/terms';
import { useVoice } from '../../platform/preferences';
import { t } from '../../platform/words';
import { typeSize } from '../../ui/theme/theme';
import { askables, termAt, type Askable } from './askable';
import { useAsking } from './ask-state';
import { TermCard } from './term-card';

/** How long a finger rests on a word to ask it. */
const LONG_MS = 550;
/** The card, as it stands in the page. */
const CARD = '[data-term-card]';
type Asked = { readonly term: Term; readonly rect: DOMRect };

/** Every word of ours on the page that is open can be asked: pressed while asking is on, F1 on what has the focus, a long touch. */
export function AskLayer() {
  const { on, ask } = useAsking();
  const voice = useVoice();
  const find = useMemo(() => termOf(voice), [voice]);
  const [asked, setAsked] = useState<Asked | null>(null);
  useAskKeys(find, setAsked);
  useLongTouch(find, setAsked);
  return (
    <>
      {on && !asked && <Frames find={find} onAsk={setAsked} onEnd={() => ask(false)} />}
      {asked && <TermCard key={asked.term.id} first={asked.term} rect={asked.rect} onClose={() => setAsked(null)} />}
    </>
  );
}

/** Whatever lies on top is what can be asked: a sheet or dialog before the page under it. */
function onTop(): ParentNode {
  const dialogs = document.querySelectorAll('[role="dialog"]');
  return dialogs[dialogs.length - 1] ?? document.querySelector('#root') ?? document.body;
}

/** A button over each word: what lies under it is not pressed by asking. */
function Frames({
  find,
  onAsk,
  onEnd,
}: {
  readonly find: (label: string) => Term | null;
  readonly onAsk: (asked: Asked) => void;
  readonly onEnd: () => void;
}) {
  const { palette } = useTheme();
  const here = useAskables(find);
  return (
    <Portal>
      <Box data-no-ask role="group" aria-label={t('ask.whatIsThis')}>
        {here.map(({ term, rect }, i) => (
          <Box
            key={`${term.id} ${i}`}
            component="button"
            type="button"
            autoFocus={i === 0}
            aria-label={t('ask.whatIsName', { name: term.name })}
            onClick={() => onAsk({ term, rect })}
            sx={{
              position: 'fixed',
              zIndex: 1400,
              left: rect.left - 4,
              top: rect.top - 3,
              width: rect.width + 8,
              height: Math.max(24, rect.height + 6),
              p: 0,
              border: `1.5px dashed ${palette.primary.main}`,
              borderRadius: '6px',
              bgcolor: 'transparent',
              cursor: 'help',
              '&:hover, &:focus-visible': { bgcolor: `${palette.primary.main}22`, borderStyle: 'solid' },
            }}
          />
        ))}
        <Paper
          elevation={4}
          role="status"
          sx={{
            position: 'fixed',
            zIndex: 1401,
            left: '50%',
            bottom: 16,
            transform: 'translateX(-50%)',
            px: 4,
            py: 2,
            display: 'flex',
            gap: 3,
          }}
        >
          <Box sx={{ fontSize: typeSize.body }}>{t(here.length > 0 ? 'ask.pressAWord' : 'ask.noneHere')}</Box>
          <Box component="button" type="button" onClick={onEnd} sx={{ ...plainButton, color: 'primary.main' }}>
            {t('common.close')}
          </Box>
        </Paper>
      </Box>
    </Portal>
  );
}

const plainButton = { border: 0, bgcolor: 'transparent', font: 'inherit', fontWeight: 650, cursor: 'pointer', minHeight: 24 } as const;

/** Read anew when the page scrolls, turns or changes. */
function useAskables(find: (label: string) => Term | null): readonly Askable[] {
  const [here, setHere] = useState<readonly Askable[]>([]);
  const read = useCallback(() => setHere(askables(onTop(), find).filter(({ rect }) => rect.bottom > 0 && rect.top < innerHeight)), [find]);
  useEffect(() => {
    let due = 0;
    const soon = () => {
      cancelAnimationFrame(due);
      due = requestAnimationFrame(read);
    };
    soon();
    const changes = new MutationObserver(soon);
    changes.observe(document.querySelector('#root') ?? document.body, { childList: true, subtree: true, characterData: true });
    addEventListener('scroll', soon, true);
    addEventListener('resize', soon);
    return () => {
      cancelAnimationFrame(due);
      changes.disconnect();
      removeEventListener('scroll', soon, true);
      removeEventListener('resize', soon);
    };
  }, [read]);
  return here;
}

/** F1 asks what has the focus; where that is no word of ours, all words of the page. Esc ends asking. */
function useAskKeys(find: (label: string) => Term | null, onAsk: (asked: Asked | null) => void): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const { on, ask } = useAsking.getState();
      if (event.key === 'Escape') {
        // A card whose pressed word is gone has no focus that would hear it.
        if (document.querySelector(CARD)) return onAsk(null);
        if (on) return ask(false);
      }
      if (event.key !== 'F1') return;
      event.preventDefault();
      const at = document.activeElement;
      const its = at && at !== document.body ? termAt(at, find) : null;
      if (its) onAsk({ term: its.term, rect: its.element.getBoundingClientRect() });
      else ask(!on);
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, [find, onAsk]);
}

/** A finger that rests on a word asks it; what it rests on is not pressed when it lifts. */
function useLongTouch(find: (label: string) => Term | null, onAsk: (asked: Asked) => void): void {
  useEffect(() => {
    let due: ReturnType<typeof setTimeout> | undefined;
    let told = false;
    const begin = (event: PointerEvent) => {
      told = false;
      clearTimeout(due);
      if (event.pointerType !== 'touch') return;
      const its = termAt(event.target as Element, find);
      if (!its) return;
      due = setTimeout(() => {
        told = true;
        onAsk({ term: its.term, rect: its.element.getBoundingClientRect() });
      }, LONG_MS);
    };
    const end = () => clearTimeout(due);
    const swallow = (event: Event) => {
      if (!told) return;
      event.preventDefault();
      event.stopPropagation();
      told = false;
    };
    addEventListener('pointerdown', begin);
    for (const one of ['pointerup', 'pointercancel', 'scroll'] as const) addEventListener(one, end, true);
    addEventListener('click', swallow, true);
    addEventListener('contextmenu', swallow, true);
    return () => {
      clearTimeout(due);
      removeEventListener('pointerdown', begin);
      for (const one of ['pointerup', 'pointercancel', 'scroll'] as const) removeEventListener(one, end, true);
      removeEventListener('click', swallow, true);
      removeEventListener('contextmenu', swallow, true);
    };
  }, [find, onAsk]);
}
