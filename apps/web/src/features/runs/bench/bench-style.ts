/** Sizes of the bench: for floury hands, read at arm's length. */
export const bench = {
  top: 64,
  shelf: 88,
  back: 104,
  next: 132,
  press: 64,
  title: { fontSize: 38, lineHeight: '46px', fontWeight: 700, '@media (max-width: 899px)': { fontSize: 26, lineHeight: '32px' } },
  text: { fontSize: 24, lineHeight: '32px', '@media (max-width: 899px)': { fontSize: 18, lineHeight: '25px' } },
  button: { minHeight: 64, fontSize: 24, px: 5, borderWidth: 2, '@media (max-width: 899px)': { fontSize: 18, px: 3, minHeight: 56 } },
  number: { fontSize: 150, lineHeight: '150px', fontWeight: 720, '@media (max-width: 899px)': { fontSize: 96, lineHeight: '96px' } },
  phone: '@media (max-width: 899px)',
} as const;
