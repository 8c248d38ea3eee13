/** Reads the QR code on a picture: its text, or null where none is seen. */
export interface CodeReader {
  read(picture: ImageBitmap): Promise<string | null>;
  close(): void;
}

interface Detector {
  detect(picture: ImageBitmap): Promise<readonly { readonly rawValue: string }[]>;
}
/** What some browsers have built in (Shape Detection); the rest use our own copy of a reader. */
interface WithDetector {
  readonly BarcodeDetector?: {
    new (options: { formats: string[] }): Detector;
    getSupportedFormats(): Promise<readonly string[]>;
  };
}

/** The reader of this browser, else one in a worker. */
export async function openCodeReader(): Promise<CodeReader> {
  const { BarcodeDetector: BuiltIn } = globalThis as unknown as WithDetector;
  if (BuiltIn && (await BuiltIn.getSupportedFormats().catch((): string[] => [])).includes('qr_code')) {
    const detector = new BuiltIn({ formats: ['qr_code'] });
    return {
      read: async (picture) => {
        try {
          return (await detector.detect(picture))[0]?.rawValue ?? null;
        } finally {
          picture.close();
        }
      },
      close: () => undefined,
    };
  }
  return inWorker();
}

function inWorker(): CodeReader {
  const worker = new Worker(new URL('./codes.worker.ts', import.meta.url), { type: 'module', name: 'codes' });
  return {
    read: (picture) =>
      new Promise((resolve, reject) => {
        worker.onmessage = (event: MessageEvent<{ text?: string | null; problem?: string }>) => {
          if (event.data.problem === undefined) resolve(event.data.text ?? null);
          else reject(new Error(`The code cannot be read here: ${event.data.problem}`));
        };
        worker.onerror = () => reject(new Error('The reader of codes does not start in this browser.'));
        worker.postMessage(picture, [picture]);
      }),
    close: () => worker.terminate(),
  };
}
