import { memo } from 'react';
import AddIcon from '@mui/icons-material/Add';
import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { HOT_TRAY, valueAt, type Wait } from '@north-leaf/core';
import { useVoice } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { useDraft } from '../formulas/doors';
import { FormulaField, useSurroundings, useSet } from './board';
import { t } from '../../platform/words';

const NONE: readonly never[] = [];

/** Places in turn, with their minutes. */
export const Waits = memo(function Waits({
  path,
  label,
  least = 0,
  hotTray = false,
}: {
  path: string;
  label: string;
  least?: number;
  /** Out of the oven: it may stay on its tray. */ hotTray?: boolean;
}) {
  const voice = useVoice();
  const { kitchen } = useSurroundings();
  const set = useSet();
  const { edit } = useDraft.getState();
  const waits = useDraft((state) => valueAt(state.formula, path) ?? NONE) as unknown as readonly Wait[];
  const places = [
    ...(hotTray ? [{ value: HOT_TRAY, name: t('board.onItsHotTray') }] : []),
    ...kitchen.places.map(({ id, name, atC }) => ({ value: id, name: `${name}, ${voice.exact(atC, 'temperature')}` })),
  ];
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {waits.map((wait, i) => (
        <Box key={i} sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
          <Choice
            label={t('board.labelIPlace', { label, i: i + 1 })}
            value={wait.placeId}
            options={places}
            onChange={(placeId) => set(`${path}/${i}/placeId`, placeId)}
            width={170}
          />
          <FormulaField path={`${path}/${i}/min`} label={`${label} ${i + 1}`} kind="minutes" width={62} />
          {waits.length > least && (
            <IconButton
              size="small"
              aria-label={t('board.removeLabelI', { label, i: i + 1 })}
              onClick={() => edit(`out:${Date.now()}`, () => [{ path: `${path}/${i}`, from: wait as never }])}
            >
              <CloseIcon fontSize="inherit" />
            </IconButton>
          )}
        </Box>
      ))}
      <Button
        size="small"
        startIcon={<AddIcon />}
        sx={{ justifySelf: 'start', minHeight: 26 }}
        onClick={() =>
          edit(`add:${Date.now()}`, () => [{ path: `${path}/${waits.length}`, to: { placeId: kitchen.places[0]!.id, min: 10 } }])
        }
      >
        {waits.length === 0 ? t('board.addAWait') : t('board.thenSomewhereElse')}
      </Button>
    </Box>
  );
});
