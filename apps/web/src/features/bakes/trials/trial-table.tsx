import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { asBaked, measureWords, type MeasuredWhat } from '@north-leaf/core';
import { usePreferences, type UnitSystem } from '../../../platform/preferences';
import { showQuantity } from '../../../ui/quantity';
import { handWordLabels } from '../../../ui/words';
import { last, measured } from '../api';
import { showMeasured } from '../run/bench-words';
import type { Link } from './trials-page';

const shown: readonly MeasuredWhat[] = ['doughC', 'rawMm', 'bakeMin', 'topTone', 'baseTone', 'bakedMm', 'coreC', 'pieces'];
type Row = { readonly name: string; readonly values: readonly string[] };

/** All that was done and all that came out, a column a bake; rows in which nothing differs are left out unless asked for. */
export function TrialTable({ links, every }: { links: readonly Link[]; every: boolean }) {
  const { units } = usePreferences();
  const rows = rowsOf(links, units).filter(({ values }) => (every ? values.some((value) => value !== '–') : new Set(values).size > 1));
  if (rows.length === 0) return null;
  return (
    <Table size="small" sx={{ maxWidth: 980 }} aria-label={every ? 'Everything' : 'Only what differs'}>
      <TableHead>
        <TableRow>
          <TableCell>{every ? 'Everything' : 'Only what differs'}</TableCell>
          {links.map(({ bake }) => (
            <TableCell key={bake.id}>Bake {bake.number}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map(({ name, values }) => (
          <TableRow key={name}>
            <TableCell component="th" scope="row">
              {name}
            </TableCell>
            {values.map((value, i) => (
              <TableCell
                key={links[i]!.bake.id}
                sx={i > 0 && value !== values[i - 1] ? { fontWeight: 700, textDecoration: 'underline', textUnderlineOffset: '4px' } : {}}
              >
                {value}
              </TableCell>
            ))}
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

function rowsOf(links: readonly Link[], units: UnitSystem): Row[] {
  const made = links.map(({ bake, version }) => asBaked(version.formula, bake.events));
  const of = (name: string, value: (link: Link, i: number) => string | undefined): Row => ({
    name,
    values: links.map((link, i) => value(link, i) ?? '–'),
  });
  const mass = (g: number | undefined) => (g === undefined ? undefined : showQuantity(g, 'mass', units));
  const blend = of('Blend', ({ version }) => version.formula.blend.rows.map(({ share }) => (share * 100).toFixed(1)).join(' / '));
  const keys = [...new Set(links.flatMap(({ version }) => version.formula.rows.map(({ key }) => key)))];
  const amounts = keys.map((key) => {
    const row = links.map(({ version }) => version.formula.rows.find((one) => one.key === key)).find((one) => one !== undefined)!;
    const name =
      links[0]!.version.pantry.ingredients[row.ingredientId]?.name ??
      links.at(-1)!.version.pantry.ingredients[row.ingredientId]?.name ??
      row.ingredientId;
    return of(name, ({ bake, version }, i) => {
      const planned = version.formula.rows.find((one) => one.key === key)?.amountG;
      const inG = made[i]!.weighed[key];
      return mass(inG !== undefined ? inG / bake.factor : planned);
    });
  });
  return [
    of('Version', ({ version }) => `v${version.version}`),
    blend,
    ...amounts,
    of('Felt', ({ bake }) => last(bake, (one) => (one.kind === 'felt' ? handWordLabels[one.word] : undefined))),
    of('Oven', ({ version }) => version.kitchen.ovens.find(({ id }) => id === version.formula.bake.ovenId)?.name),
    of('Steps in the oven', ({ version }) => version.formula.bake.steps.map(({ name, min }) => `${name} ${min} min`).join(', ')),
    of('Kitchen', ({ bake }) => `${bake.roomC.toFixed(1)} °C, ${Math.round(bake.humidityShare * 100)} % damp`),
    ...shown.map((what) => of(measureWords[what].name, ({ bake }) => { const value = measured(bake, what); return value === undefined ? undefined : showMeasured(what, value, units); })), // prettier-ignore
    of('Weight lost', ({ bake }) => {
      const [raw, baked] = [measured(bake, 'rawG'), measured(bake, 'bakedG')];
      return raw && baked ? `${((1 - baked / raw) * 100).toFixed(1)} %` : undefined;
    }),
    ...(['crisp', 'tender', 'liked'] as const).map((axis) =>
      of(axis[0]!.toUpperCase() + axis.slice(1), ({ bake }) => {
        const dots = last(bake, (one) => (one.kind === 'rated' && one.after === 'fresh' ? one[axis] : undefined));
        return dots === undefined ? undefined : `${'●'.repeat(dots)}${'○'.repeat(5 - dots)}`;
      }),
    ),
    of('Crisp after days', ({ bake }) => {
      const later = last(bake, (one) => (one.kind === 'rated' && one.after !== 'fresh' && one.crisp !== undefined ? one : undefined));
      return later?.crisp === undefined ? undefined : `${'●'.repeat(later.crisp)}${'○'.repeat(5 - later.crisp)} after ${later.after} d`;
    }),
    of('Note', ({ bake }) => last(bake, (one) => (one.kind === 'noted' ? one.text : undefined))),
  ];
}
