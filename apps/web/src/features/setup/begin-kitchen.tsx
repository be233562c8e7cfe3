import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { currencies, glutenRules, markets, type Currency, type Market } from '@north-leaf/core';
import { Choice } from '../../ui/form/choice';
import { FieldRow } from '../../ui/form/field-row';
import { OneOf } from '../../ui/form/one-of';
import { Note, Wrong } from '../../ui/frame/note';
import { t } from '../../platform/words';
import { beginKitchen } from '../kitchen/doors';
import { useChangeKitchen } from './use-change-kitchen';

const prices = currencies.map((value) => ({ value, name: value }));
const eaters = [
  { value: 'home', name: t('setup.atHome') },
  { value: 'buyers', name: t('setup.weSell') },
] as const;
const places = markets.map((value) => ({ value, name: glutenRules.values[value].name }));

/** What has to be said of a kitchen before it can be begun: what it is called, who eats, and by whose rules. */
export function BeginKitchen() {
  const [name, setName] = useState('');
  const [who, setWho] = useState<(typeof eaters)[number]['value']>('home');
  const [market, setMarket] = useState<Market | ''>('');
  const [currency, setCurrency] = useState<Currency>('EUR');
  const [tried, setTried] = useState(false);
  const { busy, change } = useChangeKitchen();
  const nameless = name.trim() === '' || name.trim().length > 120;
  const begin = () => {
    setTried(true);
    if (nameless || market === '') return;
    const { timeZone: zone } = Intl.DateTimeFormat().resolvedOptions();
    void change(() => beginKitchen({ from: 'empty', name: name.trim(), home: who === 'home', market, currency, zone }));
  };
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        begin();
      }}
      sx={{ display: 'grid', gap: 2 }}
    >
      <TextField
        size="small"
        label={t('setup.name')}
        value={name}
        onChange={(event) => setName(event.target.value)}
        error={tried && nameless}
        helperText={tried && nameless ? t('setup.giveItAName') : undefined}
        sx={{ mt: 1 }}
      />
      <FieldRow label={t('setup.whoEatsIt')}>
        <OneOf label={t('setup.whoEatsIt')} value={who} options={eaters} onChange={setWho} />
      </FieldRow>
      <FieldRow label={t('setup.byTheRulesOf')}>
        <Choice label={t('setup.byTheRulesOf')} value={market} options={places} onChange={(next) => setMarket(next as Market)} />
      </FieldRow>
      {tried && market === '' ? <Wrong>{t('setup.chooseWhere')}</Wrong> : <Note>{t('setup.chooseWhere')}</Note>}
      <FieldRow label={t('setup.currency')}>
        <Choice label={t('setup.currency')} value={currency} options={prices} onChange={setCurrency} width={110} />
      </FieldRow>
      <Note>{t('setup.itHasWhatMostHave')}</Note>
      <Box>
        <Button type="submit" variant="contained" disabled={busy}>
          {t('setup.beginIt')}
        </Button>
      </Box>
    </Box>
  );
}
