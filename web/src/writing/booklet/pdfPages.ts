import type { PDFDocumentProxy } from 'pdfjs-dist';
import { pdfPieces } from '@brine/core/controllers/pages';
import { readingPdf } from '../../shared/pdf/pdfLibrary.ts';
import { jpegOf } from '../../shared/pictures/canvas.ts';
import type { KeptPage } from './bookletStorage.ts';
import { unlessStopped, type Reading } from './reading.ts';

/** Most pages of one booklet. */
const MOST_PAGES = 400;
/** Pixels a point when a page is drawn to be looked at, and to be read as a picture (200 dots an inch). */
const TO_LOOK_AT = 1.6;
const TO_READ = 200 / 72;

/** A booklet as a PDF: the words on its pages from its text layer, and pictures of the pages. */
export interface OpenPdf {
  readonly pages: readonly KeptPage[];
  draw(page: number, forReading?: boolean): Promise<HTMLCanvasElement>;
  picture(page: number): Promise<Blob>;
  close(): void;
}

/**
 * Opens a PDF and reads the text layer of all its pages. A page without one, a scan, has null pieces.
 *
 * @throws Error with a sentence where the file is no PDF, is locked, or has too many pages
 */
export async function openPdf(file: File, reading: Reading): Promise<OpenPdf> {
  const { name } = file;
  const task = await readingPdf(await file.arrayBuffer());
  let pdf: PDFDocumentProxy;
  try {
    pdf = await task.promise;
  } catch (error) {
    throw new Error(
      (error as Error).name === 'PasswordException'
        ? `${name} is locked with a password; expected a PDF that opens without one`
        : `${name} cannot be read as a PDF: it is damaged or something else`,
    );
  }
  if (pdf.numPages > MOST_PAGES) {
    void task.destroy();
    throw new Error(`${name} has ${pdf.numPages} pages; expected at most ${MOST_PAGES}`);
  }
  const pages: KeptPage[] = [];
  try {
    for (let number = 1; number <= pdf.numPages; number++) {
      unlessStopped(reading);
      const page = await pdf.getPage(number);
      const view = page.getViewport({ scale: 1 });
      const pieces = pdfPieces((await page.getTextContent()).items, view);
      pages.push({
        page: number,
        width: view.width,
        height: view.height,
        pieces: pieces.length === 0 ? null : pieces,
        picture: null,
        rows: 0,
      });
      reading.progress(`Reading page ${number} of ${pdf.numPages}`, number, pdf.numPages);
    }
  } catch (error) {
    void task.destroy();
    throw error;
  }
  const draw = async (number: number, forReading = false) => {
    const page = await pdf.getPage(number);
    const viewport = page.getViewport({ scale: forReading ? TO_READ : TO_LOOK_AT });
    const canvas = document.createElement('canvas');
    canvas.width = Math.ceil(viewport.width);
    canvas.height = Math.ceil(viewport.height);
    await page.render({ canvasContext: canvas.getContext('2d')!, viewport }).promise;
    return canvas;
  };
  return {
    pages,
    draw,
    picture: async (number) => jpegOf(await draw(number)),
    close: () => void task.destroy(),
  };
}
