import type { Circuit } from '../circuit/index.ts';

/** What a new wire is for. */
export type WireUse =
  'hot' | 'secondHot' | 'return' | 'compressor' | 'defrost' | 'fan' | 'other' | 'coil' | 'plus' | 'minus';

/** Colours by the custom of the supply: with a neutral of 120 V black, red and white; at 230 V brown and blue; batteries red and black. */
const customs = {
  awg: {
    hot: 'black',
    secondHot: 'red',
    return: 'white',
    compressor: 'blue',
    defrost: 'orange',
    fan: 'violet',
    other: 'yellow',
    coil: 'yellow',
    plus: 'red',
    minus: 'black',
  },
  metric: {
    hot: 'brown',
    secondHot: 'grey',
    return: 'blue',
    compressor: 'black',
    defrost: 'orange',
    fan: 'violet',
    other: 'white',
    coil: 'white',
    plus: 'red',
    minus: 'black',
  },
} as const satisfies Readonly<Record<string, Readonly<Record<WireUse, string>>>>;

/** True where conductors are sold by mm²: a supply of 220 to 240 V to earth, or a battery. */
export function isMetric(circuit: Circuit): boolean {
  return circuit.supplies.some((s) => s.kind === 'dc' || (s.volts >= 220 && s.volts <= 245));
}

/** The colour of a new wire. Suggested only: what is in the van and the local code decide. */
export function colourOf(circuit: Circuit, use: WireUse): string {
  return customs[isMetric(circuit) ? 'metric' : 'awg'][use];
}

/** The use of an output's wire, by colour. */
export function useOfOutput(output: string): WireUse {
  return output === 'compressor' || output === 'defrost' || output === 'fan' ? output : 'other';
}
