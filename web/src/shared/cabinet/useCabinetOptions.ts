import { useLocalStorage } from '@vueuse/core';

/** How somebody holds and hears the cabinet mode; kept on the device. */
export interface CabinetOptions {
  /** The hand whose thumb answers. */
  hand: 'right' | 'left';
  /** A tone and a buzz when the menu closes or a timer ends. */
  sound: boolean;
  /** The strokes are read aloud, where the device has a voice of its own. */
  aloud: boolean;
}

const usual: CabinetOptions = { hand: 'right', sound: true, aloud: false };

export const useCabinetOptions = () =>
  useLocalStorage<CabinetOptions>('brine-cabinet', usual, { mergeDefaults: true });
