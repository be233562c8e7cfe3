import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { editsBetween, isStillDoughOf, scaled, withDoughOf, withOwnDough, showQuantity } from '@north-leaf/core';
import type { FormulaVersion } from '@north-leaf/contracts';
import { Link } from 'react-router';
import { typeSize } from '../../ui/theme/theme';
import { notify } from '../../platform/notices';
import { usePreferences } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { formulaNamesQuery, versionQuery, useDraft, newKey } from '../formulas/doors';
import { useFormula } from '../board/doors';
import { t } from '../../platform/words';

/** One dough, several goods: where this dough is from, or which goods take it and how much they need together. */
export function DoughOf() {
  const doughOf = useDraft((state) => state.formula.doughOf);
  const formulaId = useDraft((state) => state.formulaId);
  const list = useQuery(formulaNamesQuery);
  const others = (list.data ?? []).filter(({ id }) => id !== formulaId);
  const goods = others.filter((one) => one.doughOf?.formulaId === formulaId);
  if (doughOf) return <TakenFrom from={doughOf} />;
  if (goods.length > 0) return <Needed goods={goods.map(({ id, name, doughG }) => ({ id, name, doughG: doughG ?? 0 }))} />;
  // A dough that follows another cannot be followed in turn: every good names the first.
  const sources = others.filter((one) => one.doughOf === null);
  return sources.length === 0 ? null : <Take sources={sources} />;
}

function Take({ sources }: { sources: readonly { readonly id: string; readonly name: string; readonly version: number }[] }) {
  const client = useQueryClient();
  const [busy, setBusy] = useState(false);
  const take = async (id: string) => {
    const { version } = sources.find((one) => one.id === id)!;
    setBusy(true);
    try {
      const source = await client.fetchQuery(versionQuery(id, version));
      useDraft
        .getState()
        .edit(`doughOf:${newKey()}`, (now) => editsBetween(now, withDoughOf(now, source.formula, { formulaId: id, version })));
    } catch (error) {
      notify(t('dough.notTakenMessage', { message: (error as Error).message }), 'error');
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box sx={{ pt: 2, display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 2, fontSize: typeSize.body }}>
      <span>{t('dough.oneDoughSeveralGoods')}</span>
      <Choice
        label={t('dough.takeTheDoughOf')}
        value=""
        options={sources.map(({ id, name, version }) => ({ value: id, name: `${name}, v${version}` }))}
        onChange={(id) => void take(id)}
        width={190}
        placeholder={busy ? t('dough.takingIt') : t('dough.takeTheDoughOf2')}
      />
    </Box>
  );
}

function TakenFrom({ from }: { from: { readonly formulaId: string; readonly version: number } }) {
  const formula = useFormula();
  const list = useQuery(formulaNamesQuery);
  const source = useQuery(versionQuery(from.formulaId, from.version));
  const client = useQueryClient();
  const one = list.data?.find(({ id }) => id === from.formulaId);
  const newer = one && one.version > from.version ? one.version : null;
  const changed = source.data && !isStillDoughOf(formula, source.data.formula);
  const { edit } = useDraft.getState();
  const follow = async (version: number) => {
    let next: FormulaVersion;
    try {
      next = await client.fetchQuery(versionQuery(from.formulaId, version));
    } catch (error) {
      return notify(t('dough.notTakenMessage', { message: (error as Error).message }), 'error');
    }
    edit(`doughOf:${newKey()}`, (now) => {
      const taken = withDoughOf(now, next.formula, { formulaId: from.formulaId, version });
      return editsBetween(now, scaled(taken, now.blendG / taken.blendG));
    });
  };
  return (
    <Box component="section" aria-label={t('dough.whereThisDoughIsFrom')} sx={{ pt: 2, fontSize: typeSize.small, display: 'grid', gap: 1 }}>
      <span>
        {t('dough.theDoughOf')}{' '}
        <Box component={Link} to={`/formulas/${from.formulaId}/dough`} sx={{ color: 'primary.main', fontWeight: 650 }}>
          {one?.name ?? source.data?.formula.name ?? t('dough.anotherFormula')}
        </Box>
        , v{from.version}
        {changed && t('dough.changedHereSince')}
      </span>
      <Box sx={{ display: 'flex', gap: 2 }}>
        {newer !== null && (
          <Button size="small" variant="outlined" onClick={() => void follow(newer)}>
            {t('dough.takeVNewer', { newer })}
          </Button>
        )}
        {changed && (
          <Button size="small" variant="outlined" onClick={() => void follow(from.version)}>
            {t('dough.asItIsThere')}
          </Button>
        )}
        <Button size="small" variant="outlined" onClick={() => edit(`doughOf:${newKey()}`, (now) => editsBetween(now, withOwnDough(now)))}>
          {t('dough.aDoughOfItsOwn')}
        </Button>
      </Box>
    </Box>
  );
}

/** What the goods that take this dough need together, as they were last saved. */
function Needed({ goods }: { goods: readonly { readonly id: string; readonly name: string; readonly doughG: number }[] }) {
  const units = usePreferences((state) => state.units);
  const formula = useFormula();
  const formulaId = useDraft((state) => state.formulaId);
  const doughG = formula.blendG + formula.rows.reduce((sum, { use, amountG }) => sum + (use === 'dough' ? amountG : 0), 0);
  const neededG = goods.reduce((sum, good) => sum + good.doughG, 0);
  return (
    <Box component="section" aria-label={t('dough.goodsOfThisDough')} sx={{ pt: 2, fontSize: typeSize.small }}>
      <Typography variant="h3" component="h2" sx={{ pb: 1 }}>
        {t('dough.goodsOfThisDough')}
      </Typography>
      {goods.map(({ id, name, doughG: needs }) => (
        <Box key={id} sx={{ display: 'flex', justifyContent: 'space-between' }}>
          <Box component={Link} to={`/formulas/${id}/dough`} sx={{ color: 'primary.main' }}>
            {name}
          </Box>
          <span>{showQuantity(needs, 'mass', units, 0)}</span>
        </Box>
      ))}
      <Box sx={{ display: 'flex', justifyContent: 'space-between', fontWeight: 650, pt: 1 }}>
        <span>{t('dough.together')}</span>
        <span>{showQuantity(neededG, 'mass', units, 0)}</span>
      </Box>
      <Button component={Link} size="small" variant="outlined" sx={{ mt: 1, mr: 1 }} to={`/run/new?formula=${formulaId}`}>
        {t('dough.mixOnceForThem')}
      </Button>
      {neededG > 0 && Math.abs(neededG - doughG) > 1 && (
        <Button
          size="small"
          variant="outlined"
          sx={{ mt: 1 }}
          onClick={() => useDraft.getState().edit(`scale:${newKey()}`, (now) => editsBetween(now, scaled(now, neededG / doughG)))}
        >
          {t('dough.makeThatMuch')}
        </Button>
      )}
    </Box>
  );
}
