import { memo } from 'react';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useTheme } from '@mui/material/styles';
import { figureOf, type CutShape, type CutWay, showQuantity } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences, useVoice } from '../../platform/preferences';
import { setValue, useDraft, newKey } from '../formulas/doors';
import { cutWords, useCutWays, type DrawnSheet } from './sheet-plan';
import { t } from '../../platform/words';

/** The same dough cut otherwise: what comes out, and what is left over. */
export const Ways = memo(function Ways({ drawn }: { drawn: DrawnSheet | null }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  const ways = useCutWays(drawn);
  if (ways.length < 2) return null;
  const choose = ({ shape }: CutWay) => useDraft.getState().edit(`cut:${newKey()}`, setValue('/sheet/parts/0/shape', shape as never));
  return (
    <Box
      role="group"
      aria-label={t('sheet.waysToCut')}
      sx={{ border: `1px solid ${palette.divider}`, borderRadius: '8px', overflow: 'hidden', mt: 1 }}
    >
      {ways.map((way, i) => (
        <ButtonBase
          key={i}
          aria-pressed={way.own}
          onClick={() => !way.own && choose(way)}
          sx={{
            width: '100%',
            display: 'grid',
            gridTemplateColumns: '24px 1fr auto',
            gap: 2,
            alignItems: 'center',
            textAlign: 'left',
            px: 2,
            py: 0.75,
            minHeight: 36,
            bgcolor: way.own ? palette.leaf.firSoft : undefined,
            borderTop: i > 0 ? `1px solid ${palette.divider}` : undefined,
          }}
        >
          <Glyph shape={way.shape} />
          <Box sx={{ fontSize: typeSize.small, lineHeight: '17px' }}>
            <b>{cutWords(way.shape, voice)}</b>
            <Note>
              {t('sheet.scrapLeftOver', { scrap: showQuantity(way.scrapG, 'mass', units) })}
              {way.cutter !== undefined && `, ${way.cutter}`}
            </Note>
          </Box>
          <Box sx={{ fontWeight: 680, fontSize: typeSize.body, textAlign: 'right' }}>
            {way.pieces - way.fromScraps}
            {way.fromScraps > 0 && ` + ${way.fromScraps}`}
            <Box sx={{ fontWeight: 400, fontSize: typeSize.caption, color: 'text.secondary' }}>
              {showQuantity(way.pieceG, 'mass', units)}
            </Box>
          </Box>
        </ButtonBase>
      ))}
    </Box>
  );
});

function Glyph({ shape }: { shape: CutShape }) {
  const { palette } = useTheme();
  const { path, widthMm, lengthMm } = figureOf(shape, 'shape');
  const scale = 18 / Math.max(widthMm, lengthMm);
  return (
    <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
      <path
        d={path}
        transform={`translate(${11 - (widthMm * scale) / 2} ${11 - (lengthMm * scale) / 2}) scale(${scale})`}
        fill="none"
        stroke={palette.text.primary}
        strokeWidth="1.5"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}
