import type { Key, Values } from '@north-leaf/words';
import { voiceNow } from './preferences';

/**
 * A sentence of the catalogue, in this baker's language. A language is chosen before a page is loaded, so lists of words at the
 * top of a file may be said with it too; numbers come in as they are to be read, shown by a voice.
 */
export const t = (key: Key, values?: Values): string => voiceNow().say(key, values);
