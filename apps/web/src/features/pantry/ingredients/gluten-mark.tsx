import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import type { GlutenProof, Lot, StageState } from '@north-leaf/core';
import { Note } from '../../../ui/frame/note';
import { Leaf } from '../../../ui/frame/leaf';
import { showDay } from '../../../ui/words/money';
import { t } from '../../../platform/words';

const states: Partial<Record<GlutenProof, StageState>> = {
  proven: 'good',
  certified: 'good',
  old: 'watch',
  over: 'fix',
  noReport: 'fix',
  notInMarket: 'fix',
  contains: 'fix',
};

/** What is known of a lot's gluten: mark, value, day. "No grain in it" has a hollow mark of its own: it is no proof. */
export function GlutenMark({ proof, lot, on }: { proof: GlutenProof; lot: Lot | undefined; on: string }) {
  const { palette } = useTheme();
  const state = states[proof];
  const { report, certificate } = lot ?? {};
  const said: Record<GlutenProof, string> = {
    proven: report ? `${report.below ? '< ' : ''}${report.mgPerKg}` : '',
    old: report ? t('pantry.wordMgperOldReport', { word: report.below ? '< ' : '', mgPer: report.mgPerKg }) : '',
    over: report
      ? report.below
        ? t('pantry.mgperNotShownToBeUnderYours', { mgPer: report.mgPerKg })
        : t('pantry.mgperOverYourLimit', { mgPer: report.mgPerKg })
      : '',
    certified: certificate ? t('pantry.certificateNumber', { number: certificate.number }) : '',
    onBag: t('pantry.certifiedOnTheBag'),
    lookAtBag: t('pantry.lookAtTheBag'),
    notInMarket: t('pantry.notInYourMarket'),
    noReport: certificate ? t('pantry.certificateEnded') : t('common.noReport'),
    noGrain: t('pantry.noGrainInItNoReport'),
    accepted: t('pantry.acceptedWithoutReport'),
    contains: t('common.containsGluten'),
  };
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
      {state ? (
        <Leaf state={state} size={20} />
      ) : (
        <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden>
          <circle
            cx="10"
            cy="10"
            r="6"
            fill={proof === 'accepted' || proof === 'onBag' ? palette.leaf.well : 'none'}
            stroke={palette.text.secondary}
            strokeWidth="1.6"
          />
        </svg>
      )}
      <Box sx={{ lineHeight: '17px' }}>
        <Box sx={{ fontWeight: state === 'fix' ? 700 : 600, color: state === 'fix' ? 'error.main' : 'text.primary' }}>{said[proof]}</Box>
        {report && <Note>{showDay(report.on, on)}</Note>}
        {!report && certificate && <Note>{t('pantry.untilUntil', { until: showDay(certificate.until, on) })}</Note>}
      </Box>
    </Box>
  );
}
