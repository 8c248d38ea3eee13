/** One end-to-end test: a sentence and what it does. */
export interface EndToEndTest {
  readonly name: string;
  run(): Promise<void>;
}

/** Fails with a sentence that shows both sides. */
export function expectSame(actual: unknown, expected: unknown, what: string): void {
  const [a, b] = [JSON.stringify(actual), JSON.stringify(expected)];
  if (a !== b) throw new Error(`${what}: expected ${b}, found ${a}`);
}

/** Fails unless the text holds the part. */
export function expectHolds(text: string, part: string, what: string): void {
  if (!text.includes(part)) throw new Error(`${what}: expected “${part}” in:\n${text.slice(0, 1500)}`);
}
