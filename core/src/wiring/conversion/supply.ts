import type { ControllerDefinition, Supply } from '../../controllers/definitions/index.ts';
import type { Circuit, SupplyLine } from '../circuit/index.ts';

/** Volts between two supplies of a circuit. */
export function voltsBetweenLines(a: SupplyLine, b: SupplyLine): number {
  const at = (s: SupplyLine): readonly [number, number] => {
    const angle = ((s.degrees ?? 0) * Math.PI) / 180;
    return [s.volts * Math.cos(angle), s.volts * Math.sin(angle)];
  };
  const [ar, ai] = at(a);
  const [br, bi] = at(b);
  return Math.hypot(ar - br, ai - bi);
}

/** One supply entry of a control that a pair of lines can serve. */
export interface SupplyChoice {
  readonly entry: Supply;
  /** The line it takes as hot, and the one it takes as return. */
  readonly hot: string;
  readonly ret: string;
  readonly volts: number;
  /** Terminals of the control: hot first. */
  readonly terminals: readonly [string, string];
}

/** How far a supply may lie from what a terminal is made for (common practice: ±10 %). */
const SPREAD = 0.1;

/** True where a supply entry takes this voltage: a single figure within 10 %, or a span from 10 % below to 10 % above. */
export function takes(entry: Supply, volts: number): boolean {
  const span = typeof entry.volts === 'number' ? [entry.volts, entry.volts] : entry.volts;
  return volts >= Math.min(...span) * (1 - SPREAD) && volts <= Math.max(...span) * (1 + SPREAD);
}

/** What a control is made for at this voltage: the figure on its terminal, or for a wide span the voltage itself. */
export function ratedFor(entry: Supply, volts: number): number {
  if (typeof entry.volts === 'number') return entry.volts;
  return entry.volts.length === 1 ? entry.volts[0]! : Math.round(volts);
}

/** Hot and return terminal of a supply entry: the terminal that all entries share is the common; else one marked as neutral or minus. */
export function hotAndReturn(definition: ControllerDefinition, entry: Supply): readonly [string, string] {
  const [a, b] = entry.terminals;
  if (a === undefined) return ['hot', 'return'];
  if (b === undefined) return [`${a} L`, `${a} N`];
  const others = (definition.supply ?? []).filter((e) => e !== entry && e.terminals.length > 1);
  const shared = (t: string) => others.length > 0 && others.every((e) => e.terminals.includes(t));
  const marked = (t: string) => /^n$|−|minus/i.test(t);
  return (shared(a) && !shared(b)) || (marked(a) && !marked(b)) ? [b, a] : [a, b];
}

/** The supply entry and return line that fit a hot line best: a return already used is preferred, then neutral, then another phase. */
export function chooseSupply(
  definition: ControllerDefinition,
  circuit: Circuit,
  hot: string,
  preferred: readonly string[],
): SupplyChoice | null {
  const line = circuit.supplies.find((s) => s.id === hot);
  if (!line) return null;
  const dc = circuit.supplies.some((s) => s.kind === 'dc');
  const rank = (s: SupplyLine) => {
    const at = preferred.indexOf(s.id);
    return at >= 0 ? at : s.volts === 0 ? 50 : 60;
  };
  const returns = circuit.supplies
    .filter((s) => s.id !== hot && s.id !== 'PE')
    .sort((a, b) => rank(a) - rank(b));
  for (const ret of returns)
    for (const entry of definition.supply ?? []) {
      const volts = voltsBetweenLines(line, ret);
      if ((entry.kind === 'dc') !== dc || !takes(entry, volts)) continue;
      // A battery has a side: plus goes to the terminal marked plus, never the other way round.
      if (dc && line.volts <= ret.volts) continue;
      return { entry, hot, ret: ret.id, volts, terminals: hotAndReturn(definition, entry) };
    }
  return null;
}

/** Every voltage a circuit offers between two of its lines. */
export function offeredVolts(circuit: Circuit): readonly number[] {
  const lines = circuit.supplies.filter((s) => s.id !== 'PE');
  const all = lines.flatMap((a, i) => lines.slice(i + 1).map((b) => Math.round(voltsBetweenLines(a, b))));
  return [...new Set(all)].filter((v) => v > 0);
}
