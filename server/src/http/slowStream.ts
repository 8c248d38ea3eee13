/** A reader that takes nothing for this long has left; what was held for it is let go. */
const STALLED_MS = 60_000;

/**
 * Text or bytes as a stream that goes no faster than it is read: `push` waits while the reader has enough, and throws once it has left. Errors of
 * `write` end the stream.
 */
export function slowStream(
  write: (push: (piece: string | Uint8Array) => Promise<void>) => Promise<unknown>,
  stalledMs = STALLED_MS,
): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  const reader = { left: false };
  const hasLeft = () => reader.left;
  let wake = (): void => undefined;
  return new ReadableStream<Uint8Array>({
    start(controller) {
      const push = async (piece: string | Uint8Array): Promise<void> => {
        if (hasLeft()) throw new Error('the reader has left');
        controller.enqueue(typeof piece === 'string' ? encoder.encode(piece) : piece);
        if ((controller.desiredSize ?? 0) > 0) return;
        const taken = await new Promise<boolean>((resolve) => {
          const timer = setTimeout(() => resolve(false), stalledMs);
          wake = () => {
            clearTimeout(timer);
            resolve(true);
          };
        });
        if (!taken || hasLeft()) throw new Error('the reader has left');
      };
      // Not awaited: the stream asks for more only once this function has returned.
      void write(push).then(
        () => (reader.left ? undefined : controller.close()),
        (error: unknown) => (reader.left ? undefined : controller.error(error)),
      );
    },
    pull: () => wake(),
    cancel() {
      reader.left = true;
      wake();
    },
  });
}
