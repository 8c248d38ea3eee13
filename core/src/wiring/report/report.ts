import type { Circuit } from '../circuit/index.ts';
import { currentPaths, isFed, LOAD_ON, partAmps, partVolts, type Settled } from '../solver/index.ts';

/** Potential of a node: magnitude and phase for AC, signed volts and 0° for DC; null for a node with no path at all. */
export interface NodeReport {
  readonly volts: number | null;
  readonly degrees: number;
}

/** What goes on in a part. Volts where it has ends of its own, `blown` for a fuse, `energised` where that means something. */
export interface PartReport {
  readonly amps: number;
  readonly volts?: number;
  readonly energised?: boolean;
  readonly blown?: boolean;
  readonly closed?: boolean;
}

/** One state of a circuit as the file format prints it. */
export interface StateReport {
  readonly nodes: Readonly<Record<string, NodeReport>>;
  readonly parts: Readonly<Record<string, PartReport>>;
}

/** True where the supplies are batteries. */
export function isDirectCurrent(circuit: Circuit): boolean {
  return circuit.supplies.some((supply) => supply.kind === 'dc');
}

/** A settled state in the words of the format. */
export function reportState(s: Settled): StateReport {
  const dc = isDirectCurrent(s.network.circuit);
  const groups = currentPaths(s);
  const nodes: [string, NodeReport][] = [];
  for (let i = 0; i < s.network.named; i += 1)
    nodes.push([
      s.network.nodes[i]!,
      isFed(groups, i) ? potential(s.re[i]!, s.im[i]!, dc) : { volts: null, degrees: 0 },
    ]);
  return {
    nodes: Object.fromEntries(nodes),
    parts: Object.fromEntries(
      s.network.parts
        .filter(({ part }) => part.kind !== 'junction')
        .map(({ part, index }) => [part.id, reportPart(s, index)]),
    ),
  };
}

/** True for a part that works in this state. */
export function isEnergised(s: Settled, index: number): boolean {
  const { part } = s.network.parts[index]!;
  switch (part.kind) {
    case 'load':
      return partVolts(s, index) >= LOAD_ON * part.ratedVolts;
    case 'control':
      return s.controlOn.has(index);
    case 'contactor':
      return s.contactorIn.has(index);
    case 'contact':
      return s.driven.has(index);
    default:
      return false;
  }
}

/** Parts by id that are on in a state: what a person sees and hears. */
export function energisedParts(s: Settled): ReadonlySet<string> {
  return new Set(s.network.parts.filter(({ index }) => isEnergised(s, index)).map(({ part }) => part.id));
}

function reportPart(s: Settled, index: number): PartReport {
  const { part, branch } = s.network.parts[index]!;
  const amps = tidy(partAmps(s, index));
  switch (part.kind) {
    case 'fuse':
      return { amps, blown: s.blown.some((b) => b.part === index) };
    case 'contact':
      return { amps, energised: isEnergised(s, index) };
    case 'switch':
      return { amps, closed: s.yRe[branch]! > 1 };
    case 'load':
    case 'control':
    case 'contactor':
      return { volts: tidy(partVolts(s, index)), amps, energised: isEnergised(s, index) };
    default:
      return { volts: tidy(partVolts(s, index)), amps };
  }
}

function potential(re: number, im: number, dc: boolean): NodeReport {
  if (dc) return { volts: tidy(re), degrees: 0 };
  const volts = tidy(Math.hypot(re, im));
  if (volts < 1e-6) return { volts, degrees: 0 };
  const degrees = Math.round((Math.atan2(im, re) * 180e4) / Math.PI) / 1e4;
  return { volts, degrees: degrees <= -180 ? degrees + 360 : degrees + 0 };
}

/** Seven places after the point: below what any meter or another solver would agree on. */
function tidy(value: number): number {
  return Math.round(value * 1e7) / 1e7;
}
