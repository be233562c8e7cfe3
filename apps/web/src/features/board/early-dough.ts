import type { Evaluation } from '@north-leaf/core';
import { create } from 'zustand';

/** The dough of the newest draft that was answered: ahead of the whole by what the later stages take. Null before the first answer. */
export const useEarlyDough = create<{ readonly dough: Evaluation['dough'] | null }>()(() => ({ dough: null }));
