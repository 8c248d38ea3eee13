// Takes the pictures of docs/screenshots/ anew, from the demo data only: `npm run screenshots`.
import { playOnPages } from './lib/onPages.mjs';

await playOnPages('e2e/screenshots.ts', ...process.argv.slice(2));
