import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { printFonts, tableLayouts, type PrintedDocument } from '@brine/core/record/print';

const require = createRequire(import.meta.url);
/** The folder of all our fonts. */
const fonts = dirname(dirname(require.resolve('@fontsource/barlow/package.json')));

pdfmake.setFonts(
  Object.fromEntries(
    Object.entries(printFonts).map(([face, files]) => [
      face,
      Object.fromEntries(Object.entries(files).map(([style, file]) => [style, `${fonts}/${file}`])),
    ]),
  ),
);
pdfmake.setTableLayouts(tableLayouts);
// Only our own fonts are read, and nothing is fetched, whatever a document names.
pdfmake.setLocalAccessPolicy((path: string) => path.startsWith(`${fonts}/`));
pdfmake.setUrlAccessPolicy(() => false);

/** Prints a document in a thread of the server. */
export async function print(
  document: PrintedDocument,
): Promise<{ readonly bytes: Uint8Array; readonly pages: number }> {
  let pages = 0;
  const footer = (_page: number, count: number) => {
    pages = count;
    return document.footer as Content;
  };
  const bytes = await pdfmake
    .createPdf({ ...document, footer } as unknown as TDocumentDefinitions)
    .getBuffer();
  return { bytes, pages };
}
