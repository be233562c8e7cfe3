import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import type { Kitchen, Learned } from '@north-leaf/core';
import type { LearnedBody } from '@north-leaf/contracts';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { notify } from '../../platform/notices';
import { SideSheet } from '../../ui/frame/side-sheet';
import { learnedFrom, learnedName, learnedRows } from './learned-words';
import { useDoInKitchen } from './use-kitchen';
import { t } from '../../platform/words';

/** What the kitchen's own bakes have taught: what was believed before, from how many bakes, and what is believed now. */
export function LearnedSheet({ kitchen, onClose }: { kitchen: Kitchen; onClose: () => void }) {
  const learned = kitchen.learned.filter(({ what }) => what !== 'ovenHeatFactor');
  return (
    <SideSheet title={t('kitchen.learnedFromYourBakes')} onClose={onClose}>
      {learned.length === 0 && <Box sx={{ fontSize: typeSize.body, pt: 2 }}>{t('kitchen.nothingYetSayAtABakeHow')}</Box>}
      {learned.map((one) => (
        <One key={`${one.what} ${one.about}`} learned={one} kitchen={kitchen} />
      ))}
    </SideSheet>
  );
}

function One({ learned, kitchen }: { learned: Learned; kitchen: Kitchen }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const act = useDoInKitchen();
  const { what, about, bakeIds, setAside } = learned;
  const name = learnedName(learned, kitchen);
  const treat = (how: LearnedBody['do'], done: string) =>
    void act(`${name}: ${done}`, { kind: 'learned', learned: { what, about, do: how } }).catch((error: Error) =>
      notify(t('kitchen.notChangedMessage', { message: error.message }), 'error'),
    );
  return (
    <Box component="section" aria-label={name} sx={{ py: 3, borderBottom: `1px solid ${palette.divider}` }}>
      <Box sx={{ fontSize: typeSize.large, fontWeight: 680 }}>{name}</Box>
      <Box
        component="table"
        sx={{
          width: '100%',
          fontSize: typeSize.body,
          borderCollapse: 'collapse',
          opacity: setAside ? 0.75 : 1,
          '& th': { textAlign: 'left', fontWeight: 400 },
        }}
      >
        <thead>
          <Box component="tr" sx={{ color: 'text.secondary', fontSize: typeSize.caption }}>
            <td />
            <th scope="col">{t('kitchen.before')}</th>
            <th scope="col">{t('common.now')}</th>
          </Box>
        </thead>
        <tbody>
          {learnedRows(learned, voice).map(({ of, before, now }) => (
            <tr key={of}>
              <th scope="row">{of}</th>
              <td>{before}</td>
              <td>
                <b>{bakeIds.length === 0 ? before : now}</b>
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
      <Note size="small">
        {learnedFrom(learned, kitchen)} {setAside && <b>{t('kitchen.setAsideForecastsUseWhatWasBelieved')}</b>}
      </Note>
      <Box sx={{ display: 'flex', gap: 2, pt: 1 }}>
        {setAside ? (
          <Button size="small" variant="outlined" onClick={() => treat('use', t('kitchen.usedAgain'))}>
            {t('kitchen.useItAgain')}
          </Button>
        ) : (
          <Button size="small" variant="outlined" onClick={() => treat('setAside', t('common.setAside'))}>
            {t('kitchen.setAside')}
          </Button>
        )}
        {bakeIds.length > 0 && (
          <Button size="small" onClick={() => treat('reset', t('kitchen.begunAnew'))}>
            {t('kitchen.beginAnew')}
          </Button>
        )}
      </Box>
    </Box>
  );
}
