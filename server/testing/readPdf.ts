import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** Pages, text and the smallest type (pt) of a PDF, read by a program that did not write it. */
export async function readPdf(
  bytes: Uint8Array,
): Promise<{ readonly pages: number; readonly text: string; readonly smallest: number }> {
  const task = getDocument({ data: bytes.slice(), useSystemFonts: false, verbosity: 0 });
  const document = await task.promise;
  const parts: string[] = [];
  let smallest = Infinity;
  for (let n = 1; n <= document.numPages; n += 1) {
    const content = await (await document.getPage(n)).getTextContent();
    for (const item of content.items)
      if ('str' in item && item.str.trim() !== '')
        smallest = Math.min(smallest, Math.hypot(item.transform[2] as number, item.transform[3] as number));
    parts.push(content.items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  const pages = document.numPages;
  await task.destroy();
  return {
    pages,
    smallest: Math.round(smallest * 100) / 100,
    text: parts.join('\n').replace(/\s+/g, ' ').replaceAll('- ', '-'),
  };
}
