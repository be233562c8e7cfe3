import { typeSize, under } from '../../../ui/theme/theme';
/** Sizes of the bench: for floury hands, read at arm's length. */
export const bench = {
  top: 64,
  shelf: 88,
  back: 104,
  next: 132,
  press: 64,
  title: { fontSize: typeSize.title, lineHeight: '46px', fontWeight: 700, [under.phone]: { fontSize: typeSize.field, lineHeight: '32px' } },
  text: { fontSize: typeSize.bench, lineHeight: '32px', [under.phone]: { fontSize: typeSize.action, lineHeight: '25px' } },
  button: {
    minHeight: 64,
    fontSize: typeSize.bench,
    px: 5,
    borderWidth: 2,
    [under.phone]: { fontSize: typeSize.action, px: 3, minHeight: 56 },
  },
  /** What rings lies over the bench, in its middle. */
  card: {
    position: 'fixed',
    left: '50%',
    transform: 'translateX(-50%)',
    width: 'min(720px, calc(100vw - 32px))',
    bgcolor: 'background.paper',
    border: 3,
    borderColor: 'leaf.heat',
    borderRadius: '12px',
    display: 'grid',
  },
  number: {
    fontSize: typeSize.scale,
    lineHeight: '150px',
    fontWeight: 720,
    [under.phone]: { fontSize: typeSize.scalePhone, lineHeight: '96px' },
  },
} as const;
