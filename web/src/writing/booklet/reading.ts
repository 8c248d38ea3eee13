/** Somebody stopped it. */
export class Stopped extends Error {}

/** A reading under way: tells how far it is, and hears when it is to stop. */
export interface Reading {
  readonly signal: AbortSignal;
  progress(words: string, done: number, of: number): void;
}

export function unlessStopped({ signal }: Reading): void {
  if (signal.aborted) throw new Stopped();
}

/** A canvas as a picture for the page: small enough to keep. */
export const jpegOf = (canvas: HTMLCanvasElement): Promise<Blob> =>
  new Promise((done, failed) =>
    canvas.toBlob(
      (blob) => (blob ? done(blob) : failed(new Error('The page could not be drawn'))),
      'image/jpeg',
      0.8,
    ),
  );
