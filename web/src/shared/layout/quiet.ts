import { requestsUnderWay } from '../api/underWay.ts';

/** How long nothing was asked of the server before a page counts as quiet, ms. */
const QUIET_MS = 1500;
const LOOK_MS = 250;

/** Resolves once the page stands with its own data: it is loaded, nothing was asked of the server for a moment, and the browser has time. */
export async function whenQuiet(): Promise<void> {
  let since = performance.now();
  while (performance.now() - since < QUIET_MS) {
    await new Promise((done) => setTimeout(done, LOOK_MS));
    if (document.readyState !== 'complete' || requestsUnderWay() > 0) since = performance.now();
  }
  await whenIdle();
}

/** Resolves once the browser has time, or after a while all the same. */
export function whenIdle(): Promise<void> {
  return new Promise((done) => {
    // Not every browser has it.
    if ('requestIdleCallback' in window) requestIdleCallback(() => done(), { timeout: QUIET_MS });
    else done();
  });
}
