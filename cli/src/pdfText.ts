import { layOut, pdfPieces, type BookletPage } from '@brine/core/controllers/pages';
import { Refusal } from './args.ts';
import { readBytes } from './files.ts';

/**
 * The text of a PDF's parameter table, laid out in cells from the places of its words; all pages are read.
 *
 * @throws Refusal where the file is no PDF, is locked, or holds pictures alone
 */
export async function pdfText(path: string): Promise<string> {
  // Loaded only here: no other command reads PDF.
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const data = new Uint8Array(readBytes(path));
  const task = getDocument({ data, isEvalSupported: false, useSystemFonts: true, verbosity: 0 });
  try {
    const pdf = await task.promise;
    const pages: BookletPage[] = [];
    for (let number = 1; number <= pdf.numPages; number++) {
      const page = await pdf.getPage(number);
      const { items } = await page.getTextContent();
      pages.push({ page: number, pieces: pdfPieces(items, page.getViewport({ scale: 1 })) });
    }
    if (pages.every(({ pieces }) => pieces.length === 0))
      throw new Refusal(`${path}: its pages are pictures without text; expected a PDF with a text layer`);
    return layOut(pages).text;
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw new Refusal(
      (error as Error).name === 'PasswordException'
        ? `${path}: locked with a password; expected a PDF that opens without one`
        : `${path}: cannot be read as a PDF`,
    );
  } finally {
    await task.destroy();
  }
}
