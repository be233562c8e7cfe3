import { useMemo } from 'react';
import PrintIcon from '@mui/icons-material/Print';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import GlobalStyles from '@mui/material/GlobalStyles';
import Portal from '@mui/material/Portal';
import {
  families,
  problemsOf,
  replyTo,
  runSteps,
  type Evaluation,
  type Formula,
  type Kitchen,
  type Pantry,
  type Row,
} from '@north-leaf/core';
import { stepWords } from '@north-leaf/words';
import { media, typeSize } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { AllergenLine, BoardProvider } from '../board/doors';
import { t } from '../../platform/words';
import { useCups } from '../../ui/words/cups';

type Props = {
  readonly formula: Formula;
  /** `v3`, or `v3 and 2 changes`: what is on the paper. */ readonly version: string;
  readonly evaluation: Evaluation;
  readonly kitchen: Kitchen;
  readonly pantry: Pantry;
  readonly onClose: () => void;
};

/** The whole formula on one page: everything that is weighed, every act, what it comes to. Seen first, then printed. */
export function PrintedFormula(props: Props) {
  const { evaluation, kitchen, pantry, onClose } = props;
  const page = (
    <BoardProvider evaluation={evaluation} stale={false} kitchen={kitchen} pantry={pantry}>
      <Page {...props} />
    </BoardProvider>
  );
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="on-paper">
      <DialogTitle id="on-paper">{t('paper.onPaper')}</DialogTitle>
      <DialogContent>{page}</DialogContent>
      <DialogActions sx={{ p: 4, gap: 2 }}>
        <Button onClick={onClose}>{t('common.close')}</Button>
        <Button variant="contained" startIcon={<PrintIcon />} onClick={() => window.print()}>
          {t('common.print')}
        </Button>
      </DialogActions>
      <Portal>
        <GlobalStyles
          styles={{
            [media.print]: { 'body > *:not(.on-paper)': { display: 'none !important' }, body: { overflow: 'visible !important' } },
          }}
        />
        <Box className="on-paper" aria-hidden sx={{ display: 'none', [media.print]: { display: 'block', color: 'common.black' } }}>
          {page}
        </Box>
      </Portal>
    </Dialog>
  );
}

function Page({ formula, version, evaluation, kitchen, pantry }: Props) {
  const voice = useVoice();
  const { sheet, keep } = evaluation;
  const pieces = sheet.state === 'waiting' ? null : sheet.result.pieces;
  const bakedG = keep.state === 'waiting' ? null : keep.result.wholePieceG;
  return (
    <Box sx={{ fontSize: typeSize.small, lineHeight: '17px', columnGap: 6 }}>
      <Box component="h1" sx={{ m: 0, fontSize: typeSize.strip, lineHeight: 1.3 }}>
        {formula.name}
      </Box>
      <Box sx={{ pb: 2 }}>
        {[
          families[formula.family]?.name,
          version,
          pieces !== null && t('paper.makesPieces', { count: pieces }),
          bakedG !== null && t('paper.eachBaked', { g: voice.show(bakedG, 'mass') }),
          pantry.on,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 2fr) minmax(0, 3fr)', gap: 5 }}>
        <Weighed formula={formula} pantry={pantry} />
        <Acts {...{ formula, evaluation, kitchen, pantry }} />
      </Box>
      <AllergenLine />
    </Box>
  );
}

/** Everything that is weighed: the blend, the dough, then what goes on and in by its name. */
function Weighed({ formula, pantry }: Pick<Props, 'formula' | 'pantry'>) {
  const voice = useVoice();
  const cups = useCups();
  const nameOf = (id: string) => pantry.ingredients[id]?.name ?? id;
  /** With its cups, for whoever reads them beside weights. */
  const called = (id: string, g: number) => [nameOf(id), cups(g, pantry.ingredients[id])].filter(Boolean).join(', ');
  const line = (key: string, name: string, g: number, percent?: number) => (
    <Box
      key={key}
      sx={{ display: 'grid', gridTemplateColumns: '1fr auto 52px', gap: 2, borderBottom: '1px solid', borderColor: 'divider' }}
    >
      <span>{name}</span>
      <span>{percent === undefined ? '' : `${percent.toFixed(1)} %`}</span>
      <Box component="span" sx={{ textAlign: 'right', fontWeight: 650 }}>
        {voice.show(g, 'mass')}
      </Box>
    </Box>
  );
  const group = (title: string, rows: readonly Row[], ofBlend: boolean) =>
    rows.length > 0 && (
      <Box key={title} sx={{ pb: 2, breakInside: 'avoid' }}>
        <b>{title}</b>
        {rows.map(({ key, ingredientId, amountG }) =>
          line(key, called(ingredientId, amountG), amountG, ofBlend ? (amountG / formula.blendG) * 100 : undefined),
        )}
      </Box>
    );
  const alone = formula.rows.filter(({ component }) => component === undefined);
  return (
    <section>
      <Box sx={{ pb: 2, breakInside: 'avoid' }}>
        <b>{formula.blend.name}</b>
        {formula.blend.rows.map(({ key, ingredientId, share }) =>
          line(key, called(ingredientId, share * formula.blendG), share * formula.blendG, share * 100),
        )}
      </Box>
      {group(
        t('common.dough'),
        alone.filter(({ use }) => use === 'dough' || use === 'rollIn'),
        true,
      )}
      {group(
        t('common.foldedIn'),
        alone.filter(({ use }) => use === 'foldIn'),
        false,
      )}
      {group(
        t('paper.onAndIn'),
        alone.filter(({ use }) => use !== 'dough' && use !== 'rollIn' && use !== 'foldIn'),
        false,
      )}
      {(formula.components ?? []).map(({ key, name }) =>
        group(
          name,
          formula.rows.filter(({ component }) => component === key),
          false,
        ),
      )}
    </section>
  );
}

/** Every act of the run in a line each; what is weighed stands beside. */
function Acts({ formula, evaluation, kitchen, pantry }: Omit<Props, 'version' | 'onClose'>) {
  const voice = useVoice();
  const steps = useMemo(() => replyTo(() => runSteps({ formula, kitchen, pantry }, evaluation)), [formula, evaluation, kitchen, pantry]);
  if (!steps.ok)
    return <Box role="status">{t('paper.actsWait', { why: problemsOf(evaluation)[0]?.message ?? steps.refused.message })}</Box>;
  return (
    <Box component="ol" sx={{ m: 0, pl: 5 }}>
      {steps.answer
        .filter(({ kind, what }) => kind !== 'weigh' && kind !== 'look' && what !== 'rate')
        // Between two looks it is one wait in the oven.
        .filter(({ what, load }, i, all) => what !== 'inOven' || all[i + 1]?.what !== 'inOven' || all[i + 1]?.load !== load)
        .map((step) => {
          const { title, how, sign } = stepWords(step, voice);
          const shown = step.kind === 'wait' && step.min !== undefined ? voice.show(step.min, 'minutes') : '';
          // Some waits are counted from where an earlier step began.
          const min = shown !== '' && step.since !== undefined ? t('paper.untilInAll', { min: shown }) : shown;
          return (
            <Box component="li" key={step.key} sx={{ breakInside: 'avoid' }}>
              <b>{[title, min].filter(Boolean).join(', ')}</b>
              {[how, sign].some(Boolean) && `: ${[how, sign].filter(Boolean).join(' ')}`}
            </Box>
          );
        })}
    </Box>
  );
}
