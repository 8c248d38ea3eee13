import type { LetterReader } from '@brine/core/controllers/pages';
import { drawn } from './photoPage.ts';

/** Where the build and the server put the parts of the reader of letters. */
const PARTS = '/letters';
/** One block of text of even size; and dots an inch, which a canvas does not say. */
const ONE_BLOCK = '6';
const DOTS = '300';

/** A reader of letters in a worker of its own. */
export interface OpenReader {
  readonly read: LetterReader;
  close(): void;
}

/**
 * Starts the reader of letters; its worker, core and English are loaded from our own address, and only now.
 *
 * @throws Error with a sentence where this browser cannot run it
 */
export async function openLetterReader(): Promise<OpenReader> {
  const { createWorker } = await import('tesseract.js');
  const place = `${location.origin}${PARTS}`;
  const worker = await createWorker('eng', 1, {
    workerPath: `${place}/worker.min.js`,
    corePath: place,
    langPath: place,
    workerBlobURL: false,
    gzip: true,
    cacheMethod: 'none',
    errorHandler: () => undefined,
  }).catch(() => {
    throw new Error('This browser cannot read photographs. Paste the table, or choose the booklet as a PDF.');
  });
  return {
    read: async (picture, signs) => {
      await worker.setParameters({
        tessedit_pageseg_mode: ONE_BLOCK as never,
        user_defined_dpi: DOTS,
        tessedit_char_whitelist: signs ?? '',
      });
      const { data } = await worker.recognize(drawn(picture), {}, { blocks: true, text: false });
      return (data.blocks ?? []).flatMap((block) =>
        block.paragraphs.flatMap((paragraph) =>
          paragraph.lines.flatMap((line) =>
            line.words.map(({ text, bbox }) => ({
              text,
              x: bbox.x0,
              y: bbox.y0,
              width: bbox.x1 - bbox.x0,
              height: bbox.y1 - bbox.y0,
            })),
          ),
        ),
      );
    },
    close: () => void worker.terminate(),
  };
}
