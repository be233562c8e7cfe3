import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useQuery } from '@tanstack/react-query';
import { asBaked, runState, showDuration, showQuantity } from '@north-leaf/core';
import type { FormulaVersion, Run } from '@north-leaf/contracts';
import { titleOf } from '@north-leaf/words';
import { Note } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { usePreferences, useVoice } from '../../../platform/preferences';
import { pantryQuery } from '../../pantry/doors';
import { Section } from '../../../ui/frame/section';
import { t } from '../../../platform/words';

/** What was planned, what went in, from which lot. */
export function Weighed({ bake, version }: { bake: Run; version: FormulaVersion }) {
  const { units } = usePreferences();
  const { formula, pantry } = version;
  const made = asBaked(formula, bake.events);
  // A run weighs what is its own: a mixing no filling, a run from kept dough no flour.
  const own = new Set(bake.steps.map(({ rowKey }) => rowKey));
  const isOwn = ({ key }: { readonly key: string }) =>
    bake.steps.length === 0 || own.has(key) || made.weighed[key] !== undefined || key.startsWith('added:');
  const planned = [
    ...formula.blend.rows.map(({ key, ingredientId, share }) => ({ key, ingredientId, g: share * formula.blendG * bake.factor })),
    ...formula.rows.map(({ key, ingredientId, amountG }) => ({ key, ingredientId, g: amountG * bake.factor })),
    ...made.formula.rows.filter(({ key }) => key.startsWith('added:')).map(({ key, ingredientId }) => ({ key, ingredientId, g: 0 })),
  ].filter(isOwn);
  const { data: now } = useQuery(pantryQuery);
  // What came in besides is in no version: it is named as the pantry has it.
  const nameOf = (id: string) => pantry.ingredients[id]?.name ?? now?.ingredients[id]?.name ?? id;
  // Of a bake that was written down afterwards nobody may have weighed anything.
  const none = bake.steps.length === 0 && Object.keys(made.weighed).length === 0;
  const real = new Map([...made.formula.blend.rows, ...made.formula.rows].map((row) => [row.key, row]));
  return (
    <Section title={t('bakes.weighed')} space={1}>
      {none && <Note size="small">{t('bakes.nothingWasWeighed')}</Note>}
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>{t('common.ingredient')}</TableCell>
            <TableCell align="right">{t('bakes.planned')}</TableCell>
            {!none && (
              <>
                <TableCell align="right">{t('bakes.wentIn')}</TableCell>
                <TableCell align="right">{t('bakes.offBy')}</TableCell>
                <TableCell>{t('common.lot')}</TableCell>
              </>
            )}
          </TableRow>
        </TableHead>
        <TableBody>
          {planned.map(({ key, ingredientId, g }) => {
            const row = real.get(key);
            const inG = made.weighed[key];
            const swapped = row && row.ingredientId !== ingredientId;
            const off = inG === undefined ? null : inG - g;
            const lot = row?.lotId === undefined ? null : (pantry.lots[row.lotId]?.code ?? row.lotId);
            return (
              <TableRow key={key}>
                <TableCell component="th" scope="row">
                  {nameOf(row?.ingredientId ?? ingredientId)}
                  {swapped && (
                    <Box sx={{ fontSize: typeSize.caption }}>
                      {t('bakes.inPlaceOfIngredientid', { ingredientId: nameOf(ingredientId) })}
                    </Box>
                  )}
                </TableCell>
                <TableCell align="right">{g > 0 ? showQuantity(g, 'mass', units) : t('bakes.notPlanned')}</TableCell>
                {!none && (
                  <>
                    <TableCell align="right">{inG === undefined ? '–' : <b>{showQuantity(inG, 'mass', units)}</b>}</TableCell>
                    <TableCell align="right">
                      {off === null || Math.abs(off) < 0.05 ? '' : `${off > 0 ? '+' : '−'}${showQuantity(Math.abs(off), 'mass', units)}`}
                    </TableCell>
                    <TableCell>{lot ?? ''}</TableCell>
                  </>
                )}
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </Section>
  );
}

/** Waits and looks, planned beside real. */
export function Waited({ bake, scaleStepG }: { bake: Run; scaleStepG: number }) {
  const voice = useVoice();
  if (bake.steps.length === 0) return null;
  const { steps } = runState(bake.steps, bake.events, scaleStepG);
  const shown = steps.filter(({ step, state, beganAt }) => step.kind === 'wait' && state !== 'todo' && beganAt !== null);
  const skipped = steps.filter(({ state }) => state === 'skipped');
  return (
    <Section title={t('common.waits')} space={1}>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>{t('common.wait')}</TableCell>
            <TableCell align="right">{t('bakes.planned')}</TableCell>
            <TableCell align="right">{t('bakes.itWas')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {shown.map(({ step, beganAt, endedAt }) => {
            const since = step.since === undefined ? beganAt : (steps.find((one) => one.step.key === step.since)?.endedAt ?? beganAt);
            return (
              <TableRow key={step.key}>
                <TableCell component="th" scope="row">
                  {titleOf(step, voice)}
                  {step.since?.startsWith('in:') ? t('bakes.until') : ''}
                </TableCell>
                <TableCell align="right">{showDuration(step.min ?? 0)}</TableCell>
                <TableCell align="right">{endedAt && since ? showDuration((endedAt - since) / 60_000) : '–'}</TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      {skipped.length > 0 && (
        <Note size="small" pt={2}>
          {t('bakes.leftOutSkipped', { skipped: skipped.map(({ step, reason }) => `${titleOf(step, voice)} (${reason})`).join(', ') })}
        </Note>
      )}
    </Section>
  );
}
