import type { KeypadLocked } from '@brine/contract/entries';
import { yesNoWords } from './yesNoWords.ts';
import type { KindOfEntry } from './kind.ts';

export const keypadLocked: KindOfEntry<KeypadLocked> = {
  key: () => 'keypadLocked',
  about: () => 'Keypad locked',
  says: (body) => yesNoWords(body.locked),
};
