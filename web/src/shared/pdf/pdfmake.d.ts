/** What of the PDF library's build for browsers this application uses. */
declare module 'pdfmake/build/pdfmake.js' {
  interface PdfMake {
    setFonts(fonts: Readonly<Record<string, Readonly<Record<string, string>>>>): void;
    setTableLayouts(layouts: object): void;
    setUrlAccessPolicy(allows: (url: string) => boolean): void;
    createPdf(document: object): { getBuffer(): Promise<Uint8Array> };
  }
  const pdfMake: PdfMake;
  export default pdfMake;
}
