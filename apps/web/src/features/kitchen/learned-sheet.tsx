import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import { families, type Kitchen, type Learned } from '@north-leaf/core';
import type { LearnedBody } from '@north-leaf/contracts';
import { notify } from '../../platform/notices';
import { SideSheet } from '../../ui/side-sheet';
import { useDoInKitchen } from './use-kitchen';

/** What the kitchen's own bakes have taught: what was believed before, from how many bakes, and what is believed now. */
export function LearnedSheet({ kitchen, onClose }: { kitchen: Kitchen; onClose: () => void }) {
  const learned = kitchen.learned.filter(({ what }) => what !== 'ovenHeatFactor');
  return (
    <SideSheet title="Learned from your bakes" onClose={onClose}>
      {learned.length === 0 && (
        <Box sx={{ fontSize: 14, pt: 2 }}>
          Nothing yet. Say at a bake how the dough felt, when it was done, its tone and its weight before and after, and give it dots: the
          next forecast is worked out with them.
        </Box>
      )}
      {learned.map((one) => (
        <One key={`${one.what} ${one.about}`} learned={one} kitchen={kitchen} />
      ))}
    </SideSheet>
  );
}

const names: Readonly<Record<Learned['what'], string>> = {
  thirstFactor: 'Thirst of',
  ovenHeatFactor: 'Heat of',
  oven: 'Oven',
  crisp: 'Crispness of',
  tender: 'Tenderness of',
  lift: 'Lift of',
  spread: 'Spread of',
  pack: 'Leak of the',
  layerFloor: 'Thinnest dough layer that lasts,',
};
const packNames: Readonly<Record<string, string>> = {
  paperBag: 'paper bag',
  looseTin: 'loose tin',
  tightTin: 'tight tin',
  sealedPouch: 'sealed pouch',
};
const packName = (about: string): string => {
  const [pack = '', family = ''] = about.split(' ');
  return `${packNames[pack] ?? pack} round ${familyName(family)}`;
};
const times: Readonly<Partial<Record<Learned['what'], string>>> = {
  thirstFactor: 'Water it wants',
  lift: 'It rises',
  spread: 'It spreads',
  pack: 'It lets vapour in',
};
const familyName = (id: string) => families[id]?.name ?? id;

function One({ learned, kitchen }: { learned: Learned; kitchen: Kitchen }) {
  const { palette } = useTheme();
  const act = useDoInKitchen();
  const { what, about, bakeIds, setAside, priorValue, priorSd, value, sd, joint } = learned;
  const ofOven = kitchen.ovens.find(({ id }) => id === about)?.name;
  const name = `${names[what]} ${ofOven ?? (what === 'thirstFactor' ? about : what === 'pack' ? packName(about) : familyName(about)).toLowerCase()}`;
  const treat = (how: LearnedBody['do'], done: string) =>
    void act(`${name}: ${done}`, { kind: 'learned', learned: { what, about, do: how } }).catch((error: Error) =>
      notify(`Not changed: ${error.message}`, 'error'),
    );
  const factor = (log: number, spread: number) => `× ${Math.exp(log).toFixed(2)} ± ${(Math.exp(log) * spread).toFixed(2)}`;
  const rows: readonly (readonly [string, string, string])[] = joint
    ? [
        ['Air against the dial’s table', `0 ± ${(priorSd ?? 0).toFixed(1)} K`, `${signed(value)} ± ${sd.toFixed(1)} K`],
        ['Gives heat', 'as its kind', factor(joint.mean[1]!, Math.sqrt(joint.covariance[1]![1]!))],
        ['Browns', 'as its kind', factor(joint.mean[2]!, Math.sqrt(joint.covariance[2]![2]!))],
      ]
    : times[what] !== undefined
      ? [[times[what], `× ${(priorValue ?? 1).toFixed(2)} ± ${(priorSd ?? 0).toFixed(2)}`, `× ${value.toFixed(2)} ± ${sd.toFixed(2)}`]]
      : what === 'layerFloor'
        ? [['Layer', `${(priorValue ?? 0).toFixed(0)} ± ${(priorSd ?? 0).toFixed(0)} µm`, `${value.toFixed(0)} ± ${sd.toFixed(0)} µm`]]
        : [['Forecast, of 10', `0 ± ${(priorSd ?? 0).toFixed(1)}`, `${signed(value)} ± ${sd.toFixed(1)}`]];
  return (
    <Box component="section" aria-label={name} sx={{ py: 3, borderBottom: `1px solid ${palette.divider}` }}>
      <Box sx={{ fontSize: 16, fontWeight: 680 }}>{name}</Box>
      <Box
        component="table"
        sx={{
          width: '100%',
          fontSize: 14,
          borderCollapse: 'collapse',
          opacity: setAside ? 0.75 : 1,
          '& th': { textAlign: 'left', fontWeight: 400 },
        }}
      >
        <thead>
          <Box component="tr" sx={{ color: 'text.secondary', fontSize: 12.5 }}>
            <td />
            <th scope="col">before</th>
            <th scope="col">now</th>
          </Box>
        </thead>
        <tbody>
          {rows.map(([label, before, now]) => (
            <tr key={label}>
              <th scope="row">{label}</th>
              <td>{before}</td>
              <td>
                <b>{bakeIds.length === 0 ? before : now}</b>
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
        {bakeIds.length === 0 ? 'Begun anew: no bake since then.' : `From ${bakeIds.length} ${bakeIds.length === 1 ? 'bake' : 'bakes'}. `}
        {setAside && <b>Set aside: forecasts use what was believed before.</b>}
      </Box>
      <Box sx={{ display: 'flex', gap: 2, pt: 1 }}>
        {setAside ? (
          <Button size="small" variant="outlined" onClick={() => treat('use', 'used again')}>
            Use it again
          </Button>
        ) : (
          <Button size="small" variant="outlined" onClick={() => treat('setAside', 'set aside')}>
            Set aside
          </Button>
        )}
        {bakeIds.length > 0 && (
          <Button size="small" onClick={() => treat('reset', 'begun anew')}>
            Begin anew
          </Button>
        )}
      </Box>
    </Box>
  );
}

const signed = (value: number) => `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value).toFixed(1)}`;
