import { describe, expect, test } from '@jest/globals';
import { seeded } from '../../../testing/seeded.ts';
import {
  freezer,
  splitPhase,
  threePhaseFreezer,
  typical,
  typicalIds,
  vehicleFridge,
} from '../../../testing/circuits.ts';
import { endsOf } from '../circuit/readCircuit.ts';
import type { Circuit } from '../circuit/circuit.ts';
import { wireReport } from './wireReport.ts';

/** Wires taken out, added anywhere, ends moved: what a person traces on a bad day. */
function mangled(circuit: Circuit, seed: number): Circuit {
  const random = seeded(seed);
  const ends = endsOf(circuit);
  const any = () => ends[Math.floor(random() * ends.length)]!;
  const wires = circuit.wires
    .filter(() => random() > 0.15)
    .map((wire) => (random() < 0.15 ? { ...wire, to: any() } : wire));
  const added = Array.from({ length: Math.floor(random() * 5) }, () => ({ from: any(), to: any() }));
  return { ...circuit, wires: [...wires, ...added].filter((w) => w.from !== w.to) };
}

/** Every number in a report, with its path. */
function numbersIn(value: unknown, path = ''): readonly (readonly [string, number])[] {
  if (typeof value === 'number') return [[path, value]];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => numbersIn(inner, `${path}.${key}`));
}

const builders: readonly (readonly [string, () => Circuit])[] = [
  ['freezer', freezer],
  ['split phase', splitPhase],
  ['three phases', threePhaseFreezer],
  ['vehicle fridge', vehicleFridge],
  ...typicalIds.map((id) => [id, () => typical(id)] as const),
];

describe('circuits mangled at random give findings or a sentence, never NaN', () => {
  test.each(builders)(
    '%s, fifteen seeds',
    (_name, build) => {
      for (let seed = 1; seed <= 15; seed += 1) {
        const circuit = mangled(build(), seed);
        const report = wireReport(circuit);
        if ('unsettled' in report) {
          expect(report.parts.length).toBeGreaterThan(0);
          continue;
        }
        for (const [path, number] of numbersIn(report))
          expect([seed, path, Number.isFinite(number)]).toEqual([seed, path, true]);
        // Nothing can stand higher than twice the highest supply, two legs in series; but behind a transformer fed backwards it can.
        if (circuit.parts.some((p) => p.kind === 'transformer')) continue;
        const highest = Math.max(...circuit.supplies.map((s) => Math.abs(s.volts)));
        for (const row of report.meter) expect([seed, row.volts <= 2 * highest + 1]).toEqual([seed, true]);
      }
    },
    20_000,
  );
});
