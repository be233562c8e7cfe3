import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { type MeasuredWhat, type RowUse, ratedWhats } from '@north-leaf/core';
import type { FormulaVersion } from '@north-leaf/contracts';
import { measureName, showMeasured, type Voice, describeEdits } from '@north-leaf/words';
import { useVoice } from '../../platform/preferences';
import { handWordLabels, rowUseWords } from '../../ui/words/words';
import { last, measured } from '../bakes/doors';
import { countedChanges } from '../formulas/doors';
import { whatWentIn } from './what-went-in';
import { useNames, type Link } from './links';
import { t } from '../../platform/words';

const shown: readonly MeasuredWhat[] = ['doughC', 'rawMm', 'bakeMin', 'topTone', 'baseTone', 'bakedMm', 'coreC', 'pieces'];
type Row = { readonly name: string; readonly values: readonly string[] };

/** All that was done and all that came out, a column a bake; rows in which nothing differs are left out unless asked for. */
export function TrialTable({ links, every }: { links: readonly Link[]; every: boolean }) {
  const voice = useVoice();
  const nameOf = useNames(links);
  const rows = rowsOf(links, voice, nameOf).filter(({ values }) =>
    every ? values.some((value) => value !== '–') : new Set(values).size > 1,
  );
  if (rows.length === 0) return null;
  return (
    <Table size="small" sx={{ maxWidth: 980 }} aria-label={every ? t('trials.everything') : t('trials.onlyWhatDiffers')}>
      <TableHead>
        <TableRow>
          <TableCell>{every ? t('trials.everything') : t('trials.onlyWhatDiffers')}</TableCell>
          {links.map(({ bake }) => (
            <TableCell key={bake.id}>{t('common.bakeNumber', { number: bake.number })}</TableCell>
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

function rowsOf(links: readonly Link[], voice: Voice, nameOf: (ingredientId: string) => string): Row[] {
  const of = (name: string, value: (link: Link, i: number) => string | undefined): Row => ({
    name,
    values: links.map((link, i) => value(link, i) ?? '–'),
  });
  const mass = (g: number | undefined) => (g === undefined ? undefined : voice.show(g, 'mass', 1));
  const amounts = whatWentIn(
    links.map(({ bake, version }) => ({ formula: version.formula, events: bake.events, steps: bake.steps, factor: bake.factor })),
  ).map(({ ingredientId, part, amountsG }) =>
    of(`${nameOf(ingredientId)}${part === 'blend' || part === 'dough' ? '' : `, ${rowUseWords[part as RowUse]}`}`, (_, i) =>
      mass(amountsG[i]),
    ),
  );
  return [
    of(t('common.version'), ({ version }) => `v${version.version}`),
    of(t('trials.setOtherwise'), ({ version }, i) => changedSince(links[i - 1]?.version, version, voice)),
    ...amounts,
    of(t('common.felt'), ({ bake }) => last(bake, (one) => (one.kind === 'felt' ? handWordLabels[one.word] : undefined))),
    of(t('common.oven'), ({ version }) => version.kitchen.ovens.find(({ id }) => id === version.formula.bake.ovenId)?.name),
    of(t('trials.stepsInTheOven'), ({ version }) =>
      version.formula.bake.steps
        .map(({ name, wantC, min }) => `${name} ${wantC === null ? 'off' : voice.show(wantC, 'oven')} ${voice.show(min, 'minutes', 1)}`)
        .join(', '),
    ),
    of(t('common.kitchen'), ({ bake }) =>
      t('trials.roomHumidityDamp', {
        room: voice.show(bake.roomC, 'temperature', 1),
        humidity: voice.show(bake.humidityShare, 'share', 0),
      }),
    ),
    ...shown.map((what) => of(measureName(what, voice), ({ bake }) => { const value = measured(bake, what); return value === undefined ? undefined : showMeasured(what, value, voice); })), // prettier-ignore
    of(t('common.weightLost'), ({ bake }) => {
      const [raw, baked] = [measured(bake, 'rawG'), measured(bake, 'bakedG')];
      return raw && baked ? voice.show(1 - baked / raw, 'share') : undefined;
    }),
    ...ratedWhats.map((axis) =>
      of(t(`common.rated.${axis}`), ({ bake }) => {
        const dots = last(bake, (one) => (one.kind === 'rated' && one.after === 'fresh' ? one[axis] : undefined));
        return dots === undefined ? undefined : `${'●'.repeat(dots)}${'○'.repeat(5 - dots)}`;
      }),
    ),
    of(t('trials.crispAfterDays'), ({ bake }) => {
      const later = last(bake, (one) => (one.kind === 'rated' && one.after !== 'fresh' && one.crisp !== undefined ? one : undefined));
      return later?.crisp === undefined
        ? undefined
        : t('trials.crispValueAfterAfterD', { crisp: '●'.repeat(later.crisp), value: '○'.repeat(5 - later.crisp), after: later.after });
    }),
    of(t('common.note'), ({ bake }) => last(bake, (one) => (one.kind === 'noted' ? one.text : undefined))),
  ];
}

/** What the version sets otherwise than the one before it in the chain. */
function changedSince(before: FormulaVersion | undefined, { formula, pantry }: FormulaVersion, voice: Voice): string | undefined {
  if (!before) return undefined;
  const words = describeEdits(countedChanges(before.formula, formula), before.formula, { ...pantry, ingredients: { ...before.pantry.ingredients, ...pantry.ingredients } }, voice, { most: 12 }); // prettier-ignore
  return words === '' ? undefined : words;
}
