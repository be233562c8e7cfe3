import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Collapse from '@mui/material/Collapse';
import FormControlLabel from '@mui/material/FormControlLabel';
import { acrylamideMeasureIds, acrylamideMeasures, acrylamideWords, type AcrylamideMeasure, type BakeResult } from '@north-leaf/core';
import { typeSize } from '../../ui/theme/theme';
import { useFormula, useSet } from '../board/doors';
import { t } from '../../platform/words';

/** Two digits are more than the estimate is good for. */
const rough = (ugPerKg: number) => Number(ugPerKg.toPrecision(2)).toLocaleString('en');

/** How much acrylamide is likely, against the benchmark of its kind, and what is done against it: kept with the version. */
export function AcrylamideLine({ result: { acrylamide } }: { result: BakeResult }) {
  const taken = useFormula().bake.measures ?? [];
  const set = useSet();
  const [open, setOpen] = useState(false);
  const { value, low, high, benchmark, kind } = acrylamide;
  const take = (measure: AcrylamideMeasure, is: boolean) => {
    const measures = acrylamideMeasureIds.filter((id) => (id === measure ? is : taken.includes(id)));
    set('/bake/measures', measures.length > 0 ? (measures as never) : undefined);
  };
  return (
    <Box sx={{ fontSize: typeSize.small, color: 'text.secondary', pt: 1 }} data-testid="acrylamide">
      {t('bake.acrylamideEstimatedAboutValueGKgLow', {
        value: rough(value),
        low: rough(low),
        high: rough(high),
        acrylamideWords: acrylamideWords[kind],
        benchmark,
      })}
      <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)} sx={{ display: 'block', px: 0, minHeight: 26 }}>
        {taken.length > 0 ? t('bake.againstItTakenTaken', { taken: taken.length }) : t('bake.whatIsDoneAgainstIt')}
      </Button>
      <Collapse in={open} unmountOnExit>
        <Box sx={{ display: 'grid' }}>
          {acrylamideMeasureIds.map((id) => (
            <FormControlLabel
              key={id}
              control={<Checkbox size="small" checked={taken.includes(id)} onChange={(_event, is) => take(id, is)} sx={{ py: 0.5 }} />}
              label={acrylamideMeasures[id]}
              slotProps={{ typography: { variant: 'body2' } }}
            />
          ))}
        </Box>
        {t('bake.anOrderOfMagnitudeFromColourWater')}
      </Collapse>
    </Box>
  );
}
