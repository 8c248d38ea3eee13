import type { PDFDocumentLoadingTask } from 'pdfjs-dist';

/** Begins to read a PDF, with the library and its worker loaded only now, from our own address. */
export async function readingPdf(bytes: ArrayBuffer): Promise<PDFDocumentLoadingTask> {
  const [pdfjs, { default: worker }] = await Promise.all([
    import('pdfjs-dist/legacy/build/pdf.mjs'),
    import('pdfjs-dist/legacy/build/pdf.worker.min.mjs?url'),
  ]);
  pdfjs.GlobalWorkerOptions.workerSrc = worker;
  return pdfjs.getDocument({
    data: new Uint8Array(bytes),
    isEvalSupported: false,
    useSystemFonts: true,
    verbosity: 0,
  });
}
