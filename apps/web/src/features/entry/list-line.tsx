import { useState } from 'react';
import EditOutlinedIcon from '@mui/icons-material/EditOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import {
  hazardsOf,
  type Blend,
  type Ingredient,
  type Pantry,
  type PartOfList,
  type ReadLine,
  type Slip,
  fixedMass,
  showValue,
  unitOf,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { readMass } from '../../ui/form/typed-mass';
import { useVoice, useUnits } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { SearchField } from '../../ui/form/search-field';
import { ingredientOptions } from '../pantry/doors';
import { t } from '../../platform/words';

/** A line as it was read, and as the baker put it right. */
export type ReadyLine = ReadLine & {
  readonly key: string;
  readonly leftOut: boolean;
  readonly corrected: boolean;
  /** What the label of its box says is in it. */ readonly box: Blend | null;
};

/** What a baker put right in one line. */
export type Correction = {
  readonly ingredientId?: string;
  /** A box: what its label says is in it. */ readonly box?: Blend | null;
  readonly massG?: number;
  readonly leftOut?: boolean;
  readonly part?: PartOfList;
};

const slipWords: Record<Slip['kind'], (line: ReadLine, likely: string) => string> = {
  noAmount: () => t('entry.noAmountItIsLeftOutUntil'),
  unknown: () => t('entry.nobodyKnowsThisNameChooseWhatIt'),
  doubled: () => t('entry.standsTwiceBothAreCounted'),
  saltForSugar: () => t('entry.thatMuchSaltSugarPerhaps'),
  spoonForSpoon: (_line, likely) => t('entry.thatMuchLeavenerATeaspoonWouldBe', { likely: likely || t('entry.aThird') }),
  tooMuchGum: (_line, likely) => t('entry.thatMuchGumMoreLikelyAboutLikely', { likely: likely || t('entry.aTenth') }),
  noWeight: () => t('entry.nobodyKnowsWhatThatWeighsWeighIt'),
  gluten: () => t('entry.containsGlutenKeptOutChooseWhatStands'),
};
const valueOf = (part: PartOfList | undefined) => (part ? [part.use, part.goesOn].filter((word) => word !== undefined).join(' ') : 'dough');
const places: readonly { readonly name: string; readonly part: PartOfList }[] = [
  { name: t('entry.inTheDough'), part: { use: 'dough' } },
  { name: t('common.foldedIn'), part: { use: 'foldIn' } },
  { name: t('entry.fillingBaked'), part: { use: 'filling' } },
  { name: t('entry.fillingOnceCooled'), part: { use: 'filling', goesOn: 'cooled' } },
  { name: t('entry.onTopBaked'), part: { use: 'topping' } },
  { name: t('entry.onTopOnceCooled'), part: { use: 'topping', goesOn: 'cooled' } },
  { name: t('common.atServing'), part: { use: 'topping', goesOn: 'serving' } },
  { name: t('entry.wash'), part: { use: 'wash' } },
  { name: t('common.forDusting'), part: { use: 'dust' } },
];
const parts = places.map((one) => ({ ...one, value: valueOf(one.part) }));
export const partName = (part: PartOfList | undefined): string =>
  parts.find(({ value }) => value === valueOf(part))?.name ?? t('entry.inTheDough');

type Props = {
  readonly line: ReadyLine;
  /** Of the lines that begin here. */ readonly heading: string | undefined;
  readonly slips: readonly Slip[];
  readonly asks: boolean;
  readonly pantry: Pantry;
  readonly saidBefore: boolean;
  readonly onCorrect: (correction: Correction | null) => void;
  readonly onRemember: (ingredientId: string) => void;
  readonly onForget: () => void;
  readonly onMake: () => void;
  /** Left out where no box can stand. */ readonly onBox: (() => void) | undefined;
};

const isBox = (one: Ingredient | undefined) => one?.kind === 'blend' && one.madeFrom === undefined;

/** One line: what it was read as, what it asks, and everything a baker can put right about it. */
export function ListLine(props: Props) {
  const { line, heading, pantry, onCorrect, onMake } = props;
  const [open, setOpen] = useState(false);
  const { written, mass, leftOut } = line;
  const choose = (id: string) => {
    setOpen(false);
    onCorrect({ ingredientId: id, box: null, leftOut: false });
  };
  return (
    <>
      {heading && (
        <TableRow>
          <TableCell colSpan={4} sx={{ fontWeight: 650, fontSize: typeSize.small, bgcolor: 'leaf.well' }}>
            {heading}
          </TableCell>
        </TableRow>
      )}
      <TableRow sx={leftOut ? { '& th': { color: 'text.secondary', textDecoration: 'line-through' } } : {}}>
        <TableCell component="th" scope="row" sx={{ fontSize: typeSize.small }}>
          {written.trim()}
        </TableCell>
        <TakenFor {...props} open={open} onOpen={setOpen} onChoose={choose} />
        <Weighs leftOut={leftOut} mass={mass} />
        <TableCell sx={{ fontSize: typeSize.small, color: 'text.secondary' }}>{leftOut ? '' : mass?.assumption}</TableCell>
      </TableRow>
      {open && (
        <TableRow>
          <TableCell colSpan={4} sx={{ bgcolor: 'leaf.well' }}>
            <PutRight line={line} pantry={pantry} onChoose={choose} onCorrect={onCorrect} onMake={onMake} onClose={() => setOpen(false)} />
          </TableCell>
        </TableRow>
      )}
    </>
  );
}

type Opened = { readonly open: boolean; readonly onOpen: (open: boolean) => void; readonly onChoose: (id: string) => void };
/** What the line was taken for, or what it asks; and what is doubted about it. */
function TakenFor({
  line,
  slips,
  asks,
  pantry,
  saidBefore,
  onCorrect,
  onRemember,
  onForget,
  onBox,
  open,
  onOpen,
  onChoose,
}: Props & Opened) {
  const voice = useVoice();
  const { ingredientId, candidates, leftOut, corrected, box } = line;
  const fix = !asks && slips.some(({ kind }) => kind === 'gluten');
  // A flour may be a box: what is in it is read where it is met.
  const mayBeBox =
    onBox !== undefined && !leftOut && [ingredientId, ...(asks ? candidates : [])].some((id) => isBox(pantry.ingredients[id ?? '']));
  return (
    <TableCell>
      <Answer {...{ line, asks, pantry, onCorrect, onBox, open, onOpen, onChoose, mayBeBox }} />
      {mayBeBox && !asks && (
        <Button size="small" onClick={onBox}>
          {box ? t('entry.readItsLabelAgain') : t('entry.readWhatItsBoxSaysIsIn')}
        </Button>
      )}
      {saidBefore && !asks && !leftOut && (
        <Note>
          {t('entry.asYouSaidBefore')}{' '}
          <Button size="small" sx={{ minHeight: 0, p: 0 }} onClick={onForget}>
            {t('entry.forget')}
          </Button>
        </Note>
      )}
      {corrected && !box && !saidBefore && !leftOut && ingredientId !== null && line.name !== '' && (
        <Button size="small" sx={{ minHeight: 0, p: 0 }} onClick={() => onRemember(ingredientId)}>
          {t('entry.inThisKitchenNameIsAlwaysThis', { name: line.name })}
        </Button>
      )}
      {!leftOut &&
        slips
          .filter(({ kind }) => !(asks && (kind === 'unknown' || kind === 'gluten')))
          .map(({ kind, likelyG }) => (
            <Box key={kind} role="alert" sx={{ color: kind === 'gluten' ? 'error.main' : 'warning.main', fontSize: typeSize.caption }}>
              {slipWords[kind](line, likelyG === undefined ? '' : voice.exact(likelyG, 'mass'))}
            </Box>
          ))}
      {fix && !leftOut && !open && (
        <Button size="small" onClick={() => onOpen(true)}>
          {t('entry.chooseWhatStandsForIt')}
        </Button>
      )}
    </TableCell>
  );
}

/** The answer itself: left out, one of several, unknown, or a name. */
function Answer({
  line,
  asks,
  pantry,
  onCorrect,
  onBox,
  open,
  onOpen,
  onChoose,
  mayBeBox,
}: Pick<Props, 'line' | 'asks' | 'pantry' | 'onCorrect' | 'onBox'> & Opened & { readonly mayBeBox: boolean }) {
  const { written, ingredientId, candidates, why, leftOut, part, box } = line;
  const nameOf = (id: string) => pantry.ingredients[id]?.name ?? id;
  if (leftOut)
    return (
      <>
        {t('entry.leftOut')}{' '}
        <Button size="small" onClick={() => onCorrect({ leftOut: false })}>
          {t('entry.takeItIn')}
        </Button>
      </>
    );
  if (asks)
    return (
      <WhichOne
        candidates={candidates}
        choose={onChoose}
        mayBeBox={mayBeBox}
        nameOf={nameOf}
        onBox={onBox}
        open={open}
        pantry={pantry}
        setOpen={onOpen}
        why={why}
      />
    );
  if (ingredientId === null)
    return (
      <Button
        size="small"
        variant="outlined"
        onClick={() => onOpen(true)}
        aria-label={t('common.whatIsWritten', { written: written.trim() })}
      >
        {t('common.chooseWhatItIs')}
      </Button>
    );
  return <Understood box={box} ingredientId={ingredientId} nameOf={nameOf} open={open} part={part} setOpen={onOpen} written={written} />;
}

/** Several things go by this name. */
function WhichOne({
  candidates,
  choose,
  mayBeBox,
  nameOf,
  onBox,
  open,
  pantry,
  setOpen,
  why,
}: {
  readonly candidates: readonly string[];
  readonly choose: (id: string) => void;
  readonly mayBeBox: boolean;
  readonly nameOf: (id: string) => string;
  readonly onBox: (() => void) | undefined;
  readonly open: boolean;
  readonly pantry: Pantry;
  readonly setOpen: (open: boolean) => void;
  readonly why: string;
}) {
  return (
    <Box sx={{ display: 'grid', gap: 1, py: 1 }}>
      <Box sx={{ color: 'warning.main', fontSize: typeSize.small }}>{t('entry.whichOneWhy', { why })}</Box>
      <Box role="group" aria-label={t('entry.whichOneWhy', { why })} sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {candidates.map((id) => (
          <Button key={id} size="small" variant="outlined" onClick={() => choose(id)} title={hazardsOf(pantry.ingredients[id]!).join(', ')}>
            {nameOf(id)}
            {pantry.ingredients[id]?.gluten === 'contains' && t('entry.keptOut')}
          </Button>
        ))}
        {mayBeBox && (
          <Button size="small" variant="outlined" onClick={onBox}>
            {t('entry.itIsABoxReadItsLabel')}
          </Button>
        )}
        <Button size="small" onClick={() => setOpen(true)} aria-expanded={open}>
          {t('common.somethingElse')}
        </Button>
      </Box>
    </Box>
  );
}

/** What it was understood as. */
function Understood({
  box,
  ingredientId,
  nameOf,
  open,
  part,
  setOpen,
  written,
}: {
  readonly box: Blend | null;
  readonly ingredientId: string | null;
  readonly nameOf: (id: string) => string;
  readonly open: boolean;
  readonly part: PartOfList | undefined;
  readonly setOpen: (open: boolean) => void;
  readonly written: string;
}) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      <span>
        {box ? `${box.name}: ${box.rows.map((row) => nameOf(row.ingredientId)).join(', ')}` : nameOf(ingredientId!)}
        {part && <Box component="span" sx={{ color: 'text.secondary', fontSize: typeSize.caption }}>{`, ${partName(part)}`}</Box>}
      </span>
      <IconButton
        size="small"
        aria-label={t('entry.correctWritten', { written: written.trim() })}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <EditOutlinedIcon fontSize="inherit" />
      </IconButton>
    </Box>
  );
}

/** What it weighs, and how sure that is. */
function Weighs({ leftOut, mass }: { readonly leftOut: boolean; readonly mass: Props['line']['mass'] }) {
  const units = useUnits();
  const voice = useVoice();
  return (
    <TableCell align="right" sx={{ whiteSpace: 'nowrap', fontWeight: 650 }}>
      {mass && !leftOut ? fixedMass(mass.massG, units) : '–'}
      {mass && !leftOut && mass.sdG > 0.05 * mass.massG && (
        <Box sx={{ fontSize: typeSize.caption, color: 'text.secondary', fontWeight: 400 }}>
          ± {voice.bare(mass.sdG, 'mass', mass.sdG < 2 || units.mass === 'oz' ? 1 : 0)}
        </Box>
      )}
    </TableCell>
  );
}

type PutRightProps = Pick<Props, 'line' | 'pantry' | 'onCorrect' | 'onMake'> & {
  readonly onChoose: (id: string) => void;
  readonly onClose: () => void;
};

/** Another ingredient, another amount, another place, or none of it. */
function PutRight({ line, pantry, onChoose, onCorrect, onMake, onClose }: PutRightProps) {
  const voice = useVoice();
  const [grams, setGrams] = useState(line.mass ? showValue(line.mass.massG, 'mass', voice.units) : '');
  const { g, problem } = readMass(grams, voice);
  const setG = () => {
    if (g !== undefined) onCorrect({ massG: g });
  };
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-start', py: 1 }}>
      <Box sx={{ width: 300 }}>
        <SearchField
          label={t('common.whatIsWritten', { written: line.written.trim() })}
          placeholder={t('entry.anotherIngredient')}
          find={ingredientOptions(pantry.ingredients, (one) => one.kind !== 'excluded')}
          onChoose={onChoose}
        />
      </Box>
      <TextField
        size="small"
        value={grams}
        onChange={(event) => setGrams(event.target.value)}
        onBlur={setG}
        onKeyDown={(event) => {
          if (event.key === 'Enter') setG();
        }}
        error={problem !== null}
        helperText={problem}
        slotProps={{
          htmlInput: {
            'aria-label': t('entry.gramsOfWritten', { written: line.written.trim() }),
            inputMode: 'decimal',
            autoComplete: 'off',
            style: { width: 64, textAlign: 'right' },
          },
          input: { endAdornment: unitOf('mass', voice.units) },
        }}
      />
      <Choice
        label={t('entry.whereWrittenGoes', { written: line.written.trim() })}
        value={valueOf(line.part)}
        options={parts.map(({ value: one, name }) => ({ value: one, name }))}
        onChange={(to) => onCorrect({ part: parts.find(({ value: one }) => one === to)!.part })}
        width={190}
      />
      <Button size="small" onClick={onMake}>
        {t('entry.makeItAnIngredient')}
      </Button>
      <Button size="small" onClick={() => (onCorrect({ leftOut: true }), onClose())}>
        {t('common.leaveItOut')}
      </Button>
      {line.corrected && (
        <Button size="small" onClick={() => (onCorrect(null), onClose())}>
          {t('entry.asItWasRead')}
        </Button>
      )}
    </Box>
  );
}
