/** A word or a line of text on a page of a test, points from the top left corner. */
export interface PdfText {
  readonly text: string;
  readonly x: number;
  readonly y: number;
}

/**
 * A PDF with text at places, written out by hand after ISO 32000-1: a catalogue, pages, one of the standard fonts, and a stream of text operators a page. Letters of Latin-1 only.
 */
export function pdfOf(pages: readonly (readonly PdfText[])[], size = 9): Uint8Array {
  const [width, height] = [595, 842];
  const escaped = (text: string) => text.replace(/[\\()]/g, (sign) => `\\${sign}`);
  const streams = pages.map((texts) =>
    texts
      .map(({ text, x, y }) => `BT /F1 ${size} Tf 1 0 0 1 ${x} ${height - y} Tm (${escaped(text)}) Tj ET`)
      .join('\n'),
  );
  const first = 4;
  const objects = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    `<< /Type /Pages /Count ${pages.length} /Kids [${pages.map((_, i) => `${first + 2 * i} 0 R`).join(' ')}] >>`,
    '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica /Encoding /WinAnsiEncoding >>',
    ...streams.flatMap((stream, i) => [
      `<< /Type /Page /Parent 2 0 R /MediaBox [0 0 ${width} ${height}] /Resources << /Font << /F1 3 0 R >> >> /Contents ${first + 2 * i + 1} 0 R >>`,
      `<< /Length ${stream.length} >>\nstream\n${stream}\nendstream`,
    ]),
  ];
  let body = '%PDF-1.4\n';
  const starts = objects.map((object, i) => {
    const start = body.length;
    body += `${i + 1} 0 obj\n${object}\nendobj\n`;
    return start;
  });
  const table = body.length;
  body += `xref\n0 ${objects.length + 1}\n0000000000 65535 f \n${starts.map((at) => `${String(at).padStart(10, '0')} 00000 n \n`).join('')}`;
  body += `trailer\n<< /Size ${objects.length + 1} /Root 1 0 R >>\nstartxref\n${table}\n%%EOF\n`;
  return Uint8Array.from(body, (sign) => sign.charCodeAt(0));
}
