import { fact } from './fact.js';

export const reportMonths = fact(12, 'months', 'judgement', 'a crop a year: a report older than one harvest says little of the next');
