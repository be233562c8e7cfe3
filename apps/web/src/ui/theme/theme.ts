import { createTheme, type Theme } from '@mui/material/styles';
import tokens from './theme-tokens.json';

export type Face = 'light' | 'dark';
type Leaf = typeof tokens.palette.light.leaf;
type Make = typeof tokens.palette.light.make;

declare module '@mui/material/styles' {
  interface Palette {
    leaf: Leaf;
    make: Make;
    onMake: Make;
  }
  interface PaletteOptions {
    leaf?: Leaf;
    make?: Make;
    onMake?: Make;
  }
}

export const crustTones: readonly string[] = tokens.crustTone;
export const sizes = tokens.size;
/** Sizes of type, from a tick of a chart to the number of a scale read at arm's length. px. No other is written anywhere. */
export const typeSize = tokens.typography.scale;

// The library's own names stay for its dialogs; ours say what happens there.
const values = { xs: 0, sm: 600, md: tokens.breakpoints.phone, lg: tokens.breakpoints.desk, xl: 1536 };
const { breakpoints } = createTheme({ breakpoints: { values } });
/** Widths under which a page turns into another: two columns to one, a desk's boards above each other, a phone's. */
export const under = {
  slim: breakpoints.down(tokens.breakpoints.slim),
  phone: breakpoints.down('md'),
  split: breakpoints.down(tokens.breakpoints.split),
  desk: breakpoints.down('lg'),
} as const;
/** What else a page may ask of where it is shown. */
export const media = {
  coarse: '@media (pointer: coarse)',
  print: '@media print',
  still: '@media (prefers-reduced-motion: reduce)',
} as const;

/** The desk theme in one of its two faces. Colours, type and shape come from theme-tokens.json alone. */
export function northLeafTheme(face: Face): Theme {
  const palette = tokens.palette[face];
  const { desk } = tokens.typography;
  return createTheme({
    breakpoints: { values },
    palette: palette as never,
    shape: { borderRadius: tokens.shape.borderRadius },
    spacing: tokens.spacing.unit,
    typography: {
      fontFamily: tokens.typography.fontFamily,
      fontSize: typeSize.body,
      h1: { fontSize: desk.h1[0], lineHeight: `${desk.h1[1]}px`, fontWeight: 680, letterSpacing: '-0.2px' },
      h2: { fontSize: desk.h2[0], lineHeight: `${desk.h2[1]}px`, fontWeight: 680 },
      h3: { fontSize: desk.h3[0], lineHeight: `${desk.h3[1]}px`, fontWeight: 680 },
      body1: { fontSize: desk.body[0], lineHeight: `${desk.body[1]}px` },
      body2: { fontSize: desk.small[0], lineHeight: `${desk.small[1]}px` },
      caption: { fontSize: desk.caption[0], lineHeight: `${desk.caption[1]}px` },
      button: { textTransform: 'none', fontWeight: 650, fontSize: typeSize.body },
    },
    components: {
      MuiCssBaseline: {
        styleOverrides: {
          body: { fontVariantNumeric: 'tabular-nums' },
          // An outlined field shows its focus by its border already.
          '.MuiOutlinedInput-root .MuiOutlinedInput-input:focus-visible': { outline: 'none !important' },
          '*:focus-visible': { outline: `3px solid ${palette.text.primary} !important`, outlineOffset: '2px !important' },
          [media.still]: { '*': { transition: 'none !important', animation: 'none !important' } },
        },
      },
      MuiButtonBase: { defaultProps: { disableRipple: true }, styleOverrides: { root: { fontFamily: 'inherit' } } },
      MuiButton: {
        defaultProps: { disableElevation: true },
        styleOverrides: {
          root: { minHeight: 34, padding: '0 14px', borderRadius: 8, whiteSpace: 'nowrap', [media.coarse]: { minHeight: 48 } },
          outlined: { borderColor: palette.leaf.edge, backgroundColor: palette.background.paper },
        },
      },
      MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
      MuiToggleButton: {
        styleOverrides: {
          root: {
            height: 30,
            padding: '0 11px',
            textTransform: 'none',
            whiteSpace: 'nowrap',
            fontSize: typeSize.small,
            fontWeight: 600,
            borderColor: palette.leaf.edge,
            color: palette.text.secondary,
            backgroundColor: palette.background.paper,
            [media.coarse]: { height: 48 },
            '&.Mui-selected': {
              backgroundColor: palette.leaf.firSoft,
              color: palette.primary.main,
              fontWeight: 700,
              boxShadow: `inset 0 3px 0 ${palette.primary.main}`,
            },
          },
        },
      },
      MuiOutlinedInput: {
        styleOverrides: {
          root: { borderRadius: 6 },
          input: { padding: '4px 8px', height: 22, fontVariantNumeric: 'tabular-nums', [media.coarse]: { height: 40 } },
          notchedOutline: { borderColor: palette.leaf.edge },
        },
      },
      // The field is lower than the library's own: its label, while it stands in the field, moves up with it.
      MuiInputLabel: { styleOverrides: { sizeSmall: { '&:not(.MuiInputLabel-shrink)': { transform: 'translate(10px, 5px) scale(1)' } } } },
      MuiTableCell: {
        styleOverrides: {
          root: { padding: '0 6px', height: tokens.size.rowDesk, fontSize: typeSize.body, borderColor: palette.divider },
          head: { color: palette.text.secondary, fontWeight: 600, fontSize: typeSize.caption, borderColor: palette.leaf.edge },
        },
      },
      MuiTooltip: { styleOverrides: { tooltip: { fontSize: typeSize.caption } } },
    },
  });
}
