import { useState } from 'react';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { unitOf, type GoodOfDough } from '@north-leaf/core';
import { Link } from 'react-router';
import { useVoice } from '../../platform/preferences';
import { t } from '../../platform/words';
import { readMass } from '../../ui/form/typed-mass';
import { Note, Wrong } from '../../ui/frame/note';
import { formulaNamesQuery, versionQuery } from '../formulas/doors';

type Share = GoodOfDough & { readonly isIn: boolean; readonly text: string };

/** One mixing for the goods of a dough, each with its share; or where the dough of this good is mixed for several. */
export function SharedDough({
  formulaId,
  version,
  onGoods,
}: {
  readonly formulaId: string;
  readonly version: number;
  /** Null: the formula's own good, led to its end. */ readonly onGoods: (goods: readonly GoodOfDough[] | null) => void;
}) {
  const { data: names } = useQuery(formulaNamesQuery);
  const { data: of } = useQuery(versionQuery(formulaId, version));
  const [shares, setShares] = useState<readonly Share[] | null>(null);
  const voice = useVoice();
  /** An empty field is no share either. */
  const read = (text: string) => readMass(text.trim() === '' ? '0' : text, voice, { above0: true });
  const take = (next: readonly Share[] | null) => {
    setShares(next);
    const wanted = (next ?? []).filter(({ isIn }) => isIn);
    const isRead = wanted.every(({ text }) => read(text).g !== undefined);
    onGoods(next && (isRead ? wanted.map(({ isIn: _in, text, ...good }) => ({ ...good, doughG: read(text).g! })) : []));
  };
  if (!names || !of) return null;
  const source = of.formula.doughOf;
  if (source)
    return (
      <Note size="small" pb={2}>
        {t('runs.itsDoughIsThatOf')}{' '}
        <Box component={Link} to={`/run/new?formula=${source.formulaId}`} sx={{ color: 'primary.main', fontWeight: 650 }}>
          {names.find(({ id }) => id === source.formulaId)?.name ?? t('runs.anotherFormula')}
        </Box>
        {t('runs.mixOnceForBoth')}
      </Note>
    );
  const followers = names.filter((one) => one.doughOf?.formulaId === formulaId);
  const dough = of.evaluation.dough;
  if (followers.length === 0 || dough.state === 'waiting') return null;
  const asSaved = (): readonly Share[] =>
    [
      { formulaId, version, name: of.formula.name, doughG: dough.result.doughG },
      ...followers.map((one) => ({ formulaId: one.id, version: one.version, name: one.name, doughG: one.doughG ?? 0 })),
    ].map((good) => ({ ...good, isIn: true, text: voice.bare(good.doughG, 'mass') }));
  const put = (i: number, patch: Partial<Share>) => take(shares!.map((one, n) => (n === i ? { ...one, ...patch } : one)));
  return (
    <Box component="section" aria-label={t('runs.oneMixingForSeveralGoods')} sx={{ pb: 3, maxWidth: 620 }}>
      <FormControlLabel
        control={<Checkbox checked={shares !== null} onChange={({ target }) => take(target.checked ? asSaved() : null)} />}
        label={t('runs.oneMixingForSeveralGoods')}
      />
      {shares?.map(({ formulaId: id, name, isIn, text }, i) => (
        <Box key={id} sx={{ display: 'flex', gap: 3, alignItems: 'flex-start', pl: 4 }}>
          <FormControlLabel
            sx={{ flex: 1 }}
            control={<Checkbox size="small" checked={isIn} onChange={({ target }) => put(i, { isIn: target.checked })} />}
            label={name}
          />
          <TextField
            size="small"
            label={t('runs.doughForNameUnit', { name, unit: unitOf('mass', voice.units) })}
            value={text}
            disabled={!isIn}
            error={isIn && read(text).problem !== null}
            helperText={(isIn && read(text).problem) || ' '}
            onChange={({ target }) => put(i, { text: target.value })}
            slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
            sx={{ width: 260 }}
          />
        </Box>
      ))}
      {shares?.every(({ isIn }) => !isIn) && <Wrong size="small">{t('runs.chooseAtLeastOneGood')}</Wrong>}
      {shares && <Note size="small">{t('runs.eachGoodHasARunOfItsOwn')}</Note>}
    </Box>
  );
}
