/**
 * Amps a conductor may be fused at. Source, from memory and to be checked against the document: NFPA 70 (NEC) 240.4(D) for small
 * conductors 18 to 10 AWG, table 310.16, 60 °C copper, above; IEC 60364-5-52 table B.52.4, method B2, two loaded conductors, for mm².
 * The local code decides.
 */
const awgAmps: ReadonlyMap<number, number> = new Map([
  [18, 7],
  [16, 10],
  [14, 15],
  [12, 20],
  [10, 30],
  [8, 40],
  [6, 55],
  [4, 70],
]);

const squareAmps: readonly (readonly [number, number])[] = [
  [0.5, 3],
  [0.75, 6],
  [1, 13],
  [1.5, 16.5],
  [2.5, 23],
  [4, 30],
  [6, 38],
  [10, 52],
  [16, 69],
];

/** A conductor size as written: `14`, `"14 AWG"`, `"AWG 14"`, `"1.5 mm²"`, `2.5`. A bare whole number is AWG where AWG has it. */
export interface Gauge {
  readonly amps: number;
  readonly words: string;
}

/** What a written gauge may be fused at; null for one that is not understood. */
export function gaugeAmps(written: number | string | undefined): Gauge | null {
  if (written === undefined) return null;
  const text = String(written).trim().toLowerCase().replace(',', '.');
  const number = Number(/\d+(\.\d+)?/.exec(text)?.[0]);
  if (!Number.isFinite(number)) return null;
  const metric = /mm/.test(text) || (!/awg|ga/.test(text) && !awgAmps.has(number));
  if (!metric) {
    const amps = awgAmps.get(number);
    return amps === undefined ? null : { amps, words: `${number} AWG` };
  }
  const row = [...squareAmps].reverse().find(([square]) => square <= number + 1e-9);
  return row ? { amps: row[1], words: `${number} mm²` } : null;
}

/** The thinnest usual conductor for a fuse, in the trade's way of the supply: AWG at 60 Hz voltages, mm² at 230 V and 400 V. */
export function gaugeFor(fuseAmps: number, metric: boolean): string {
  if (metric) {
    const row = squareAmps.find(([square, amps]) => square >= 1.5 && amps >= fuseAmps);
    return `${(row ?? squareAmps.at(-1)!)[0]} mm²`;
  }
  const size = [14, 12, 10, 8, 6, 4].find((awg) => awgAmps.get(awg)! >= fuseAmps) ?? 4;
  return `${size} AWG`;
}
