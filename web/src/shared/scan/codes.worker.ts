import { BarcodeDetector, prepareZXingModule } from 'barcode-detector/ponyfill';
import engine from 'zxing-wasm/reader/zxing_reader.wasm?url';

/** Reads QR codes of pictures in a worker of its own: the one place of the application, beside the reader of letters, that runs WebAssembly. */
// By itself the package fetches its WebAssembly from elsewhere.
prepareZXingModule({ overrides: { locateFile: () => engine } });
const detector = new BarcodeDetector({ formats: ['qr_code'] });

self.addEventListener('message', (event: MessageEvent<ImageBitmap>) => {
  const picture = event.data;
  void detector
    .detect(picture)
    .then(
      (codes) => self.postMessage({ text: codes[0]?.rawValue ?? null }),
      (error: unknown) => self.postMessage({ problem: String(error) }),
    )
    .finally(() => picture.close());
});
