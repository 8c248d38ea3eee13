import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Browser } from 'puppeteer-core';

const require = createRequire(import.meta.url);

/** A PNG of the first page of a PDF, drawn by pdf.js in a page of its own. */
export async function pdfPicture(browser: Browser, pdf: Uint8Array, scale = 1.4): Promise<Uint8Array> {
  const page = await browser.newPage();
  const library = readFileSync(require.resolve('pdfjs-dist/build/pdf.min.mjs'), 'utf8');
  const worker = readFileSync(require.resolve('pdfjs-dist/build/pdf.worker.min.mjs'), 'utf8');
  const dataUrl = await page.evaluate(
    async (code, workerCode, bytes, zoom) => {
      // No named inner function: the loader would wrap it in a helper this page has not.
      const [main, side] = [code, workerCode].map((text) =>
        URL.createObjectURL(new Blob([text], { type: 'text/javascript' })),
      );
      const pdfjs = await import(main!);
      pdfjs.GlobalWorkerOptions.workerSrc = side;
      const document_ = await pdfjs.getDocument({ data: new Uint8Array(bytes) }).promise;
      const sheet = await document_.getPage(1);
      const viewport = sheet.getViewport({ scale: zoom });
      const canvas = document.createElement('canvas');
      canvas.width = viewport.width;
      canvas.height = viewport.height;
      await sheet.render({ canvasContext: canvas.getContext('2d')!, viewport }).promise;
      return canvas.toDataURL('image/png');
    },
    library,
    worker,
    [...pdf],
    scale,
  );
  await page.close();
  return Buffer.from(dataUrl.slice(dataUrl.indexOf(',') + 1), 'base64');
}
