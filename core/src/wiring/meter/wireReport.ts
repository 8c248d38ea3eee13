import type { Circuit } from '../circuit/index.ts';
import { Bench } from '../readings/index.ts';
import { wiringFindings } from '../findings/index.ts';
import type { WiringFinding } from '../findings/index.ts';
import { reportState, type StateReport } from '../report/index.ts';
import { isSettled, networkOf, statesOf, type Unsettled } from '../solver/index.ts';
import { meterPoints } from './points.ts';

/** Everything `brine wire` prints. */
export interface WireReport {
  readonly states: Readonly<Record<string, StateReport>>;
  readonly meter: readonly {
    readonly state: string;
    readonly from: string;
    readonly to: string;
    readonly volts: number;
  }[];
  readonly findings: readonly WiringFinding[];
}

/** Solves every state of a circuit and says what is wrong with it; or which state never comes to rest. */
export function wireReport(circuit: Circuit, asFound: Circuit | null = null): WireReport | Unsettled {
  const network = networkOf(circuit);
  const states = statesOf(network);
  const restless = states.find((s) => !isSettled(s));
  if (restless && !isSettled(restless)) return restless;
  const settled = states.filter(isSettled);
  const bench = new Bench({ network, effect: {} });
  return {
    states: Object.fromEntries(settled.map((s) => [s.asked.state, reportState(s)])),
    meter: meterPoints(circuit, network).flatMap((place) =>
      'from' in place ? [{ ...place, volts: Math.round(bench.expect(place) * 1e6) / 1e6 }] : [],
    ),
    findings: wiringFindings(network, settled, asFound),
  };
}
