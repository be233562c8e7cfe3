import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { blindSheet, chanceOf, criticalRight, seeded, tastersNeeded, type TastingTest } from '@north-leaf/core';
import { typeSize, media } from '../../ui/theme/theme';
import { Section } from '../../ui/frame/section';
import { t } from '../../platform/words';

const tests: Readonly<Record<TastingTest, { readonly name: string; readonly asks: string }>> = {
  triangle: { name: t('trials.threeCupsOneIsAnother'), asks: t('trials.whichIsTheOddOne') },
  paired: { name: t('trials.twoCupsWhichIsCrisper'), asks: t('trials.whichIsCrisper') },
  duoTrio: { name: t('trials.twoCupsWhichIsLikeTheFirst'), asks: t('trials.whichIsLikeTheFirst') },
};
const ALPHA = 0.05;
const whole = (text: string, low: number, high: number): number | null => {
  const n = /^\d+$/.test(text.trim()) ? Number(text) : NaN;
  return n >= low && n <= high ? n : null;
};

/** A blind tasting: how many have to be right, what a result says, and a sheet with numbers that say nothing. */
export function Tasting() {
  const [test, setTest] = useState<TastingTest>('triangle');
  const [people, setPeople] = useState('12');
  const [right, setRight] = useState('');
  const [seed, setSeed] = useState(1);
  const [shown, setShown] = useState(false);
  const n = whole(people, 1, 200);
  const k = n === null || right.trim() === '' ? null : whole(right, 0, n);
  const sides = test === 'paired' ? 'two' : 'one';
  const critical = n === null ? null : criticalRight(test, n, ALPHA, sides);
  const sheet = n === null || !shown ? [] : blindSheet(test, n, seeded(seed));
  const needed = tastersNeeded(test, 0.5, ALPHA, 0.8);
  return (
    <Section title={t('trials.blindTasting')} sx={{ pt: 6 }}>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', pt: 2, alignItems: 'flex-start' }}>
        <TextField
          select
          size="small"
          label={t('trials.test')}
          value={test}
          onChange={({ target }) => setTest(target.value as TastingTest)}
          sx={{ minWidth: 280 }}
        >
          {Object.entries(tests).map(([id, { name }]) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          size="small"
          label={t('trials.people')}
          value={people}
          error={n === null}
          helperText={n === null ? t('trials.peopleAreAWholeNumberFrom1') : ' '}
          onChange={({ target }) => setPeople(target.value)}
          slotProps={{ htmlInput: { inputMode: 'numeric', style: { width: 90 } } }}
        />
        <TextField
          size="small"
          label={sides === 'two' ? t('trials.sayTheOne') : t('trials.right')}
          value={right}
          error={right.trim() !== '' && k === null}
          helperText={right.trim() !== '' && k === null ? t('trials.aWholeNumberFrom0ToN', { n: n ?? 200 }) : ' '}
          onChange={({ target }) => setRight(target.value)}
          slotProps={{ htmlInput: { inputMode: 'numeric', style: { width: 90 } } }}
        />
        <Button variant="outlined" onClick={() => setShown(!shown)} disabled={n === null}>
          {shown ? t('trials.hideTheSheet') : t('trials.blindSheet')}
        </Button>
      </Box>
      <WhatItProves critical={critical} k={k} n={n} needed={needed} sides={sides} test={test} />
      {shown && <BlindSheet seed={seed} setSeed={setSeed} sheet={sheet} test={test} />}
    </Section>
  );
}

/** How many have to be right, and what those who tasted have shown. */
function WhatItProves({
  critical,
  k,
  n,
  needed,
  sides,
  test,
}: {
  readonly critical: number | null;
  readonly k: number | null;
  readonly n: number | null;
  readonly needed: number | null;
  readonly sides: 'one' | 'two';
  readonly test: TastingTest;
}) {
  return (
    <Box role="status" sx={{ fontSize: typeSize.body, lineHeight: '22px' }}>
      {n !== null && (
        <>
          {critical === null
            ? t('trials.withNPeopleEvenAllOfThem', { n })
            : t('trials.criticalOfNHaveToWordChance', { critical, n, word: sides === 'two' ? t('trials.agree') : t('trials.beRight') })}
          {n < (needed ?? Infinity) && needed !== null && t('trials.toFindADifferenceThatHalfOf', { needed })}{' '}
          {t('trials.onePersonTastingNTimesIsOne', { n })}
        </>
      )}
      {k !== null && n !== null && (
        <b>
          {' '}
          {t('trials.kOfNWordChanceTest', {
            k,
            n,
            word:
              critical !== null && (k >= critical || (sides === 'two' && n - k >= critical))
                ? t('trials.theyCanBeToldApart')
                : t('trials.notShownToDiffer'),
            test: percent(chanceOf(test, k, n, sides)),
          })}
        </b>
      )}
    </Box>
  );
}

/** Who gets which cup, for the one who serves. */
function BlindSheet({
  seed,
  setSeed,
  sheet,
  test,
}: {
  readonly seed: number;
  readonly setSeed: (seed: number) => void;
  readonly sheet: readonly { readonly cups: readonly { readonly code: number; readonly is: 'A' | 'B' }[] }[];
  readonly test: TastingTest;
}) {
  return (
    <Box sx={{ pt: 3 }}>
      <Box sx={{ display: 'flex', gap: 2, pb: 2, [media.print]: { display: 'none' } }}>
        <Button size="small" onClick={() => setSeed(seed + 1)}>
          {t('trials.otherNumbers')}
        </Button>
        <Button size="small" onClick={() => window.print()}>
          {t('common.print')}
        </Button>
      </Box>
      <Box
        component="table"
        aria-label={t('trials.blindSheet')}
        sx={{
          fontSize: typeSize.body,
          borderCollapse: 'collapse',
          '& td, & th': { border: 1, borderColor: 'divider', px: 3, py: 1, textAlign: 'left' },
        }}
      >
        <thead>
          <tr>
            <th>{t('trials.taster')}</th>
            <th>{t('trials.cupsInThisOrder')}</th>
            <th>{tests[test].asks}</th>
            <th>{t('trials.keyFoldAway')}</th>
          </tr>
        </thead>
        <tbody>
          {sheet.map(({ cups }, i) => (
            <tr key={cups[0]!.code}>
              <th scope="row">{i + 1}</th>
              <td>{cups.map(({ code }) => code).join('   ')}</td>
              <td />
              <td>{cups.map(({ is }) => is).join(' ')}</td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

const percent = (share: number) => (share < 0.001 ? 'under 0.1 %' : `${(share * 100).toFixed(1)} %`);
