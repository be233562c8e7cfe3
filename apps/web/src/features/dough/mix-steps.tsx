import { memo, useMemo, useState } from 'react';
import ArrowDownwardIcon from '@mui/icons-material/ArrowDownward';
import ArrowUpwardIcon from '@mui/icons-material/ArrowUpward';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  actWords,
  BLEND,
  editsBetween,
  families,
  isSoaked,
  mixActs,
  mixedBySchool,
  mixTools,
  mixWords,
  schools,
  stopSigns,
  toolWords,
  type MixAct,
  type MixStep,
  type MixTool,
  type Row,
  type School,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { QuantityField } from '../../ui/form/quantity-field';
import { useDraft, newKey } from '../formulas/doors';
import { useSurroundings } from '../board/doors';
import { t } from '../../platform/words';
import type { Family } from '@north-leaf/core';

/** The order in which things go in: part of the formula. Each step in a sentence, with its sign at true size; opened, it can be changed. */
export const MixSteps = memo(function MixSteps() {
  // Grams do not matter here: a keystroke in an amount draws none of it again.
  const mix = useDraft((state) => state.formula.mix);
  const family = families[useDraft((state) => state.formula.family)]!;
  const rows = useMixable();
  const blend = useDraft((state) => state.formula.blend);
  const { pantry } = useSurroundings();
  const [open, setOpen] = useState<string | null>(null);
  const setMix = (make: (mix: readonly MixStep[]) => readonly MixStep[], step = `mix:${newKey()}`) =>
    useDraft.getState().edit(step, (from) => editsBetween(from.mix, make(from.mix), '/mix'));
  const moved = (i: number, by: number) =>
    setMix((mix) => {
      const list = [...mix];
      const [one] = list.splice(i, 1);
      list.splice(i + by, 0, one!);
      return list;
    });
  return (
    <Box component="section" aria-label={t('common.orderOfMixing')}>
      <SchoolChoice family={family} />
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1 }}>
        {mix.map((step, i) => (
          <Box
            key={step.key}
            component="li"
            sx={{ display: 'grid', gridTemplateColumns: '20px 1fr auto', gap: 2, fontSize: typeSize.small, alignItems: 'center' }}
          >
            <Box sx={{ color: 'text.secondary', fontVariantNumeric: 'tabular-nums' }}>{i + 1}</Box>
            <Box>
              {mixWords(step, { rows, blend }, pantry)}
              <Sign id={step.stopAt} />
              {open === step.key && (
                <StepFields
                  step={step}
                  onChange={(next, name) => setMix((mix) => mix.map((one) => (one.key === step.key ? next : one)), name)}
                />
              )}
            </Box>
            <StepButtons i={i} moved={moved} open={open} setOpen={setOpen} step={step} />
          </Box>
        ))}
      </Box>
      {mix.length === 0 && <Note size="small">{t('dough.noOrderIsWrittenDownYet')}</Note>}
      <Button
        size="small"
        sx={{ mt: 1 }}
        onClick={() => {
          const key = newKey();
          setMix((mix) => [...mix, { key, act: 'foldIn', of: [] }]);
          setOpen(key);
        }}
      >
        {t('common.addAStep')}
      </Button>
    </Box>
  );
});

/** Earlier, later, change. */
function StepButtons({
  i,
  moved,
  open,
  setOpen,
  step,
}: {
  readonly i: number;
  readonly moved: (i: number, by: number) => void;
  readonly open: string | null;
  readonly setOpen: (key: string | null) => void;
  readonly step: MixStep;
}) {
  const mix = useDraft((state) => state.formula.mix);
  return (
    <Box sx={{ whiteSpace: 'nowrap' }}>
      <IconButton size="small" aria-label={t('dough.stepIEarlier', { i: i + 1 })} disabled={i === 0} onClick={() => moved(i, -1)}>
        <ArrowUpwardIcon fontSize="inherit" />
      </IconButton>
      <IconButton size="small" aria-label={t('dough.stepILater', { i: i + 1 })} disabled={i === mix.length - 1} onClick={() => moved(i, 1)}>
        <ArrowDownwardIcon fontSize="inherit" />
      </IconButton>
      <Button
        size="small"
        aria-expanded={open === step.key}
        aria-label={t('dough.changeStepI', { i: i + 1 })}
        onClick={() => setOpen(open === step.key ? null : step.key)}
      >
        {open === step.key ? t('common.done') : t('common.change')}
      </Button>
    </Box>
  );
}

/** Beginning anew by a school of mixing. */
function SchoolChoice({ family }: { readonly family: Family }) {
  const { pantry } = useSurroundings();
  return (
    <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', pb: 1 }}>
      <Typography variant="h3">{t('common.orderOfMixing')}</Typography>
      <Choice
        label={t('dough.wayOfMixing')}
        value=""
        options={schools.map((value) => ({
          value: value as School | '',
          name: `${schoolWords[value]}${value === family.school ? t('dough.asThisFamilyUsuallyGoes') : ''}`,
        }))}
        onChange={(school) =>
          school !== '' &&
          useDraft
            .getState()
            .edit(`school:${newKey()}`, (from) => editsBetween(from, mixedBySchool(from, { family, school }, pantry, newKey)))
        }
        width={210}
        placeholder={t('dough.beginAnewByAWay')}
      />
    </Box>
  );
}

type Mixable = readonly Pick<Row, 'key' | 'ingredientId' | 'use'>[];
/** The rows by name only: the same as long as none comes, goes or is swapped. */
function useMixable(): Mixable {
  const said = useDraft((state) => JSON.stringify(state.formula.rows.map(({ key, ingredientId, use }) => ({ key, ingredientId, use }))));
  return useMemo(() => JSON.parse(said) as Mixable, [said]);
}

/** Schools are choices, each with its reason; none is the one right way. */
const schoolWords: Readonly<Record<School, string>> = {
  cutIn: t('dough.cutInColdFlaky'),
  rub: t('dough.rubbedInShortSomeFlake'),
  cream: t('dough.creamedTenderEven'),
  melt: t('dough.meltedShortestQuick'),
  oil: t('dough.oilNoChillingNoFlake'),
  allInOne: t('dough.allInOneQuickEven'),
  cook: t('dough.cookedHollow'),
};

/** A pea is 8 mm on the screen too: CSS millimetres, as true as the screen is. */
function Sign({ id }: { id: string | undefined }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const sign = id === undefined ? undefined : stopSigns.values[id];
  if (!sign || sign.mm === null) return null;
  const many = sign.mm < 5 ? 7 : 3;
  return (
    <Box
      component="span"
      role="img"
      aria-label={t('dough.wordsMmAtTrueSize', { words: sign.words, mm: voice.show(sign.mm!, 'length') })}
      sx={{ display: 'inline-flex', gap: '1mm', ml: 2, verticalAlign: 'middle' }}
    >
      {Array.from({ length: many }, (_, i) => (
        <Box
          key={i}
          component="span"
          sx={{ width: `${sign.mm}mm`, height: `${sign.mm! * (i % 2 === 0 ? 1 : 0.85)}mm`, borderRadius: '45%', bgcolor: palette.make.fat }}
        />
      ))}
    </Box>
  );
}

type Change = (next: MixStep, step?: string) => void;
const without = ({ tool: _tool, ...rest }: MixStep) => rest;
const unsigned = ({ stopAt: _sign, ...rest }: MixStep) => rest;
function StepFields({ step, onChange }: { step: MixStep; onChange: Change }) {
  const mixable = useMixable();
  const blend = useDraft((state) => state.formula.blend);
  const { pantry } = useSurroundings();
  const rows = [
    { key: BLEND, name: t('dough.theBlend') },
    // Husk and seeds of the blend may swell by themselves.
    ...blend.rows
      .filter(({ ingredientId }) => pantry.ingredients[ingredientId] && isSoaked(pantry.ingredients[ingredientId]))
      .map(({ key, ingredientId }) => ({ key, name: pantry.ingredients[ingredientId]?.name ?? ingredientId })),
    ...mixable
      .filter(({ use }) => use === 'dough')
      .map(({ key, ingredientId }) => ({ key, name: pantry.ingredients[ingredientId]?.name ?? ingredientId })),
  ];
  return (
    <Box sx={{ display: 'grid', gap: 2, py: 2, px: 2, my: 1, bgcolor: 'leaf.well', borderRadius: '8px' }}>
      <HowItIsDone step={step} onChange={onChange} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(230px, 1fr))', gap: 1 }}>
        {rows.map(({ key, name }) => (
          <RowInStep key={key} rowKey={key} name={name} step={step} onChange={onChange} />
        ))}
      </Box>
      <TextField
        size="small"
        label={t('dough.inYourOwnWords')}
        value={step.does ?? ''}
        onChange={(event) => onChange({ ...step, does: event.target.value.slice(0, 300) }, `mixwords:${step.key}`)}
        slotProps={{ htmlInput: { style: { textAlign: 'left' } } }}
      />
      <Button
        size="small"
        variant="outlined"
        sx={{ justifySelf: 'start' }}
        onClick={() =>
          useDraft.getState().edit(`mixout:${newKey()}`, (from) =>
            editsBetween(
              from.mix,
              from.mix.filter(({ key }) => key !== step.key),
              '/mix',
            ),
          )
        }
      >
        {t('dough.takeThisStepOut')}
      </Button>
    </Box>
  );
}

/** The act, its tool, how long, until what sign. */
function HowItIsDone({ step, onChange }: { readonly step: MixStep; readonly onChange: Change }) {
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
      <Choice
        label={t('common.whatIsDone')}
        value={step.act ?? ''}
        options={mixActs.map((value) => ({ value: value as MixAct | '', name: actWords[value] }))}
        onChange={(act) => act !== '' && onChange({ ...step, act })}
        width={130}
        placeholder={t('dough.ownWords')}
      />
      <Choice
        label={t('dough.withWhat')}
        value={step.tool ?? ''}
        options={[
          { value: '' as MixTool | '', name: t('dough.noToolNamed') },
          ...mixTools.map((value) => ({ value, name: toolWords[value] })),
        ]}
        onChange={(tool) => onChange(tool === '' ? without(step) : { ...step, tool })}
        width={150}
      />
      <QuantityField
        label={t('dough.minutesOfThisStep')}
        kind="minutes"
        value={step.min ?? 0}
        width={52}
        onChange={(min, visit) => onChange({ ...step, min }, `mixmin:${visit}`)}
      />
      {step.tool === 'processor' && (
        <QuantityField
          label={t('dough.pulses')}
          kind="percent"
          hideUnit
          value={step.pulses ?? 0}
          width={46}
          onChange={(pulses, visit) => onChange({ ...step, pulses: Math.round(pulses) }, `mixpulse:${visit}`)}
        />
      )}
      <Choice
        label={t('dough.until')}
        value={step.stopAt ?? ''}
        options={[
          { value: '', name: t('dough.noSign') },
          ...Object.entries(stopSigns.values).map(([value, { words }]) => ({ value, name: words })),
        ]}
        onChange={(stopAt) => onChange(stopAt === '' ? unsigned(step) : { ...step, stopAt })}
        width={230}
      />
    </Box>
  );
}

/** Whether a row goes into this step, and how much of it. */
function RowInStep({
  rowKey,
  name,
  step,
  onChange,
}: {
  readonly rowKey: string;
  readonly name: string;
  readonly step: MixStep;
  readonly onChange: Change;
}) {
  const takes = step.of ?? [];
  const share = takes.find((one) => one.rowKey === rowKey)?.share;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, fontSize: typeSize.small }}>
      <Checkbox
        size="small"
        checked={share !== undefined}
        slotProps={{ input: { 'aria-label': t('dough.nameInThisStep', { name }) } }}
        onChange={(_, on) =>
          onChange({ ...step, of: on ? [...takes, { rowKey, share: 1 }] : takes.filter((one) => one.rowKey !== rowKey) })
        }
      />
      <Box sx={{ flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>{name}</Box>
      {share !== undefined && (
        <QuantityField
          label={t('dough.nameHowMuchOfIt', { name })}
          kind="percent"
          value={share * 100}
          width={48}
          onChange={(percent, visit) =>
            onChange(
              {
                ...step,
                of: takes.map((one) => (one.rowKey === rowKey ? { ...one, share: Math.min(1, Math.max(0, percent / 100)) } : one)),
              },
              `mixshare:${visit}`,
            )
          }
        />
      )}
    </Box>
  );
}
