import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { preparationActs, saidFacts, type Component, type PreparationAct, type PreparationActName } from '@north-leaf/core';
import { Choice } from '../../../ui/form/choice';
import { QuantityField } from '../../../ui/form/quantity-field';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { t } from '../../../platform/words';

const actWords: Record<PreparationActName, string> = {
  soak: t('pantry.soak'),
  warm: t('pantry.warm'),
  melt: t('pantry.melt'),
  whisk: t('pantry.whisk'),
  beat: t('pantry.beat'),
  foldIn: t('pantry.foldIn'),
  boil: t('pantry.boil'),
  drain: t('pantry.drain'),
  grind: t('pantry.grind'),
  stand: t('pantry.letStand'),
};
type Making = Pick<Component, 'acts' | 'boiledOffG' | 'drainedG' | 'cookedToC'>;
/** Something that is made: of the pantry, or of a formula. Places are those of its members: `acts/0/min`, `drainedG`. */
export type MakingEntry = {
  readonly making: Making;
  /** `undefined` takes a member out; `visit` holds the keystrokes of one visit together. */
  readonly set: (patch: { readonly [K in keyof Making]?: Making[K] | undefined }, visit?: string) => void;
  readonly typed: Readonly<Record<string, string>>;
  readonly type: (place: string) => (text: string | null) => void;
  readonly at: (place: string) => string | undefined;
  readonly newKey: () => string;
  readonly rawEgg: boolean;
};

/** What is done to what is in it, how hot it came, and what that takes away. */
export function MakingFields({ making: entry }: { readonly making: MakingEntry }) {
  const { making, set, newKey } = entry;
  return (
    <>
      <Typography variant="h2">{t('common.whatIsDone')}</Typography>
      {making.acts.map((one, i) => (
        <ActLine key={one.key} entry={entry} i={i} one={one} />
      ))}
      <Button
        variant="outlined"
        sx={{ justifySelf: 'start' }}
        onClick={() => set({ acts: [...making.acts, { key: newKey(), act: 'whisk', min: 2 }] })}
      >
        {t('pantry.addAnAct')}
      </Button>
      <Cooked entry={entry} />
      <Typography variant="h2">{t('pantry.whatIsLost')}</Typography>
      <Lost entry={entry} />
    </>
  );
}

/** One act: what, how long, until when. */
function ActLine({ entry, i, one }: { readonly entry: MakingEntry; readonly i: number; readonly one: PreparationAct }) {
  const { making, typed, type, set } = entry;
  const { acts } = making;
  const setAct = (patch: Partial<PreparationAct>, visit?: string) =>
    set({ acts: acts.map((act, k) => (k === i ? { ...act, ...patch } : act)) }, visit);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '110px auto 1fr 34px', gap: 2, alignItems: 'center' }}>
      <Choice
        label={t('pantry.actI', { i: i + 1 })}
        value={one.act}
        options={preparationActs.map((value) => ({ value, name: actWords[value] }))}
        onChange={(act) => setAct({ act })}
        width={110}
      />
      <QuantityField
        label={t('pantry.actIMinutes', { i: i + 1 })}
        kind="minutes"
        value={one.min ?? 0}
        onChange={(min, visit) => setAct({ min }, `acts/${i}/min:${visit}`)}
        typed={typed[`acts/${i}/min`]}
        onTyped={type(`acts/${i}/min`)}
        width={52}
      />
      <TextField
        size="small"
        placeholder={t('pantry.until')}
        value={one.stopAt ?? ''}
        onChange={(event) => setAct({ stopAt: event.target.value }, `acts/${i}/stopAt`)}
        slotProps={{ htmlInput: { 'aria-label': t('pantry.actIUntil', { i: i + 1 }), maxLength: 200, style: { textAlign: 'left' } } }}
      />
      <IconButton
        size="small"
        aria-label={t('pantry.takeOutActI', { i: i + 1 })}
        onClick={() => set({ acts: acts.filter((_, k) => k !== i) })}
      >
        <CloseIcon fontSize="inherit" />
      </IconButton>
    </Box>
  );
}

/** What a middle comes to on the stove, where nobody said. */
const COOKED_C = 85;

/** Whether its middle was hot, and what raw egg means if not. */
function Cooked({ entry }: { readonly entry: MakingEntry }) {
  const voice = useVoice();
  const { making, set, typed, type, at, rawEgg } = entry;
  const { cookedToC } = making;
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
      <FormControlLabel
        control={<Checkbox checked={cookedToC !== undefined} onChange={(_, cooked) => set({ cookedToC: cooked ? COOKED_C : undefined })} />}
        label={t('pantry.cookedItsMiddleReached')}
      />
      {cookedToC !== undefined && (
        <QuantityField
          label={t('pantry.middleReached')}
          kind="temperature"
          value={cookedToC}
          onChange={(to, visit) => set({ cookedToC: to }, `cooked:${visit}`)}
          typed={typed['cookedToC']}
          onTyped={type('cookedToC')}
          problem={at('cookedToC')}
        />
      )}
      {rawEgg && (
        <Box role="alert" sx={{ color: 'warning.main', fontSize: typeSize.small }}>
          {t('pantry.rawEggIsInItAndNobody', { safeEgg: voice.show(saidFacts.safeEggC, 'temperature') })}
        </Box>
      )}
    </Box>
  );
}

/** What boils and drains off. */
function Lost({ entry }: { readonly entry: MakingEntry }) {
  const { making, set, typed, type, at } = entry;
  return (
    <Box sx={{ display: 'flex', gap: 5, flexWrap: 'wrap' }}>
      {(
        [
          ['boiledOffG', t('pantry.boiledOff')],
          ['drainedG', t('pantry.drained')],
        ] as const
      ).map(([name, label]) => (
        <Box key={name} sx={{ display: 'grid', gap: 1 }}>
          <span>{label}</span>
          <QuantityField
            label={label}
            kind="mass"
            value={making[name]}
            onChange={(value, visit) => set({ [name]: value }, `${name}:${visit}`)}
            typed={typed[name]}
            onTyped={type(name)}
            problem={at(name)}
          />
        </Box>
      ))}
    </Box>
  );
}
