import { useEffect, useRef } from 'react';
import CloseIcon from '@mui/icons-material/Close';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { isGum, type BlendResult, type BlendSearch, type Formula, type GoalKey, type Pantry, strengths } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { Choice } from '../../ui/form/choice';
import { findBlends } from '../blends/doors';
import { useDraft } from '../formulas/doors';
import { useSurroundings } from '../board/doors';
import { runSearch, useBlendSearch, type BoardGoal } from './blend-search';
import { goalWords, shownGoal } from './goal-words';
import { t } from '../../platform/words';
import type { BlendSearchState } from './blend-search';

const round = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(6));

/** The wishes a board begins with, each at a value near what the blend brings now. */
export function firstGoals(blend: BlendResult, { blend: { rows } }: Formula): BoardGoal[] {
  const main = [...rows].sort((a, b) => b.share - a.share)[0];
  const goal = (key: GoalKey | `taste:${string}`, way: 'atLeast' | 'atMost', value: number, { strength, on }: { readonly strength: BoardGoal['strength']; readonly on: boolean }): BoardGoal => ({ key, way, value, strength, on }); // prettier-ignore
  return [
    goal('bend', 'atLeast', round(blend.bendIndex + 0.2, 0.05), { strength: 'must', on: true }),
    goal('flavour', 'atMost', round(Math.max(0, blend.flavourIndex - 0.1), 0.05), { strength: 'want', on: false }),
    goal('grit', 'atMost', round(Math.max(0, blend.gritIndex - 0.1), 0.05), { strength: 'want', on: false }),
    ...(blend.costMinorPerKg === null
      ? []
      : [goal('cost', 'atMost', Math.ceil(blend.costMinorPerKg / 5) * 5, { strength: 'want', on: true })]),
    goal('protein', 'atLeast', round(blend.composition.proteinShare * 100 + 1, 0.5), { strength: 'want', on: false }),
    goal('fibre', 'atLeast', round(blend.composition.fibreShare * 100 + 1, 0.5), { strength: 'want', on: false }),
    goal('water', 'atMost', round(blend.waterHoldGPerG, 0.01), { strength: 'want', on: false }),
    goal('starch', 'atMost', round(blend.starchShare, 0.01), { strength: 'want', on: false }),
    ...(main ? [goal(`taste:${main.ingredientId}`, 'atLeast', round(main.share, 0.01), { strength: 'want', on: false })] : []),
  ];
}

/** What is wished of the blend, how much of each, and how strongly. */
export function FindBlends() {
  const { kitchen, pantry } = useSurroundings();
  const { palette } = useTheme();
  const { goals, mostFlours, reach, running, failed } = useBlendSearch();
  const { set, setGoal } = useBlendSearch.getState();
  const off = goals.filter(({ on }) => !on);
  const { find } = useFind(set);
  return (
    <Box component="section" aria-labelledby="find-blends" sx={{ pt: 4 }}>
      <Typography id="find-blends" variant="h2" sx={{ pb: 1 }}>
        {t('blend.findABlendThat')}
      </Typography>
      {goals
        .filter(({ on }) => on)
        .map((goal) => (
          <GoalRow key={goal.key} goal={goal} pantry={pantry} currency={kitchen.currency} onChange={(patch) => setGoal(goal.key, patch)} />
        ))}
      {off.length > 0 && (
        <Choice
          label={t('blend.addAWish')}
          value=""
          placeholder={t('blend.addAWish')}
          options={off.map(({ key, way }) => ({ value: key as string, name: goalWords(key, way, pantry, kitchen.currency).words }))}
          onChange={(key) => setGoal(key, { on: true })}
          width={200}
        />
      )}
      <WhereFrom mostFlours={mostFlours} reach={reach} set={set} />
      <Box sx={{ display: 'flex', gap: 2, pt: 3, alignItems: 'center' }}>
        <Button variant="contained" disabled={running !== null} onClick={() => find.current()} title={t('blend.ctrlEnter')}>
          {t('blend.findBlends')}
        </Button>
        {running && (
          <Button
            variant="outlined"
            onClick={() => {
              running.abort();
              set({ running: null });
            }}
          >
            {t('blend.cancel')}
          </Button>
        )}
      </Box>
      {running && <LinearProgress aria-label={t('blend.lookingForBlends')} sx={{ mt: 2, height: 3, bgcolor: palette.leaf.well }} />}
      {failed && (
        <Alert severity="error" sx={{ mt: 2 }}>
          {failed}
        </Alert>
      )}
      <Note pt={2}>
        {t('blend.pinsLimitsAndWhatItMustSuit')} {Object.values(pantry.ingredients).some(isGum) && t('blend.gumsComeToWhatTheFamilyNeeds')}
      </Note>
    </Box>
  );
}

/** Begins the search, by a press or by key. */
function useFind(set: (patch: Partial<BlendSearchState>) => void) {
  const { pantry, kitchen } = useSurroundings();
  const find = useRef(() => {});
  useEffect(() => {
    find.current = () => {
      const { formula } = useDraft.getState();
      const { goals: all, ...rest } = useBlendSearch.getState();
      const unread = all.find(({ on, value }) => on && !(Number.isFinite(value) && value >= 0));
      if (unread) {
        const { words } = goalWords(unread.key, unread.way, pantry, kitchen.currency);
        return set({ failed: t('blend.wordsNeedsANumberFrom0', { words }) });
      }
      const wanted: BlendSearch = {
        goals: all.filter(({ on }) => on).map(({ on: _on, ...goal }) => goal),
        mostFlours: rest.mostFlours,
        reach: rest.reach,
      };
      void runSearch(formula, 'found', (signal) => findBlends({ formula, search: wanted }, signal));
    };
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key !== 'Enter') return;
      event.preventDefault();
      find.current();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  return { find };
}

/** From which flours, and how many. */
function WhereFrom({
  mostFlours,
  reach,
  set,
}: {
  readonly mostFlours: number;
  readonly reach: 'all' | 'here';
  readonly set: (patch: Partial<BlendSearchState>) => void;
}) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, pt: 2, fontSize: typeSize.small, flexWrap: 'wrap' }}>
      <Choice
        label={t('blend.whereFrom')}
        value={reach}
        options={[
          { value: 'here', name: t('blend.fromWhatIsHere') },
          { value: 'all', name: t('blend.fromAnything') },
        ]}
        onChange={(next) => set({ reach: next })}
        width={160}
      />
      <span>{t('blend.atMost')}</span>
      <Choice
        label={t('blend.mostFlours')}
        value={mostFlours}
        options={[2, 3, 4, 5, 6, 7, 8].map((value) => ({ value, name: t('blend.valueFlours', { value }) }))}
        onChange={(next) => set({ mostFlours: next })}
        width={104}
      />
    </Box>
  );
}

type RowProps = {
  readonly goal: BoardGoal;
  readonly pantry: Pantry;
  readonly currency: string;
  readonly onChange: (patch: Partial<BoardGoal>) => void;
};

function GoalRow({ goal, pantry, currency, onChange }: RowProps) {
  const { palette } = useTheme();
  const { words, times, unit } = goalWords(goal.key, goal.way, pantry, currency);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, minHeight: 36, fontSize: typeSize.small }}>
      <Box sx={{ flex: 1, lineHeight: '16px' }}>{words}</Box>
      <TextField
        size="small"
        defaultValue={shownGoal(goal.value, times)}
        onChange={(event) => {
          const typed = event.target.value.trim().replace(',', '.');
          onChange({ value: typed === '' ? NaN : Number(typed) / times });
        }}
        error={!Number.isFinite(goal.value) || goal.value < 0}
        slotProps={{
          htmlInput: {
            'aria-label': t('blend.wordsValue', { words }),
            inputMode: 'decimal',
            autoComplete: 'off',
            style: { width: 40, textAlign: 'right', fontWeight: 650 },
          },
        }}
      />
      <Box sx={{ width: 20, fontSize: typeSize.caption }}>{unit}</Box>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={goal.strength}
        onChange={(_, strength: BoardGoal['strength'] | null) => strength && onChange({ strength })}
        aria-label={t('blend.howStronglyWords', { words })}
      >
        {strengths.map((strength) => (
          <ToggleButton key={strength} value={strength} sx={{ px: '6px !important', height: '26px', borderColor: palette.leaf.edge }}>
            {t(`blend.strength.${strength}`)}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <IconButton
        size="small"
        aria-label={t('blend.dropTheWishWords', { words })}
        onClick={() => onChange({ on: false })}
        sx={{ p: '2px' }}
      >
        <CloseIcon fontSize="inherit" />
      </IconButton>
    </Box>
  );
}
