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
import { t } from '../../platform/words';
import { Sentence } from '../../ui/words/sentence';
import type { Oven } from '@north-leaf/core';

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
    const from = t('bake.beforeOfNameLostLostInMin', {
      before: voice.show(weighing.beforeG, 'bulk'),
      name: formula.name,
      lost: (heat.lostShare * 100).toFixed(1),
      min: weighing.min,
      expected: (heat.expectedShare * 100).toFixed(1),
    });
    change.mutate(
      { kind: 'ovenHeat', ovenId: oven.id, heat: { value: heat.value, sd: heat.sd, from } },
      {
        onSuccess: () => notify(t('bake.nameHasLearnedFromThisTrayIts', { name: oven.name })),
        onError: (error) => setWrong(error.message),
      },
    );
  };
  if (!open) {
    return (
      <Button size="small" onClick={() => setOpen(true)} sx={{ justifySelf: 'start', minHeight: 26 }}>
        {t('bake.weighATrayToPinThisOven')}
      </Button>
    );
  }
  return (
    <Box
      component="section"
      aria-label={t('bake.weighATray')}
      sx={{ display: 'grid', gap: 1, borderTop: 1, borderColor: 'divider', pt: 2 }}
    >
      <Box sx={{ fontSize: typeSize.small }}>{t('bake.weighThePiecesOfOneTrayRaw', { name: oven.name })}</Box>
      <FieldRow label={t('bake.before')}>
        <QuantityField label={t('bake.weightBefore')} kind="mass" value={weighing.beforeG} onChange={(beforeG) => set({ beforeG })} />
      </FieldRow>
      <FieldRow label={t('bake.after')}>
        <QuantityField label={t('bake.weightAfter')} kind="mass" value={weighing.afterG} onChange={(afterG) => set({ afterG })} />
      </FieldRow>
      <FieldRow label={t('common.inTheOven')}>
        <QuantityField label={t('bake.minutesInTheOven')} kind="minutes" value={weighing.min} onChange={(min) => set({ min })} />
      </FieldRow>
      {wrong && <Wrong size="small">{wrong}</Wrong>}
      {learned ? (
        <WhatItSays learned={learned} oven={oven} teach={teach} />
      ) : (
        <Button size="small" variant="outlined" onClick={() => void work()} sx={{ justifySelf: 'start' }}>
          {t('bake.whatDoesThatSay')}
        </Button>
      )}
    </Box>
  );
}

/** What the tray says of the oven, and the press that teaches it. */
function WhatItSays({
  learned,
  oven,
  teach,
}: {
  readonly learned: LearnedHeat;
  readonly oven: Oven;
  readonly teach: (heat: LearnedHeat) => void;
}) {
  return (
    <Box role="status" sx={{ fontSize: typeSize.small, display: 'grid', gap: 1 }}>
      <span>
        <Sentence
          say="bake.itLostLostExpectedWasExpectedName"
          values={{
            lost: (learned.lostShare * 100).toFixed(1),
            expected: (learned.expectedShare * 100).toFixed(1),
            name: oven.name,
            value: learned.value.toFixed(2),
            sd: learned.sd.toFixed(2),
          }}
        />
      </span>
      <Button size="small" variant="outlined" onClick={() => teach(learned)} sx={{ justifySelf: 'start' }}>
        {t('bake.teachName', { name: oven.name })}
      </Button>
    </Box>
  );
}

const fieldNames: Readonly<Record<string, string>> = {
  'weighing.beforeG': t('bake.before'),
  'weighing.afterG': t('bake.after'),
  'weighing.min': t('common.inTheOven'),
};
