import { lazy, Suspense, useState } from 'react';
import ExpandMoreIcon from '@mui/icons-material/ExpandMore';
import MoreVertIcon from '@mui/icons-material/MoreVert';
import PushPinIcon from '@mui/icons-material/PushPin';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import {
  editsBetween,
  InputError,
  isBlendable,
  isExcluded,
  isGum,
  portionOf,
  withShare,
  type Formula,
  showValue,
  unitOf,
} from '@north-leaf/core';
import { Wrong, Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences } from '../../platform/preferences';
import { FieldRow } from '../../ui/form/field-row';
import { QuantityField } from '../../ui/form/quantity-field';
import { SearchField } from '../../ui/form/search-field';
import { notify } from '../../platform/notices';
import { useSaveBlend } from '../blends/doors';
import { ingredientOptions } from '../pantry/doors';
import { useDraft, newKey } from '../formulas/doors';
import { FormulaField, useFormula, useProblem, useSurroundings } from '../board/doors';
import { BlendRowDetails } from './blend-row-details';
import { t } from '../../platform/words';
import { readRowMass } from '../../ui/form/typed-mass';
import { useCups } from '../../ui/words/cups';
import type { Dispatch, SetStateAction } from 'react';

const LabelReader = lazy(async () => ({ default: (await import('./label-reader')).LabelReader }));
const FromAmounts = lazy(async () => ({ default: (await import('./blend-from-amounts')).BlendFromAmountsDialog }));

/** The rows of the blend: percent or grams, the lot each comes from, and what may be done to one. */
export function BlendRows() {
  const formula = useFormula();
  const { pantry } = useSurroundings();
  const problem = useProblem('/blend/rows');
  const [open, setOpen] = useState<string | null>(null);
  const keep = useSaveBlend();
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [dialog, setDialog] = useState<'amounts' | 'label' | null>(null);
  const { edit } = useDraft.getState();
  const keepIt = () =>
    keep.mutate(
      { id: formula.blend.from?.blendId ?? crypto.randomUUID(), blend: formula.blend },
      {
        onSuccess: ({ blend, version }) => void notify(t('blend.nameVersionVersionIsInTheLibrary', { name: blend.name, version })),
        onError: (error) => void notify(t('blend.notKeptMessage', { message: error.message }), 'error'),
      },
    );
  const used = new Set(formula.blend.rows.map(({ ingredientId }) => ingredientId));
  return (
    <>
      <FieldRow ask="blend" label={<Typography variant="h2">{formula.blend.name}</Typography>}>
        <FormulaField path="/blendG" label={t('common.blend')} kind="mass" grain={10} width={80} />
        <IconButton
          size="small"
          aria-label={t('blend.moreAboutThisBlend')}
          aria-haspopup="menu"
          onClick={(event) => setMenu(event.currentTarget)}
        >
          <MoreVertIcon fontSize="small" />
        </IconButton>
      </FieldRow>
      <Menu anchorEl={menu} open={menu !== null} onClose={() => setMenu(null)}>
        <MenuItem onClick={() => (setMenu(null), setDialog('amounts'))}>{t('blend.fromPartsGramsOrCups')}</MenuItem>
        <MenuItem onClick={() => (setMenu(null), setDialog('label'))}>{t('blend.readALabel')}</MenuItem>
        <MenuItem disabled={keep.isPending} onClick={() => (setMenu(null), keepIt())}>
          {t('blend.keepThisBlendInTheLibrary')}
        </MenuItem>
      </Menu>
      <ShareTable open={open} setOpen={setOpen} />
      {problem && <Wrong size="small">{problem}</Wrong>}
      <Box sx={{ py: 2 }}>
        <SearchField
          label={t('blend.addToTheBlend')}
          placeholder={t('blend.addAFlourStarchOrGum')}
          find={ingredientOptions(pantry.ingredients, (one) => isBlendable(one) && !isExcluded(one) && !used.has(one.id))}
          onChoose={(id) => {
            const share = isGum(pantry.ingredients[id]!) ? 0.005 : 0.05;
            edit(`add:${Date.now()}`, (from) => {
              const rows = [...from.blend.rows, { key: newKey(), ingredientId: id, share: 0 }];
              return editsBetween(from.blend.rows, withShare(rows, rows.length - 1, share), '/blend/rows');
            });
          }}
        />
      </Box>
      <Suspense>
        {dialog === 'amounts' && <FromAmounts onClose={() => setDialog(null)} />}
        {dialog === 'label' && <LabelReader pantry={pantry} onClose={() => setDialog(null)} />}
      </Suspense>
    </>
  );
}

/** The rows of the blend. */
function ShareTable({ open, setOpen }: { readonly open: string | null; readonly setOpen: Dispatch<SetStateAction<string | null>> }) {
  const units = usePreferences((state) => state.units);
  const formula = useFormula();
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          <TableCell>{t('blend.flourStarchGum')}</TableCell>
          <TableCell align="right">%</TableCell>
          <TableCell align="right">{unitOf('mass', units)}</TableCell>
          <TableCell component="td" />
        </TableRow>
      </TableHead>
      <TableBody>
        {formula.blend.rows.map((row, i) => (
          <ShareRow key={row.key} index={i} open={open === row.key} onOpen={() => setOpen(open === row.key ? null : row.key)} />
        ))}
        <TableRow>
          <TableCell sx={{ fontWeight: 650 }}>{t('common.blend')}</TableCell>
          <TableCell align="right" sx={{ fontWeight: 650 }}>
            {showValue(formula.blend.rows.reduce((sum, { share }) => sum + share, 0) * 100, 'percent', units)}
          </TableCell>
          <TableCell align="right" sx={{ fontWeight: 650 }}>
            {showValue(formula.blendG, 'mass', units)}
          </TableCell>
          <TableCell />
        </TableRow>
      </TableBody>
    </Table>
  );
}

function ShareRow({ index, open, onOpen }: { index: number; open: boolean; onOpen: () => void }) {
  const formula = useFormula();
  const { kitchen, pantry } = useSurroundings();
  const units = usePreferences((state) => state.units);
  const row = formula.blend.rows[index]!;
  const saved = useDraft((state) => state.saved.blend.rows.find(({ key }) => key === row.key));
  const path = `/blend/rows/${index}/share`;
  const typedShare = useDraft((state) => state.typed[path]);
  const typedGrams = useDraft((state) => state.typed[`/blend/rows/${index}/grams`]);
  const { edit, type } = useDraft.getState();
  const [refused, setRefused] = useState<string | undefined>();
  const problem = useProblem(path) ?? refused;
  const ingredient = pantry.ingredients[row.ingredientId];
  const name = ingredient?.name ?? row.ingredientId;
  const lot = ingredient && portionOf(pantry, '', row.ingredientId, 1, row.lotId).lot;
  const uncertain = formula.blend.uncertainShare?.[index];
  const inCups = useCups()(row.share * formula.blendG, ingredient);
  /** The others share the change; what cannot be shared is said at the field and changes nothing. */
  const share = (percent: number, visit: string) => {
    setRefused(undefined);
    edit(`${path}:${visit}`, (from) => {
      try {
        return editsBetween(from.blend.rows, withShare(from.blend.rows, index, percent / 100), '/blend/rows');
      } catch (error) {
        if (error instanceof InputError) setRefused(error.message);
        return [];
      }
    });
  };
  return (
    <>
      <TableRow sx={open ? { boxShadow: 'inset 3px 0 0', color: 'primary.main' } : {}}>
        <TableCell component="th" scope="row" sx={{ lineHeight: '16px' }}>
          {row.pinned && <PushPinIcon titleAccess={t('blend.pinned2')} sx={{ fontSize: typeSize.small, mr: 0.5, verticalAlign: '-2px' }} />}
          {/* What else it is called stands in its details. */}
          {name.replace(/\s*\(=.*\)$/, '')}
          <Note>
            {lot ? t('common.lotCode', { code: lot.code }) : t('blend.noLotHere')}
            {uncertain ? ` · ± ${(uncertain * 100).toFixed(1)}` : ''}
            {inCups ? ` · ${inCups}` : ''}
          </Note>
        </TableCell>
        <TableCell align="right">
          <QuantityField
            label={t('blend.nameShare', { name })}
            kind="percent"
            value={row.share * 100}
            was={saved && saved.share * 100}
            typed={typedShare}
            problem={problem}
            onTyped={(text) => type(path, text)}
            onChange={share}
            width={58}
            hideUnit
          />
        </TableCell>
        <TableCell align="right">
          <QuantityField
            label={t('common.nameGrams', { name })}
            kind="mass"
            value={row.share * formula.blendG}
            typed={typedGrams}
            onTyped={(text) => type(`/blend/rows/${index}/grams`, text)}
            read={(text) => readRowMass(text, unitOf('mass', units), ingredient, kitchen.measures)}
            onChange={(grams, visit) => edit(`${path}:grams:${visit}`, (from) => weighed(from, index, grams))}
            width={64}
            hideUnit
          />
        </TableCell>
        <TableCell sx={{ width: 34, p: 0 }}>
          <IconButton
            size="small"
            aria-label={`${open ? t('common.close') : t('common.open')} ${name}`}
            aria-expanded={open}
            onClick={onOpen}
          >
            <ExpandMoreIcon fontSize="small" sx={{ transform: open ? 'rotate(180deg)' : 'none' }} />
          </IconButton>
        </TableCell>
      </TableRow>
      {open && <BlendRowDetails index={index} />}
    </>
  );
}

/** A row weighed differently: the others keep their grams, the blend becomes heavier or lighter. */
function weighed(from: Formula, index: number, grams: number) {
  const others = from.blendG * (1 - from.blend.rows[index]!.share);
  const blendG = others + grams;
  if (!(grams >= 0) || !(blendG > 0)) return [];
  const rows = from.blend.rows.map((row, i) => ({ ...row, share: (i === index ? grams : row.share * from.blendG) / blendG }));
  return editsBetween(from, { ...from, blendG: Number(blendG.toFixed(6)), blend: { ...from.blend, rows } });
}
