import { printFonts, tableLayouts, type Printer } from '@brine/core/record/print';
// The files of the fonts, served from our own address and kept on the device with the program.
import barlow400 from '@fontsource/barlow/files/barlow-latin-400-normal.woff?url';
import barlow600 from '@fontsource/barlow/files/barlow-latin-600-normal.woff?url';
import barlow400i from '@fontsource/barlow/files/barlow-latin-400-italic.woff?url';
import barlow600i from '@fontsource/barlow/files/barlow-latin-600-italic.woff?url';
import condensed500 from '@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-500-normal.woff?url';
import condensed700 from '@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-700-normal.woff?url';
import mono400 from '@fontsource/spline-sans-mono/files/spline-sans-mono-latin-400-normal.woff?url';
import mono600 from '@fontsource/spline-sans-mono/files/spline-sans-mono-latin-600-normal.woff?url';

const files = [barlow400, barlow600, barlow400i, barlow600i, condensed500, condensed700, mono400, mono600];

/** Where a font of the packages lies in the built program. */
function addressOfFont(file: string): string {
  const name = file.slice(file.lastIndexOf('/') + 1).replace('.woff', '');
  const found = files.find((address) => address.includes(name));
  if (!found) throw new Error(`${file}: not among the fonts of the sheet`);
  return new URL(found, location.href).href;
}

/** The printer of this device. */
export async function devicePrinter(): Promise<Printer> {
  const { default: pdfMake } = await import('pdfmake/build/pdfmake.js');
  pdfMake.setFonts(
    Object.fromEntries(
      Object.entries(printFonts).map(([face, styles]) => [
        face,
        Object.fromEntries(Object.entries(styles).map(([style, file]) => [style, addressOfFont(file)])),
      ]),
    ),
  );
  pdfMake.setTableLayouts(tableLayouts);
  // Our own fonts alone are fetched, whatever a document names.
  pdfMake.setUrlAccessPolicy((url) => new URL(url, location.href).origin === location.origin);
  return async (document) => {
    let pages = 0;
    const footer = (_page: number, count: number) => {
      pages = count;
      return document.footer;
    };
    const bytes = await pdfMake.createPdf({ ...document, footer }).getBuffer();
    return { bytes: new Uint8Array(bytes), pages };
  };
}
