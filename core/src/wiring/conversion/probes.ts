import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import type { OldDevice } from './consumers.ts';
import type { Draft } from './draft.ts';
import type { Trace } from './trace.ts';

/** What the probes are placed into. */
interface ProbeSite {
  readonly draft: Draft;
  readonly definition: ControllerDefinition;
  readonly controlId: string;
  readonly trace: Trace;
  readonly old: OldDevice;
  /** Wires of the old thermostat that carry the first probe, by index. */
  readonly reuse: readonly number[];
  readonly stripMm: number;
}

/** Adds a probe to each probe input of the control, on leads of its own or on the old thermostat's wires; notes for the person. */
export function placeProbes(site: ProbeSite): readonly string[] {
  const { draft, definition, controlId, reuse } = site;
  const control = draft.parts.find((p) => p.id === controlId);
  const has = (terminal: string | undefined) =>
    terminal !== undefined && control?.kind === 'control' && control.terminals.includes(terminal);
  const notes: string[] = [];
  for (const [n, input] of (definition.probes ?? []).entries()) {
    const [a, b] = input.terminals ?? [];
    if (a === undefined) continue;
    const id = draft.freeId(/^P\d+$/.test(input.id) ? input.id : `P${n + 1}`);
    draft.parts.push({
      id,
      kind: 'probe',
      name: `${definition.family} ${input.role} probe`,
      role: input.role,
      types: input.types,
      terminals: ['a', 'b'],
      ohms: nominalOhms(input.types[0]),
    });
    if (b === undefined || !has(a) || !has(b)) continue;
    if (n === 0 && reuse.length === 2) {
      reuseForProbe(site, id, [a, b]);
      notes.push(
        'The two wires of the old thermostat carry the probe now. Check that they hang on nothing else before the probe goes on.',
      );
      continue;
    }
    for (const [lead, terminal] of [
      ['a', a],
      ['b', b],
    ] as const)
      draft.add({
        from: `${controlId}.${terminal}`,
        to: `${id}.${lead}`,
        change: 'new',
        purpose: `${input.role} probe, low voltage: away from mains`,
        colour: 'grey',
        stripMm: site.stripMm,
        lowVoltage: true,
      });
  }
  return notes;
}

/** At the place of the old thermostat the probe, at the other end of its wires the probe terminals of the new control. */
function reuseForProbe(site: ProbeSite, probe: string, terminals: readonly [string, string]): void {
  const { draft, trace, old } = site;
  for (const [i, index] of site.reuse.entries()) {
    const wire = trace.circuit.wires[index]!;
    const atOld = old.parts.has(trace.partAt.get(wire.from)?.id ?? '') ? wire.from : wire.to;
    const other = atOld === wire.from ? wire.to : wire.from;
    draft.move(index, atOld, `${probe}.${i === 0 ? 'a' : 'b'}`);
    draft.move(index, other, `${site.controlId}.${terminals[i as 0 | 1]}`);
  }
}

/** Ohms of a probe at about 20 °C, for the dead reading of its run: the curves of docs/sources.md. */
function nominalOhms(type: string | undefined): number {
  switch (type) {
    case 'ptc1k':
      return 961;
    case 'pt1000':
      return 1078;
    case 'pt100':
      return 107.8;
    default:
      return 12170;
  }
}
