import { useMemo, useRef, useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { editsBetween, readIngredientList, type Blend, type Pantry } from '@north-leaf/core';
import type { BoxLabel, ReadLabel } from '@north-leaf/contracts';
import { Note } from '../../ui/frame/note';
import { typeSize, under } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { notify } from '../../platform/notices';
import { ApiError } from '../../platform/http';
import { emptyPanel, NutritionPanel, nutrientWords, printedOf, typedNumber } from '../../ui/form/nutrition-panel';
import { SearchField } from '../../ui/form/search-field';
import { imitateBlend, readLabel, useSaveBlend } from '../blends/doors';
import { ingredientOptions } from '../pantry/doors';
import { useDraft, newKey } from '../formulas/doors';
import { runSearch, useBlendSearch } from './blend-search';
import { t } from '../../platform/words';
import { rowsOfBox, reasonNot, labelOf } from './label-of-box';

type Props = {
  /** It is read outside a formula too. */ readonly pantry: Pantry;
  readonly onClose: () => void;
  /** Where a box was met in a list: what is in it goes there, not into this formula's blend. */ readonly onRead?: (blend: Blend) => void;
};

/** What a boxed blend is likely made of: its ingredient list and panel in, ranges and a best estimate out. */
export function LabelReader({ pantry, onClose, onRead }: Props) {
  const save = useSaveBlend();
  const reader = useLabelReader(pantry);
  const { cancel, reading } = reader;
  const close = () => {
    cancel();
    onClose();
  };
  return (
    <Dialog open onClose={close} maxWidth="md" fullWidth aria-labelledby="read-label">
      <DialogTitle id="read-label">{t('blend.whatIsInTheBox')}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 3, gridTemplateColumns: '1fr 1fr', [under.phone]: { gridTemplateColumns: '1fr' } }}>
        <ListOfBox reader={reader} />
        <PanelOfBox reader={reader} />
        {reading?.status === 'read' && <Estimate reader={reader} reading={reading} />}
      </DialogContent>
      <WhatToDoWithIt reader={reader} close={close} onClose={onClose} onRead={onRead} save={save} />
    </Dialog>
  );
}

/** What is typed of a box, what was read of it, and what is still missing before it can be worked out. */
function useLabelReader(pantry: Pantry) {
  const voice = useVoice();
  const [name, setName] = useState('');
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({});
  const [panel, setPanel] = useState(() => emptyPanel('us'));
  const [reading, setReading] = useState<ReadLabel | null>(null);
  const [problem, setProblem] = useState<{ path: string; message: string } | null>(null);
  const running = useRef<AbortController | null>(null);
  const [busy, setBusy] = useState(false);

  const list = useMemo(() => readIngredientList(text, pantry.ingredients), [text, pantry]);
  const rows = rowsOfBox(list, chosen);
  const { rule } = panel;
  const printed = printedOf(rule, panel.typed);
  const basisG = typedNumber(panel.basis);
  const reason = reasonNot({ rows, printed, basisG }, voice);
  const label = (): BoxLabel => labelOf({ rows, printed, basisG }, rule);
  const cancel = () => {
    running.current?.abort();
    setBusy(false);
  };
  const read = async () => {
    if (reason) return setProblem({ path: '', message: reason });
    setProblem(null);
    setBusy(true);
    running.current = new AbortController();
    try {
      setReading(await readLabel(label(), running.current.signal));
    } catch (error) {
      if (running.current.signal.aborted) return;
      const at = error instanceof ApiError ? error.problems[0] : undefined;
      setProblem(at ? { path: at.path, message: at.message } : { path: '', message: (error as Error).message });
    }
    setBusy(false);
  };
  const at = /^panel\[(\d+)\]/.exec(problem?.path ?? '');
  const wrongNutrient = at ? printed[Number(at[1])]?.nutrient : undefined;

  const blend = (): Blend | null => {
    if (reading?.status !== 'read') return null;
    const stem = newKey();
    return {
      name: name.trim() || t('blend.fromALabel'),
      rows: rows.map(({ id }, i) => ({ key: `${stem}${i}`, ingredientId: id!, share: reading.estimate[i]! })),
      uncertainShare: reading.sd,
    };
  };
  return {
    pantry,
    cancel,
    name,
    setName,
    text,
    setText,
    setReading,
    rows,
    setChosen,
    chosen,
    rule,
    panel,
    wrongNutrient,
    problem,
    setPanel,
    reading,
    busy,
    read,
    blend,
    setProblem,
    label,
  };
}

type Reader = ReturnType<typeof useLabelReader>;

/** The ingredient list as printed, and what each name is taken for. */
function ListOfBox({ reader }: { readonly reader: Reader }) {
  const { pantry, name, setName, text, setText, setReading, rows, setChosen, chosen } = reader;
  return (
    <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
      <TextField
        size="small"
        label={t('common.name')}
        value={name}
        onChange={(event) => setName(event.target.value)}
        sx={{ mt: 2 }}
        slotProps={{ htmlInput: { maxLength: 120 } }}
      />
      <TextField
        multiline
        minRows={4}
        label={t('blend.ingredientListAsPrinted')}
        placeholder={t('blend.whiteRiceFlourPotatoStarch32Tapioca')}
        value={text}
        onChange={(event) => (setText(event.target.value), setReading(null))}
        slotProps={{ htmlInput: { style: { textAlign: 'left' }, maxLength: 4000 } }}
      />
      <Box component="ol" sx={{ m: 0, pl: 5, fontSize: typeSize.small, '& li': { py: 0.5 } }} aria-label={t('blend.whatWasRead')}>
        {rows.map(({ written, id, candidates, why, sure, declaredShare, inTail }) => (
          <li key={written}>
            {id && sure ? (
              <span>
                {pantry.ingredients[id]!.name}
                {declaredShare !== undefined && t('blend.declaredDeclared', { declared: (declaredShare * 100).toFixed(0) })}
                {inTail && t('blend.2OrLess')}
              </span>
            ) : (
              <Box sx={{ display: 'grid', gap: 1 }}>
                <Box sx={{ color: 'warning.main', fontWeight: 650 }}>
                  “{written}”: {id ? t('blend.whichOneWhy', { why }) : t('blend.nobodyKnowsThisName')}
                </Box>
                <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
                  {candidates.map((one) => (
                    <Button key={one} size="small" variant="outlined" onClick={() => setChosen({ ...chosen, [written]: one })}>
                      {pantry.ingredients[one]!.name}
                    </Button>
                  ))}
                </Box>
                <SearchField
                  label={t('common.whatIsWritten', { written })}
                  placeholder={t('common.chooseWhatItIs')}
                  find={ingredientOptions(pantry.ingredients, (one) => one.kind !== 'excluded')}
                  onChoose={(choice) => setChosen({ ...chosen, [written]: choice })}
                />
              </Box>
            )}
          </li>
        ))}
      </Box>
    </Box>
  );
}

/** The panel as printed, and the press that works it out. */
function PanelOfBox({ reader }: { readonly reader: Reader }) {
  const { panel, setPanel, setReading, wrongNutrient, problem, reading, busy, read, cancel } = reader;
  return (
    <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
      <NutritionPanel
        panel={panel}
        onChange={(next) => {
          setPanel(next);
          setReading(null);
        }}
        problem={wrongNutrient && problem ? { nutrient: wrongNutrient, message: problem.message } : undefined}
      />
      <Note>
        {t('blend.asPrinted1ForLessThanOne', { word: panel.rule === 'us' ? t('blend.21Cfr1019C') : t('blend.euGuidanceOnTolerances2012') })}
      </Note>
      <Box sx={{ display: 'flex', gap: 2 }}>
        <Button variant={reading ? 'outlined' : 'contained'} disabled={busy} onClick={() => void read()}>
          {t('common.workItOut')}
        </Button>
        {busy && (
          <Button variant="outlined" onClick={cancel}>
            {t('blend.cancel')}
          </Button>
        )}
      </Box>
      {busy && <LinearProgress aria-label={t('blend.readingTheLabel')} />}
      {problem && wrongNutrient === undefined && <Alert severity="error">{problem.message}</Alert>}
      {reading?.status === 'doesNotFit' && (
        <Alert severity="warning">
          {t('blend.noMixOfTheseFitsThePanel', {
            off: reading.off
              .map(({ nutrient, per100G }) =>
                t('blend.nutrientwordsIsPer100In100GWord', {
                  nutrientWords: nutrientWords[nutrient],
                  per100: Math.abs(per100G).toFixed(1),
                  word: per100G > 0 ? t('common.more') : t('common.less2'),
                }),
              )
              .join('; '),
          })}
        </Alert>
      )}
    </Box>
  );
}

/** What is most likely in it, with how sure that is. */
function Estimate({
  reader,
  reading,
}: {
  readonly reader: Reader;
  readonly reading: Omit<
    {
      readonly status: 'read';
      readonly ranges: readonly (readonly [number, number])[];
      readonly estimate: readonly number[];
      readonly sd: readonly number[];
      readonly band90: readonly (readonly [number, number])[];
      readonly tolerance: number;
      readonly samples: readonly (readonly number[])[];
    },
    'samples'
  >;
}) {
  const { pantry, rows } = reader;
  return (
    <Box sx={{ gridColumn: '1 / -1' }} role="status">
      <Typography variant="h2">{t('blend.mostLikely')}</Typography>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>{t('common.ingredient')}</TableCell>
            <TableCell align="right">{t('blend.bestEstimate')}</TableCell>
            <TableCell align="right">{t('blend.9In10Between')}</TableCell>
            <TableCell align="right">{t('blend.possibleAtAll')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ id, written }, i) => (
            <TableRow key={written}>
              <TableCell component="th" scope="row">
                {pantry.ingredients[id!]!.name}
              </TableCell>
              <TableCell align="right" sx={{ fontWeight: 680 }}>
                {(reading.estimate[i]! * 100).toFixed(1)} %
              </TableCell>
              <TableCell align="right">{reading.band90[i]!.map((share) => (share * 100).toFixed(0)).join(t('blend.to'))} %</TableCell>
              <TableCell align="right">{reading.ranges[i]!.map((share) => (share * 100).toFixed(0)).join(t('blend.to'))} %</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Note pt={1}>{t('blend.fromThePrintedOrderTheRoundedPanel', { tolerance: (reading.tolerance * 100).toFixed(0) })}</Note>
    </Box>
  );
}

function WhatToDoWithIt({
  reader,
  close,
  onClose,
  onRead,
  save,
}: {
  readonly reader: Reader;
  readonly close: () => void;
  readonly onClose: () => void;
  readonly onRead: ((blend: Blend) => void) | undefined;
  readonly save: ReturnType<typeof useSaveBlend>;
}) {
  const { edit } = useDraft.getState();
  const { reading, blend, setProblem, label } = reader;
  return (
    <DialogActions sx={{ p: 4, flexWrap: 'wrap', gap: 2 }}>
      <Button onClick={close}>{t('common.leaveIt')}</Button>
      <Button
        variant="outlined"
        disabled={reading?.status !== 'read' || save.isPending}
        onClick={() => {
          const made = blend();
          if (made)
            save.mutate(
              { id: crypto.randomUUID(), blend: made },
              {
                onSuccess: ({ blend: kept }) => void notify(t('blend.nameIsInTheLibrary', { name: kept.name })),
                onError: (error) => setProblem({ path: '', message: error.message }),
              },
            );
        }}
      >
        {t('blend.keepInTheLibrary')}
      </Button>
      {!onRead && (
        <Button
          variant="outlined"
          disabled={reading?.status !== 'read'}
          onClick={() => {
            const { formula } = useDraft.getState();
            const { mostFlours, reach } = useBlendSearch.getState();
            void runSearch(formula, 'imitated', (signal) =>
              imitateBlend({ formula, search: { goals: [], mostFlours, reach }, label: label() }, signal),
            );
            onClose();
          }}
        >
          {t('blend.imitateFromMyPantry')}
        </Button>
      )}
      <Button
        variant="contained"
        disabled={reading?.status !== 'read'}
        onClick={() => {
          const made = blend();
          if (made && onRead) onRead(made);
          else if (made) edit(`label:${Date.now()}`, (from) => editsBetween(from, { ...from, blend: made }));
          onClose();
        }}
      >
        {onRead ? t('blend.thatIsInIt') : t('blend.useAsThisBlend')}
      </Button>
    </DialogActions>
  );
}
