import { Suspense, useMemo, useState, type FormEvent } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import {
  evaluate,
  findingsOf,
  families,
  formulaFromList,
  guessFamily,
  InputError,
  settled,
  starterFormula,
  trialFromWheat,
  withOvenSettled,
  type Blend,
  type Family,
  type Finding,
  type Formula,
  type Kitchen,
  type ListedAmount,
  type Pantry,
  type StageName,
  type WheatPlan,
  type WheatStepCode,
  showValue,
} from '@north-leaf/core';
import { useNavigate } from 'react-router';
import { Note } from '../../../ui/frame/note';
import { typeSize, under } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { Choice } from '../../../ui/form/choice';
import { useCreateFormula, newKey } from '../../formulas/doors';
import { LabelReader } from '../../blend/doors';
import { ListReader, useListReading } from '../../entry/doors';
import { FamilyPicker } from './family-picker';
import { TakenForFamily } from './taken-for-family';
import { t } from '../../../platform/words';

type Way = 'recipe' | 'wheat' | 'box' | 'middle';
/** Where nothing says what it is. */
const USUAL_FAMILY = 'pie_flaky';
const stepWords: Readonly<Record<WheatStepCode, { readonly what: string; readonly why: string }>> = {
  blend: {
    what: t('workspace.wheatStep.blend'),
    why: t('workspace.byMassNeverByCupBlendsDiffer'),
  },
  binder: { what: t('workspace.wheatStep.binder'), why: t('workspace.whatHeldTheSheetIsGoneHalf') },
  water: {
    what: t('workspace.wheatStep.water'),
    why: t('workspace.asThisBlendHoldsItAndThe'),
  },
  fat: { what: t('workspace.wheatStep.fat'), why: t('workspace.starchShedsFatAndLooksGreasyPastry') },
  leavener: { what: t('workspace.wheatStep.leavener'), why: t('workspace.aFifthMorePowderLiftsADough') },
  flavour: { what: t('workspace.wheatStep.flavour'), why: t('workspace.blendsAreBlanderAndPalerThanWheat') },
  rest: { what: t('workspace.wheatStep.rest'), why: t('workspace.riceAndStarchWetSlowlyNoGluten') },
  trial: { what: t('workspace.wheatStep.trial'), why: t('workspace.aTrialThatFailsShouldCostLittle') },
};

/** A new formula: a recipe as it is written, one with wheat step by step, or a good one of its family to begin with. */
export function NewFormula({ kitchen, pantry, onClose }: { kitchen: Kitchen; pantry: Pantry; onClose: () => void }) {
  const voice = useVoice();
  const entry = useNewFormula(kitchen, pantry);
  const { way, submit, family, reading, guess, wheat, without, setWithout, problem, create } = entry;
  return (
    <Dialog open onClose={onClose} maxWidth={way === 'box' ? 'sm' : 'lg'} fullWidth aria-labelledby="new-formula">
      <Box component="form" noValidate onSubmit={submit} sx={{ display: 'contents' }}>
        <DialogTitle id="new-formula">{t('workspace.aNewFormula')}</DialogTitle>
        <DialogContent
          sx={{
            display: 'grid',
            gap: 4,
            gridTemplateColumns: isListed(way) ? '320px 1fr' : 'minmax(0, 1fr)',
            [under.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
          }}
        >
          <NameAndFamily entry={entry} />
          {way === 'box' ? (
            <BoxOfMix blend={entry.box} pantry={pantry} onRead={entry.setBox} />
          ) : way === 'middle' ? (
            <>
              <Note size="small">
                {t('workspace.nameShowOfBlendFatFatpercentSugar', {
                  name: family.name,
                  show: voice.show(300, 'mass'),
                  fatPercent: family.fatPercent[1],
                  sugarPercent: family.sugarPercent[1],
                  eggPercent: family.eggPercent[1],
                })}
              </Note>
              <FamilyPicker familyId={family.id} onChoose={entry.setFamilyId} />
            </>
          ) : (
            <>
              {way === 'recipe' && reading.read.length > 0 && <TakenForFamily guess={guess} family={family} onChoose={entry.setFamilyId} />}
              <ListReader
                reading={reading}
                placeholder={way === 'wheat' ? t('workspace.212CupsAllPurposeFlour') : t('workspace.aRecipeAsItIsWritten')}
              />
              {way === 'recipe' && reading.slips.some(({ kind }) => kind === 'gluten') && (
                <Alert
                  severity="info"
                  sx={{ gridColumn: '1 / -1' }}
                  action={<Button onClick={() => entry.setWay('wheat')}>{t('workspace.makeItATrialWithoutWheat')}</Button>}
                >
                  {t('workspace.thisListHoldsWheat')}
                </Alert>
              )}
              {wheat && <WheatSteps plan={wheat} without={without} onChange={setWithout} />}
            </>
          )}
        </DialogContent>
        <DialogActions sx={{ p: 4, gap: 2 }}>
          {(problem ?? create.error) && (
            <Alert severity="error" sx={{ mr: 'auto', py: 0 }}>
              {problem ?? create.error?.message}
            </Alert>
          )}
          <Button onClick={onClose}>{t('common.leaveIt')}</Button>
          <Button type="submit" variant="contained" disabled={create.isPending || entry.settling}>
            {create.isPending || entry.settling
              ? t('workspace.makingIt')
              : way === 'wheat'
                ? t('workspace.makeItAFirstTrial')
                : t('workspace.makeIt')}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}

/** What is known of a formula to be, and its making. */
function useNewFormula(kitchen: Kitchen, pantry: Pantry) {
  const navigate = useNavigate();
  const create = useCreateFormula();
  // Made once: pressed twice or sent again after a cut, it is still one formula.
  const [ids] = useState(() => ({ id: crypto.randomUUID(), versionId: crypto.randomUUID() }));
  const [name, setName] = useState<string | null>(null);
  const [familyId, setFamilyId] = useState<string | null>(null);
  const [way, setWay] = useState<Way>('recipe');
  const [without, setWithout] = useState<ReadonlySet<WheatStepCode>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  const [box, setBox] = useState<Blend | null>(null);
  const [settling, setSettling] = useState(false);
  // What the baker chose stands; else what the list says, once there is one.
  const familyOf = (list: readonly ListedAmount[], title: string | null): Family =>
    families[
      familyId ?? (list.length > 0 && way === 'recipe' ? guessFamily(list, pantry, title ?? undefined).nearest[0]!.family : USUAL_FAMILY)
    ]!;
  const reading = useListReading({ kitchen, pantry, family: familyOf, wheat: way === 'wheat' });
  const { amounts, asking } = reading;
  const family = familyOf(amounts, reading.name);
  const guess = guessFamily(amounts, pantry, reading.name ?? undefined);
  const plan = useMemo(
    () => (way === 'wheat' ? planOf(amounts, family, { kitchen, pantry }, without) : null),
    [way, amounts, family, kitchen, pantry, without],
  );
  const wheat = plan && 'formula' in plan ? plan : null;
  // A recipe has its name with it, also where the field was emptied; a good of a family has its.
  const title = isListed(way) ? (reading.name ?? '') : way === 'middle' ? family.name : '';
  const shown = name ?? title;
  const called = shown.trim() || title.trim();

  const submit = (event: FormEvent) => {
    event.preventDefault();
    void make();
  };
  const make = async () => {
    if (called === '') return setProblem(t('workspace.nameGiveItOneUpTo120'));
    if (way === 'wheat' && !wheat) return setProblem(plan && 'problem' in plan ? plan.problem : t('workspace.pasteTheListFirst'));
    if (way === 'recipe' && amounts.length === 0) return setProblem(t('workspace.pasteTheListFirst'));
    if (way === 'box' && !box) return setProblem(t('workspace.readTheLabelFirst'));
    if (isListed(way) && asking.length > 0) return setProblem(t('common.sayWhatNameIsFirst', { name: asking[0]!.name }));
    setProblem(null);
    const first = starterFormula(family, called, { kitchen, pantry }, newKey);
    const formula: Formula = wheat
      ? { ...wheat.formula, name: called }
      : way === 'recipe'
        ? withOvenSettled(formulaFromList(first, amounts, pantry, { newKey, how: 'instead' }), kitchen, pantry)
        : way === 'box'
          ? await settledInTime({ ...first, blend: box! }, { kitchen, pantry }, setSettling)
          : first;
    create.mutate(
      {
        id: ids.id,
        body: {
          versionId: ids.versionId,
          why: t(whyOf[way]),
          formula,
        },
      },
      {
        onSuccess: () =>
          void navigate(`/formulas/${ids.id}/${way === 'recipe' || way === 'box' ? neediest(formula, kitchen, pantry) : 'dough'}`),
      },
    );
  };
  return {
    way,
    submit,
    name: shown,
    setName,
    setFamilyId,
    setWay,
    family,
    reading,
    guess,
    wheat,
    without,
    setWithout,
    problem,
    create,
    box,
    setBox,
    settling,
  };
}

const whyOf = {
  recipe: 'workspace.fromARecipeAsItIsWritten',
  wheat: 'workspace.firstTrialFromAWheatFormula',
  box: 'workspace.forABoxOfFlourMix',
  middle: 'workspace.fromTheMiddleOfItsFamily',
} as const;

/** The board that most needs a look, by what can be done about it there: proof of a bag is the supplier's. */
function neediest(formula: Formula, kitchen: Kitchen, pantry: Pantry): StageName {
  const found = findingsOf(evaluate(formula, kitchen, pantry)).filter(({ code }) => !code.startsWith('gluten.'));
  const of = (level: Finding['level']) => found.find((one) => one.level === level)?.stage;
  return of('fix') ?? of('watch') ?? 'dough';
}

type Entry = ReturnType<typeof useNewFormula>;

/** What it is called, what family it is of, what it begins from. */
function NameAndFamily({ entry }: { readonly entry: Entry }) {
  const { name, setName, family, setFamilyId, way, setWay } = entry;
  return (
    <Box sx={{ gridColumn: '1 / -1', display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center', pt: 2 }}>
      <TextField
        autoFocus
        size="small"
        label={t('common.name')}
        value={name}
        onChange={(event) => setName(event.target.value.slice(0, 120))}
        slotProps={{ htmlInput: { style: { textAlign: 'left' } } }}
        sx={{ width: 260 }}
      />
      <Choice
        label={t('common.family')}
        value={family.id}
        options={Object.values(families).map(({ id, name: called }) => ({ value: id, name: called }))}
        onChange={setFamilyId}
        width={240}
      />
      <ToggleButtonGroup
        size="small"
        exclusive
        value={way}
        onChange={(_, to: Way | null) => to && setWay(to)}
        aria-label={t('workspace.beginFrom')}
        sx={{ [under.phone]: { display: 'grid', gridTemplateColumns: '1fr 1fr', width: '100%' } }}
      >
        <ToggleButton value="recipe">{t('workspace.iHaveARecipe')}</ToggleButton>
        <ToggleButton value="wheat">{t('workspace.iHaveAWheatRecipe')}</ToggleButton>
        <ToggleButton value="box">{t('workspace.iHaveABoxOfFlourMix')}</ToggleButton>
        <ToggleButton value="middle">{t('workspace.showMeAGoodOne')}</ToggleButton>
      </ToggleButtonGroup>
    </Box>
  );
}

function planOf(
  list: readonly ListedAmount[],
  family: Family,
  { kitchen, pantry }: { readonly kitchen: Kitchen; readonly pantry: Pantry },
  without: ReadonlySet<WheatStepCode>,
): WheatPlan | { readonly problem: string } | null {
  if (list.length === 0) return null;
  try {
    return trialFromWheat(list, { family, name: t('workspace.firstTrial') }, { kitchen, pantry }, { newKey, without });
  } catch (error) {
    if (error instanceof InputError) return { problem: t('workspace.theListMessage', { message: error.message }) };
    throw error;
  }
}

const isListed = (way: Way): boolean => way === 'recipe' || way === 'wheat';

/** Water, gum and what else its findings offer, for a blend that this family's first formula was not made for. It takes a second: said first. */
async function settledInTime(
  formula: Formula,
  { kitchen, pantry }: { readonly kitchen: Kitchen; readonly pantry: Pantry },
  told: (busy: boolean) => void,
): Promise<Formula> {
  told(true);
  await new Promise((painted) => setTimeout(painted, 30));
  const made = settled(formula, kitchen, pantry);
  told(false);
  return made;
}

/** What is in the box: its label read, and what was made of it. */
function BoxOfMix({
  blend,
  pantry,
  onRead,
}: {
  readonly blend: Blend | null;
  readonly pantry: Pantry;
  readonly onRead: (blend: Blend) => void;
}) {
  const [reading, setReading] = useState(false);
  return (
    <Box sx={{ display: 'grid', gap: 2, justifyItems: 'start' }}>
      <Note size="small">{t('workspace.aBoxIsReadByItsLabel')}</Note>
      {blend && (
        <Box sx={{ fontSize: typeSize.body }}>
          <b>{blend.name}</b>:{' '}
          {blend.rows
            .map(
              ({ ingredientId, share }) =>
                `${pantry.ingredients[ingredientId]?.name ?? ingredientId} ${(share * 100).toFixed(share < 0.02 ? 1 : 0)} %`,
            )
            .join(', ')}
        </Box>
      )}
      <Button variant="outlined" onClick={() => setReading(true)}>
        {t('workspace.readItsLabel')}
      </Button>
      {reading && (
        <Suspense>
          <LabelReader pantry={pantry} onRead={onRead} onClose={() => setReading(false)} />
        </Suspense>
      )}
    </Box>
  );
}

/** Each change and why; any can be left out. */
function WheatSteps({
  plan,
  without,
  onChange,
}: {
  plan: WheatPlan;
  without: ReadonlySet<WheatStepCode>;
  onChange: (next: ReadonlySet<WheatStepCode>) => void;
}) {
  const voice = useVoice();
  return (
    <Box component="section" aria-label={t('workspace.fromWheatStepByStep')} sx={{ gridColumn: '1 / -1', display: 'grid', gap: 1 }}>
      {plan.steps.map(({ code, moves, skipped }, i) => (
        <Box key={code} sx={{ display: 'grid', gridTemplateColumns: '40px 1fr', alignItems: 'start', fontSize: typeSize.small }}>
          <Checkbox
            size="small"
            checked={!without.has(code)}
            slotProps={{ input: { 'aria-label': stepWords[code].what } }}
            onChange={(_, on) => onChange(new Set(on ? [...without].filter((one) => one !== code) : [...without, code]))}
          />
          <Box sx={{ pt: 1.5 }}>
            <b>
              {i + 1}. {stepWords[code].what}
            </b>
            {moves.length > 0 &&
              `: ${moves.map(({ name, fromG, toG }) => `${name} ${showValue(fromG, 'mass', voice.units)} → ${voice.exact(toG, 'mass')}`).join(', ')}`}
            {skipped && !without.has(code) && t('workspace.nothingToDo')}
            <Box sx={{ color: 'text.secondary' }}>{stepWords[code].why}</Box>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
