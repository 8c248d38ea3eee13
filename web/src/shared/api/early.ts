/** An answer that `early.js` asked for before the program was here. */
interface Early {
  readonly answer: Promise<Response>;
  readonly at: number;
}

/** As `early.js` has it. */
const SEEN = 'brine-seen:';
/** So long an early answer is as good as one that is asked for now. */
const FRESH_MS = 10_000;

/** The early answer to an address, once; undefined where there is none, or it is no longer fresh. */
export function takeEarly(address: string): Promise<Response> | undefined {
  const early = (globalThis as { readonly brineEarly?: Map<string, Early> }).brineEarly;
  const found = early?.get(address);
  early?.delete(address);
  return found && performance.now() - found.at < FRESH_MS ? found.answer : undefined;
}

/** Whoever leaves the device takes along what it knows of their jobs. */
export function forgetSeen(): void {
  for (const name of Object.keys(localStorage)) if (name.startsWith(SEEN)) localStorage.removeItem(name);
}

/** Where the entries of a job that are on this device end: the next page that opens the job asks from there on before the program is here. */
export const noteSeen = (job: string, sequence: number): void => {
  try {
    localStorage.setItem(`${SEEN}${job}`, String(sequence));
  } catch {
    // Without room it is asked anew.
  }
};
