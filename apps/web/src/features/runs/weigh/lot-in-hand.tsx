import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import { glutenLimitOf, glutenProof, isUnproven, lotsInUse } from '@north-leaf/core';
import { bench } from '../bench/bench-style';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';

/** The bag that a hand reached for, by run and row: the step is drawn anew when one bag is empty and the next begun. */
const lotInHand = new Map<string, string>();

/** The lot that is reached for, others of the ingredient, and a stop where it is not proven. */
export function useLot(run: RunInHand, rowKey: string, ingredientId: string, onLeave: (lotId: string | undefined) => void) {
  const { palette } = useTheme();
  const { pantry, kitchen, formula, events } = run;
  const lots = lotsInUse(pantry, ingredientId);
  const named = [...formula.blend.rows, ...formula.rows].find(({ key }) => key === rowKey)?.lotId;
  const at = `${run.run.id}/${rowKey}/${ingredientId}`;
  const [id, choose] = useState<string | null>(() => lotInHand.get(at) ?? named ?? lots[0]?.id ?? null);
  const setId = (lotId: string) => {
    lotInHand.set(at, lotId);
    choose(lotId);
  };
  const [open, setOpen] = useState(false);
  const chosen = lots.find((lot) => lot.id === id) ?? null;
  const ingredient = pantry.ingredients[ingredientId];
  const proofOf = (lot: (typeof lots)[number] | null) =>
    ingredient ? glutenProof(ingredient, lot ?? undefined, glutenLimitOf(kitchen), pantry.on) : 'proven';
  const confirmed = events.some(
    ({ what }) => what.kind === 'confirmed' && (what.code.startsWith('gluten.') || what.code === `lot:${id ?? ingredientId}`),
  );
  const proof = proofOf(chosen);
  const stop =
    isUnproven(proof) && !confirmed
      ? {
          name: ingredient?.name ?? ingredientId,
          code: chosen?.code ?? null,
          atHome: proof === 'lookAtBag',
          onMarked: () =>
            void run.say({ what: { kind: 'confirmed', code: `lot:${id ?? ingredientId}`, reason: t('runs.itsMarkWasSeen') } }),
          others: lots.filter((lot) => !isUnproven(proofOf(lot))).map((lot) => ({ code: lot.code, take: () => setId(lot.id) })),
          onWeigh: () =>
            void run.say({
              what: { kind: 'confirmed', code: `lot:${id ?? ingredientId}`, reason: t('runs.weighedAllTheSame') },
            }),
        }
      : null;
  const lotWords = t('runs.lotCodeWord', { code: chosen?.code ?? '–', word: proof === 'proven' ? t('runs.proven') : '' });
  const choice =
    lots.length === 0 ? null : lots.length === 1 ? (
      <Box sx={{ ...bench.text, alignSelf: 'center', color: palette.text.secondary, px: 2 }}>{lotWords}</Box>
    ) : open ? (
      <Box role="group" aria-label={t('common.lot')} sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        {lots.map((lot) => (
          <Button
            key={lot.id}
            variant={lot.id === id ? 'contained' : 'outlined'}
            sx={bench.button}
            onClick={() => {
              if (lot.id !== id) onLeave(id ?? undefined);
              setId(lot.id);
              setOpen(false);
            }}
          >
            {t('runs.lotCode', { code: lot.code })}
          </Button>
        ))}
      </Box>
    ) : (
      <Button variant="outlined" sx={bench.button} onClick={() => setOpen(true)}>
        {t('runs.lotwordsAnother', { lotWords })}
      </Button>
    );
  return { chosen, stop, choice, more: lots.length > 1 ? () => setOpen(true) : null };
}

type StopProps = {
  readonly name: string;
  readonly code: string | null;
  /** A home has no reports: it is asked for the mark on the bag. */ readonly atHome: boolean;
  readonly onMarked: () => void;
  readonly others: readonly { code: string; take: () => void }[];
  readonly onWeigh: () => void;
};

export function LotStop({ name, code, atHome, onMarked, others, onWeigh }: StopProps) {
  return (
    <Box role="alert" sx={{ display: 'grid', gap: 4, justifyItems: 'start' }}>
      <Box sx={{ ...bench.title, color: atHome ? 'text.primary' : 'error.main' }}>
        {t(atHome ? 'runs.isThisBagMarked' : 'runs.notProvenNameWord', { name, word: code ? t('runs.lotCode2', { code }) : '' })}
      </Box>
      <Box sx={bench.text}>{t(atHome ? 'runs.theMarkIsWhatAHomeHas' : 'runs.noReportShowsThatItIsUnder')}</Box>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
        {atHome && (
          <Button variant="contained" sx={bench.button} onClick={onMarked}>
            {t('runs.itIsMarked')}
          </Button>
        )}
        {others.map((lot) => (
          <Button key={lot.code} variant="contained" sx={bench.button} onClick={lot.take}>
            {t('runs.useLotCode', { code: lot.code })}
          </Button>
        ))}
        <Button variant="outlined" color="error" sx={bench.button} onClick={onWeigh}>
          {t('runs.weighItNotGlutenFree')}
        </Button>
      </Box>
    </Box>
  );
}
