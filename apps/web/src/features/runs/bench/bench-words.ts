import { t } from '../../../platform/words';
/** `18 min`, in the last two minutes `1:48`, and `3 min over`. */
export function leftWords(ms: number): string {
  if (ms <= -60_000) return t('runs.msMinOver', { ms: Math.floor(-ms / 60_000) });
  if (ms <= 0) return t('common.now');
  if (ms <= 120_000) return `${Math.floor(ms / 60_000)}:${String(Math.floor((ms % 60_000) / 1000)).padStart(2, '0')}`;
  // A second is no minute: two clocks of one page may be that far apart.
  const min = Math.ceil((ms - 1000) / 60_000);
  return min < 60 ? t('common.minMin', { min }) : `${Math.floor(min / 60)} h ${String(min % 60).padStart(2, '0')}`;
}
