import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { families, firstMinutes, showDuration } from '@north-leaf/core';
import { Note } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { t } from '../../../platform/words';
import { FamilyDrawing } from '../../../ui/drawing/family-drawing';

/** What is soonest in the hand comes first. */
const inOrder = Object.values(families).toSorted((a, b) => (firstMinutes[a.id]?.outMin ?? 0) - (firstMinutes[b.id]?.outMin ?? 0));

/** Families as goods, with what each asks of hands and of the clock. */
export function FamilyPicker({ familyId, onChoose }: { readonly familyId: string; readonly onChoose: (familyId: string) => void }) {
  return (
    <Box sx={{ gridColumn: '1 / -1', display: 'grid', gap: 2 }}>
      <Note size="small">{t('workspace.goodsSoonestFirst')}</Note>
      <Box
        role="group"
        aria-label={t('workspace.whatToMake')}
        sx={{ display: 'grid', gap: 2, gridTemplateColumns: 'repeat(auto-fill, minmax(158px, 1fr))' }}
      >
        {inOrder.map(({ id, name }) => (
          <OneGood key={id} id={id} name={name} chosen={id === familyId} onChoose={onChoose} />
        ))}
      </Box>
    </Box>
  );
}

type GoodProps = { readonly id: string; readonly name: string; readonly chosen: boolean; readonly onChoose: (familyId: string) => void };

function OneGood({ id, name, chosen, onChoose }: GoodProps) {
  const asks = firstMinutes[id];
  return (
    <ButtonBase
      aria-pressed={chosen}
      onClick={() => onChoose(id)}
      sx={{
        display: 'grid',
        gap: 1,
        justifyItems: 'start',
        alignContent: 'start',
        textAlign: 'left',
        p: 2,
        borderRadius: '8px',
        border: 1,
        borderColor: chosen ? 'primary.main' : 'divider',
        ...(chosen ? { bgcolor: 'action.selected', boxShadow: ({ palette }) => `inset 0 0 0 1px ${palette.primary.main}` } : {}),
      }}
    >
      <FamilyDrawing familyId={id} />
      <Box sx={{ fontWeight: 650, fontSize: typeSize.body, lineHeight: '17px' }}>{name}</Box>
      {asks && (
        <Note>
          {t('workspace.ofHands', { hands: showDuration(about(asks.handsMin)) })}
          <br />
          {t('workspace.bakedAfter', { out: showDuration(about(asks.outMin)) })}
        </Note>
      )}
    </ButtonBase>
  );
}

/** Minutes of hands are a judgement: to five, above two hours to a quarter. */
const about = (min: number): number => (min > 120 ? Math.round(min / 15) * 15 : Math.max(5, Math.round(min / 5) * 5));
