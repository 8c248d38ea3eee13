/** What may hurt somebody, or break something, once the breaker is closed. */
export type DangerCode = 'looseEndLive' | 'wrongVoltage' | 'safetyMissing' | 'shortCircuit' | 'probeOnMains';

/** One danger: where (`part.terminal`, or a supply), in which state it is worst, the volts that make it one, and a sentence. */
export interface Danger {
  readonly code: DangerCode;
  readonly at: string;
  readonly state: string;
  readonly volts: number;
  readonly message: string;
}

/** One of each place and kind: the state in which it is worst. `grave` says how bad one is, more is worse. */
export function worstOfEach(
  dangers: readonly Danger[],
  grave: (danger: Danger) => number = ({ volts }) => volts,
): readonly Danger[] {
  const worst = new Map<string, Danger>();
  for (const danger of dangers) {
    const key = `${danger.code} ${danger.at}`;
    const before = worst.get(key);
    if (!before || grave(danger) > grave(before)) worst.set(key, danger);
  }
  return [...worst.values()];
}
