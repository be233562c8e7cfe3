import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Kitchen, Learned } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { Section } from '../../ui/frame/section';
import { typeSize } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { notify } from '../../platform/notices';
import { useKitchenChange } from './api';
import { learnedFrom, learnedName, learnedRows } from './learned-words';
import { t } from '../../platform/words';

/** What bakes have taught that moves a forecast, where the forecast stands; put aside or used again in one press. */
export function LearnedHere({ kitchen, of }: { kitchen: Kitchen; of: readonly (readonly [Learned['what'], string])[] }) {
  const learned = of.flatMap(([what, about]) => kitchen.learned.filter((one) => one.what === what && one.about === about));
  const told = learned.filter(({ bakeIds, from }) => bakeIds.length > 0 || from !== undefined);
  if (told.length === 0) return null;
  return (
    <Section title={t('kitchen.learnedFromYourBakes')} level={3} sx={{ pt: 3, display: 'grid', gap: 2 }}>
      {told.map((one) => (
        <One key={`${one.what} ${one.about}`} learned={one} kitchen={kitchen} />
      ))}
    </Section>
  );
}

function One({ learned, kitchen }: { learned: Learned; kitchen: Kitchen }) {
  const voice = useVoice();
  const change = useKitchenChange();
  const { what, about, setAside } = learned;
  const name = learnedName(learned, kitchen);
  const treat = () =>
    change.mutate(
      { kind: 'learned', learned: { what, about, do: setAside ? 'use' : 'setAside' } },
      { onError: (error) => notify(t('kitchen.notChangedMessage', { message: error.message }), 'error') },
    );
  return (
    <Box role="group" aria-label={name} sx={{ fontSize: typeSize.small, display: 'grid', gridTemplateColumns: '1fr auto', columnGap: 3 }}>
      <Box sx={{ opacity: setAside ? 0.75 : 1 }}>
        <b>{name}</b>
        {learnedRows(learned, voice).map(({ of, before, now }) => (
          <Box key={of}>
            {of} {now}{' '}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {t('kitchen.beforeBefore', { before })}
            </Box>
          </Box>
        ))}
        <Note>
          {learnedFrom(learned, kitchen)} {setAside && <b>{t('kitchen.setAsideThisForecastIsMadeWithout')}</b>}
        </Note>
      </Box>
      <Button size="small" variant="outlined" onClick={treat} disabled={change.isPending} sx={{ alignSelf: 'start', minHeight: 28 }}>
        {setAside ? t('kitchen.useItAgain') : t('kitchen.setAside')}
      </Button>
    </Box>
  );
}
