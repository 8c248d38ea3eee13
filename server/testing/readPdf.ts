import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** Pages and text of a PDF, read by a program that did not write it. */
export async function readPdf(bytes: Uint8Array): Promise<{ readonly pages: number; readonly text: string }> {
  const task = getDocument({ data: bytes.slice(), useSystemFonts: false, verbosity: 0 });
  const document = await task.promise;
  const parts: string[] = [];
  for (let n = 1; n <= document.numPages; n += 1) {
    const content = await (await document.getPage(n)).getTextContent();
    parts.push(content.items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  const pages = document.numPages;
  await task.destroy();
  return { pages, text: parts.join('\n').replace(/\s+/g, ' ').replaceAll('- ', '-') };
}
