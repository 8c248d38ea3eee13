// How soon pages are usable on a slow phone, against the bounds: `npm run slow-phone`.
import { playOnPages } from './lib/onPages.mjs';

await playOnPages('e2e/zz_wf.ts');
