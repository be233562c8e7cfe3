import { table } from './fact.js';

export const fromWheat = table(
  {
    quickShare: 0.93,
    pastryPoints: 3,
    cookiePoints: 3,
    powderTimes: 1.2,
    freeSodaPercent: 0.2,
    saltPercent: 0.1,
    sugarPercent: 2,
    restMin: 30,
    trialShare: 0.25,
  },
  'share, points of blend, points, times, percent of blend, percent, percent, min, share',
  'fromMemory',
  'gluten-free baking handbooks and practice, from memory: blend at the wheat’s mass (90 to 95 % in cake-like goods), water by the family’s rule, powder a fifth more, a rest of 30 min, a quarter batch first',
);
