import { useEffect, useId, useRef, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import type PlotlyType from 'plotly.js';
import { typeSize } from '../theme/theme';
import { t } from '../../platform/words';

type Props = {
  /** One sentence that says what the picture shows. */ readonly summary: string;
  readonly data: readonly Partial<PlotlyType.PlotData>[];
  readonly layout: Partial<PlotlyType.Layout>;
  readonly height: number;
  /** The same numbers, for who cannot see the picture. */ readonly columns: readonly {
    readonly name: string;
    readonly values: readonly number[];
    readonly digits?: number;
  }[];
};

/** A curve chart: loaded only when one is shown, drawn in the theme's type and colours, with its numbers behind a button. */
export function Plot({ summary, data, layout, height, columns }: Props) {
  const box = useDrawn({ data, layout, height });
  const [numbers, setNumbers] = useState(false);
  const tableId = useId();
  return (
    <Box>
      <Box ref={box} role="img" aria-label={summary} sx={{ minHeight: height, contain: 'inline-size', overflow: 'hidden' }} />
      <Button
        size="small"
        onClick={() => setNumbers(!numbers)}
        aria-expanded={numbers}
        aria-controls={tableId}
        sx={{ minHeight: 24, p: 0, fontSize: typeSize.caption }}
      >
        {numbers ? t('ui.hideNumbers') : t('ui.showNumbers')}
      </Button>
      {numbers && (
        <Box id={tableId} tabIndex={0} sx={{ maxHeight: 220, overflow: 'auto', fontSize: typeSize.caption }}>
          <table>
            <thead>
              <tr>
                {columns.map(({ name }) => (
                  <th key={name} style={{ textAlign: 'right', padding: '0 8px' }}>
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {columns[0]!.values.map((_, i) => (
                <tr key={i}>
                  {columns.map(({ name, values, digits = 1 }) => (
                    <td key={name} style={{ textAlign: 'right', padding: '0 8px' }}>
                      {values[i]?.toFixed(digits)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </Box>
      )}
    </Box>
  );
}

/** The picture, drawn again when what is drawn changes. */
function useDrawn({ data, layout, height }: Pick<Props, 'data' | 'layout' | 'height'>) {
  const { palette, typography } = useTheme();
  const box = useRef<HTMLDivElement>(null);
  // Its width is the room's, never the other way round: the library writes pixels, and a grid would grow to keep them.
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const at = box.current;
    if (!at) return;
    const watch = new ResizeObserver(() => setWidth(at.clientWidth));
    watch.observe(at);
    return () => watch.disconnect();
  }, []);
  useEffect(() => {
    let gone = false;
    void import('./plotly').then(({ Plotly }) => {
      if (gone || !box.current || width === 0) return;
      const axis = {
        gridcolor: palette.divider,
        linecolor: palette.leaf.edge,
        zeroline: false,
        tickfont: { size: typeSize.caption },
        fixedrange: true,
        automargin: true,
        title: { font: { size: typeSize.caption } },
      };
      void Plotly.react(
        box.current,
        data as PlotlyType.Data[],
        {
          width,
          height,
          margin: { t: 24, r: 12, b: 34, l: 40 },
          paper_bgcolor: 'rgba(0,0,0,0)',
          plot_bgcolor: 'rgba(0,0,0,0)',
          font: { family: typography.fontFamily as string, size: typeSize.caption, color: palette.text.primary },
          showlegend: false,
          hovermode: 'x unified',
          ...layout,
          xaxis: { ...axis, ...layout.xaxis, title: { ...axis.title, ...(layout.xaxis?.title as object | undefined) } },
          yaxis: { ...axis, ...layout.yaxis },
          ...(layout.yaxis2 ? { yaxis2: { ...axis, ...layout.yaxis2 } } : {}),
        } as Partial<PlotlyType.Layout>,
        { displayModeBar: false, scrollZoom: false, doubleClick: false },
      );
    });
    return () => {
      gone = true;
    };
  }, [data, layout, width, height, palette, typography]);
  return box;
}
