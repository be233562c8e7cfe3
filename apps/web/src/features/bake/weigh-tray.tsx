import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { LearnedHeat } from '@north-leaf/core';
import { Wrong } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { notify } from '../../platform/notices';
import { FieldRow } from '../../ui/form/field-row';
import { QuantityField } from '../../ui/form/quantity-field';
import { useKitchenChange } from '../kitchen/doors';
import { useAnswer, useFormula, useSurroundings } from '../board/doors';
import { startStudy } from './bake-study';

/** One tray, weighed before and after: what it says of how fast this oven gives its heat. */
export function WeighTray() {
  const voice = useVoice();
  const formula = useFormula();
  const { kitchen, pantry } = useSurroundings();
  const { evaluation } = useAnswer();
  const change = useKitchenChange();
  const [open, setOpen] = useState(false);
  const sheet = evaluation.sheet.state === 'waiting' ? null : evaluation.sheet.result;
  const bake = evaluation.bake.state === 'waiting' ? null : evaluation.bake.result;
  const expected = sheet && bake ? sheet.pieceG * Math.min(sheet.pieces, sheet.piecesPerTray) : 0;
  const [typed, setTyped] = useState<{ readonly beforeG?: number; readonly afterG?: number; readonly min?: number }>({});
  const [learned, setLearned] = useState<LearnedHeat | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const oven = kitchen.ovens.find(({ id }) => id === formula.bake.ovenId);
  if (!sheet || !bake || !oven) return null;
  const weighing = {
    beforeG: typed.beforeG ?? expected,
    afterG: typed.afterG ?? expected * (1 - bake.end.lossShare),
    min: typed.min ?? bake.totalMin,
  };
  const set = (patch: typeof typed) => {
    setTyped({ ...typed, ...patch });
    setLearned(null);
    setWrong(null);
  };
  const work = async () => {
    const { api, end } = startStudy(kitchen, pantry);
    const said = await api.weigh(formula, weighing);
    end();
    if (!said.ok) setWrong(`${fieldNames[said.refused.path] ?? ''} ${said.refused.message}`.trim());
    else setLearned(said.answer);
  };
  const teach = (heat: LearnedHeat) => {
    const from = `${voice.show(weighing.beforeG, 'bulk')} of ${formula.name} lost ${(heat.lostShare * 100).toFixed(1)} % in ${weighing.min} min; ${(heat.expectedShare * 100).toFixed(1)} % was expected.`;
    change.mutate(
      { kind: 'ovenHeat', ovenId: oven.id, heat: { value: heat.value, sd: heat.sd, from } },
      {
        onSuccess: () => notify(`${oven.name} has learned from this tray. Its page in the kitchen forgets it again.`),
        onError: (error) => setWrong(error.message),
      },
    );
  };
  if (!open) {
    return (
      <Button size="small" onClick={() => setOpen(true)} sx={{ justifySelf: 'start', minHeight: 26 }}>
        Weigh a tray to pin this oven
      </Button>
    );
  }
  return (
    <Box component="section" aria-label="Weigh a tray" sx={{ display: 'grid', gap: 1, borderTop: 1, borderColor: 'divider', pt: 2 }}>
      <Box sx={{ fontSize: typeSize.small }}>
        Weigh the pieces of one tray raw and once more when they come out. Only the water leaves: what is lost says how fast {oven.name}{' '}
        gives its heat.
      </Box>
      <FieldRow label="Before">
        <QuantityField label="Weight before" kind="mass" value={weighing.beforeG} onChange={(beforeG) => set({ beforeG })} />
      </FieldRow>
      <FieldRow label="After">
        <QuantityField label="Weight after" kind="mass" value={weighing.afterG} onChange={(afterG) => set({ afterG })} />
      </FieldRow>
      <FieldRow label="In the oven">
        <QuantityField label="Minutes in the oven" kind="minutes" value={weighing.min} onChange={(min) => set({ min })} />
      </FieldRow>
      {wrong && <Wrong size="small">{wrong}</Wrong>}
      {learned ? (
        <Box role="status" sx={{ fontSize: typeSize.small, display: 'grid', gap: 1 }}>
          <span>
            It lost {(learned.lostShare * 100).toFixed(1)} %, {(learned.expectedShare * 100).toFixed(1)} % was expected: {oven.name} gives
            its heat{' '}
            <b>
              {learned.value.toFixed(2)} ± {learned.sd.toFixed(2)}
            </b>{' '}
            times as fast as an oven of its kind.
          </span>
          <Button size="small" variant="outlined" onClick={() => teach(learned)} sx={{ justifySelf: 'start' }}>
            Teach {oven.name}
          </Button>
        </Box>
      ) : (
        <Button size="small" variant="outlined" onClick={() => void work()} sx={{ justifySelf: 'start' }}>
          What does that say?
        </Button>
      )}
    </Box>
  );
}

const fieldNames: Readonly<Record<string, string>> = {
  'weighing.beforeG': 'Before',
  'weighing.afterG': 'After',
  'weighing.min': 'In the oven',
};
