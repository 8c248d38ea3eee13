import { ampsOf } from './amps.ts';

/** How the elements of a heater hang on its lines. */
export type HeaterConnection = 'single' | 'star' | 'delta';

/** A heater by its plate. */
export interface HeaterPlate {
  readonly watts: number;
  readonly volts: number;
  readonly connection: HeaterConnection;
  /** Equal elements side by side on one phase; three-phase heaters have one a leg. */
  readonly elements: number;
}

/** What may be the matter with a heater. */
export type HeaterState = 'whole' | 'elementOpen' | 'twoElementsOpen' | 'lineLost' | 'dead' | 'wrongVoltage';

/** A state with the amps that each line then carries. */
export interface HeaterPattern {
  readonly state: HeaterState;
  readonly amps: readonly number[];
  readonly watts: number;
  readonly words: string;
}

/** Watts of a heater may lie so far off its plate (common practice, from memory), and a clamp adds its own. */
export const HEATER_LESS = 0.1;
export const HEATER_MORE = 0.05;
const CLAMP = 0.03;
const CLAMP_AMPS = 0.1;

/** Amps of each line, and between which values a whole heater lies. 1800 W, 240 V, one phase: 7.5 A, 6.5 to 8.1 A. */
export function expectedAmps(plate: HeaterPlate, volts = plate.volts) {
  const amps = patternsOf(plate, volts)[0]!.amps;
  return {
    amps,
    least: amps.map((a) => a * (1 - HEATER_LESS) * (1 - CLAMP) - CLAMP_AMPS),
    most: amps.map((a) => a * (1 + HEATER_MORE) * (1 + CLAMP) + CLAMP_AMPS),
    ohms: ampsOf(plate.watts, plate.volts, plate.connection === 'single' ? 1 : 3).ohms,
  };
}

/**
 * The states a heater can be in with their line amps at the volts measured: R of a leg from the plate, Kirchhoff at the lines. Delta with one element open:
 * two lines carry 1/√3 of the whole, the third all of it. Star with a leg open is the same as a line lost: two legs in series.
 */
export function patternsOf(plate: HeaterPlate, volts = plate.volts): readonly HeaterPattern[] {
  const power = (volts / plate.volts) ** 2;
  const watts = plate.watts * power;
  if (plate.connection === 'single') {
    const amps = (share: number) => [(watts * share) / volts];
    const open = (n: number): HeaterPattern[] =>
      plate.elements > n
        ? [
            {
              state: n === 1 ? 'elementOpen' : 'twoElementsOpen',
              amps: amps((plate.elements - n) / plate.elements),
              watts: (watts * (plate.elements - n)) / plate.elements,
              words: `${n === 1 ? 'one element' : 'two elements'} of ${plate.elements} open`,
            },
          ]
        : [];
    return [
      { state: 'whole', amps: amps(1), watts, words: 'whole' },
      ...open(1),
      ...open(2),
      {
        state: 'wrongVoltage',
        amps: [amps(1)[0]! / 2],
        watts: watts / 4,
        words: 'half its voltage: 120 V on a 240 V heater, or a leg lost',
      },
      { state: 'dead', amps: [0], watts: 0, words: 'open altogether: element, limit, fuse or feed' },
    ];
  }
  const line = watts / (Math.sqrt(3) * volts);
  const lost: HeaterPattern = {
    state: 'lineLost',
    amps: [0, watts / 2 / volts, watts / 2 / volts],
    watts: watts / 2,
    words:
      plate.connection === 'star'
        ? 'one line lost or one element open'
        : 'one line lost: fuse, contact or wire',
  };
  const dead: HeaterPattern = {
    state: 'dead',
    amps: [0, 0, 0],
    watts: 0,
    words: 'open altogether: limit, contactor, fuses or feed',
  };
  const whole: HeaterPattern = { state: 'whole', amps: [line, line, line], watts, words: 'whole' };
  if (plate.connection === 'star') return [whole, lost, dead];
  return [
    whole,
    {
      state: 'elementOpen',
      amps: [line / Math.sqrt(3), line / Math.sqrt(3), line],
      watts: (watts * 2) / 3,
      words: 'one element open',
    },
    {
      state: 'twoElementsOpen',
      amps: [0, line / Math.sqrt(3), line / Math.sqrt(3)],
      watts: watts / 3,
      words: 'two elements open',
    },
    lost,
    dead,
  ];
}

/** A state held against measured amps: how many tolerances the worst line is off. */
export interface HeaterVerdict {
  readonly pattern: HeaterPattern;
  readonly off: number;
}

/**
 * Which state the clamp shows, likeliest first; lines may be measured in any order. `off` up to 1 fits within the tolerance of heater and clamp;
 * where none does, nothing here explains the reading. Plate 3 kW, 208 V delta, measured 4.8, 4.8 and 8.3 A: one element open.
 */
export function recogniseHeater(
  plate: HeaterPlate,
  measured: readonly number[],
  volts = plate.volts,
): readonly HeaterVerdict[] {
  const sorted = measured.toSorted((a, b) => a - b);
  return patternsOf(plate, volts)
    .map((pattern) => {
      const expected = pattern.amps.toSorted((a, b) => a - b);
      const off = Math.max(
        ...sorted.map((amps, i) => {
          const want = expected[i] ?? 0;
          const room = want * ((amps < want ? HEATER_LESS : HEATER_MORE) + CLAMP) + CLAMP_AMPS;
          return Math.abs(amps - want) / room;
        }),
      );
      return { pattern, off };
    })
    .sort((a, b) => a.off - b.off);
}
