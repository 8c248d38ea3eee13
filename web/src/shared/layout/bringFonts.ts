import { requestsUnderWay } from '../api/underWay.ts';
import { whenIdle } from './quiet.ts';

/** Set once the letters were loaded: `early.js` then has them from the beginning. */
export const LETTERS_HERE = 'brine-letters';
const LOOK_MS = 50;

/**
 * Loads the letters: at once where the device has them, else after the page's own data, since on a slow line they take as long as a page. Until then it is read in the device's own.
 *
 * @param ready resolves once the first page is there
 * @param load loads their style sheet
 */
export async function bringFonts(ready: Promise<unknown>, load: () => Promise<unknown>): Promise<void> {
  if (localStorage.getItem(LETTERS_HERE) === null) {
    await ready;
    // A page asks in the moment after it was drawn, and a slow phone computes for a while before it asks for more.
    do {
      await new Promise((done) => setTimeout(done, LOOK_MS));
      await whenIdle();
    } while (requestsUnderWay() > 0);
  }
  await load();
  await document.fonts.ready;
  localStorage.setItem(LETTERS_HERE, 'yes');
}
