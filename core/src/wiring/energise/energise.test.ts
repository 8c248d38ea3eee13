import { describe, expect, test } from '@jest/globals';
import {
  freezer,
  reachIn,
  splitPhase,
  threePhaseFreezer,
  typical,
  typicalIds,
  vehicleFridge,
  withWires,
} from '../../../testing/circuits.ts';
import { ngspice } from '../../../testing/ngspice.ts';
import { seeded } from '../../../testing/seeded.ts';
import { terminalsOf, wireIds, type Circuit, type Part } from '../circuit/index.ts';
import { isSettled, networkOf, settle, statesOf, type Settled } from '../solver/index.ts';
import { energise } from './energise.ts';
import { safetiesMissing } from './safeties.ts';

const all = (circuit: Circuit) => new Set(wireIds(circuit.wires));
const without = (circuit: Circuit, ...ids: readonly string[]) =>
  new Set([...all(circuit)].filter((id) => !ids.includes(id)));
const codes = (circuit: Circuit, done: ReadonlySet<string>) =>
  energise(circuit, done).dangers.map(({ code, at }) => `${code} ${at}`);

describe('before the breaker is closed', () => {
  test('a finished plan is safe, with what protects each load', () => {
    const said = energise(freezer());
    expect([said.verdict, said.dangers, said.missing]).toEqual(['safe', [], []]);
    expect(said.protects.length).toBeGreaterThan(0);
    expect(said.protects.every(({ fuses }) => fuses.length > 0)).toBe(true);
  });

  test('nothing wired is safe, and says that its supplies wait for a wire', () => {
    const said = energise(freezer(), new Set());
    expect(said.verdict).toBe('safe');
    expect(said.supplies).toEqual(['L1']);
  });

  // By hand: without the compressor's neutral its second terminal is fed through the motor once the contact closes.
  test('an open neutral leaves its end live through the motor', () => {
    const plan = freezer();
    expect(codes(plan, without(plan, 'M1.2-N'))).toContain('looseEndLive M1.2');
    expect(energise(plan, without(plan, 'M1.2-N')).verdict).toBe('unsafe');
  });

  test('a short is told at the supplies', () => {
    const shorted = withWires(freezer(), 'K2.no>N');
    expect(codes(shorted, all(shorted)).some((one) => one.startsWith('shortCircuit'))).toBe(true);
  });

  test('a consumer that the plan leads nowhere is not known, never safe', () => {
    const plan = freezer();
    const lamp: Part = {
      id: 'H9',
      kind: 'load',
      role: 'light',
      terminals: ['1', '2'],
      watts: 10,
      ratedVolts: 120,
    };
    const said = energise({ ...plan, parts: [...plan.parts, lamp] });
    expect(said.verdict).toBe('notKnown');
    expect(said.unknown.join()).toContain('H9');
  });

  // By hand: a bridge over a pressure switch carries its motor round it.
  test('a load that a safety of the plan no longer stops is told', () => {
    const plan = typicalIds
      .map(typical)
      .find(({ parts }) => parts.some((part) => part.kind === 'switch' && part.safety))!;
    const safety = plan.parts.find((part) => part.kind === 'switch' && part.safety)!;
    const [a, b] = terminalsOf(safety).map((end) => `${safety.id}.${end}`);
    const bridged: Circuit = { ...plan, wires: [...plan.wires, { from: a!, to: b! }] };
    const statesNow = (circuit: Circuit) => statesOf(networkOf(circuit)).filter(isSettled);
    expect(safetiesMissing(plan, statesNow(plan))).toEqual([]);
    const told = safetiesMissing(plan, statesNow(bridged));
    expect(told.length).toBeGreaterThan(0);
    expect(told[0]!.message).toContain('cannot stop it');
  });
});

const circuits: readonly (readonly [string, Circuit])[] = [
  ['freezer', freezer()],
  ['reach-in', reachIn()],
  ['split phase', splitPhase()],
  ['three phases', threePhaseFreezer()],
  ['12 V', vehicleFridge()],
  ...typicalIds.map((id) => [id, typical(id)] as const),
];

/** Some of the wires of a circuit: mostly many, as on a day of work. */
function some(circuit: Circuit, random: () => number): ReadonlySet<string> {
  const share = 1 - random() ** 2;
  return new Set([...all(circuit)].filter(() => random() < share));
}

/** What ngspice finds against a circuit with some of its wires: a live loose end, a wrong voltage, a load that a safety of the plan does not stop. */
function spiced(plan: Circuit, done: ReadonlySet<string>): readonly string[] {
  const ids = wireIds(plan.wires);
  const partly: Circuit = {
    ...plan,
    wires: plan.wires.filter((wire, i) => wire.internal || done.has(ids[i]!)),
  };
  const supplies = new Set(plan.supplies.map(({ id }) => id));
  const loose = new Set(
    plan.wires
      .filter((wire, i) => !wire.internal && !done.has(ids[i]!))
      .flatMap(({ from, to }) => [from, to])
      .filter((end) => !supplies.has(end)),
  );
  const found: string[] = [];
  for (const s of statesOf(networkOf(partly)).filter(isSettled)) {
    const volts = voltsOf(s);
    for (const end of loose) if (volts(end, 'PE') > 30.5) found.push(`${end} is live in ${s.asked.state}`);
    for (const part of partly.parts) {
      const rated =
        part.kind === 'load' || part.kind === 'control'
          ? part.ratedVolts
          : part.kind === 'contactor'
            ? part.coilVolts
            : null;
      if (rated === null) continue;
      const ends = (part.kind === 'contactor' ? part.coil : terminalsOf(part)).map(
        (end) => `${part.id}.${end}`,
      );
      const pairs = ends.flatMap((a, i) => ends.slice(i + 1).map((b) => volts(a, b)));
      const [high, low] = [Math.max(...pairs) / rated, Math.min(...pairs) / rated];
      if (high > 1.101 || (low > 0.101 && low < 0.899))
        found.push(`${part.id} gets a wrong voltage in ${s.asked.state}`);
      if (part.kind !== 'load' || low < 0.501) continue;
      for (const safety of partly.parts)
        if (
          safety.kind === 'switch' &&
          safety.safety &&
          stops(plan, part, safety) &&
          !stops(partly, part, safety)
        )
          found.push(`${part.id} runs without ${safety.id} in ${s.asked.state}`);
    }
  }
  return found;
}

/** Volts between two ends by ngspice; an end that hangs on nothing has none. */
function voltsOf(s: Settled): (a: string, b: string) => number {
  const { nodes } = ngspice(s, '1e11');
  const at = (end: string) => nodes.get(end) ?? ([0, 0] as const);
  return (a, b) => Math.hypot(at(a)[0] - at(b)[0], at(a)[1] - at(b)[1]);
}

/** Whether opening a switch takes a load out in a state in which it works, by ngspice. */
function stops(circuit: Circuit, load: Part, safety: Part): boolean {
  const network = networkOf(circuit);
  const index = network.parts.findIndex(({ part }) => part.id === safety.id);
  const rated = load.kind === 'load' ? load.ratedVolts : Infinity;
  const ends = terminalsOf(load).map((end) => `${load.id}.${end}`);
  const works = (s: Settled) => {
    const volts = voltsOf(s);
    return Math.min(...ends.flatMap((a, i) => ends.slice(i + 1).map((b) => volts(a, b)))) >= 0.5 * rated;
  };
  return statesOf(network)
    .filter(isSettled)
    .some((s) => {
      if (!works(s)) return false;
      const opened = settle(network, { ...s.asked, openSwitches: new Set([index]) });
      return !isSettled(opened) || !works(opened);
    });
}

// Oracle: ngspice on random parts of every circuit. BRINE_LONG (bin/test --long) runs the two thousand.
test('nothing that ngspice finds a live end, a wrong voltage or a lost safety in is called safe', () => {
  const random = seeded(2127);
  const wrong: string[] = [];
  const verdicts = { safe: 0, unsafe: 0, notKnown: 0 };
  const count = process.env['BRINE_LONG'] === '1' ? 2000 : 60;
  for (let n = 0; n < count; n += 1) {
    const [name, circuit] = circuits[n % circuits.length]!;
    const done = some(circuit, random);
    const { verdict, dangers } = energise(circuit, done);
    verdicts[verdict] += 1;
    const found = spiced(circuit, done);
    if (verdict === 'safe' && found.length > 0) wrong.push(`${n} ${name}: ${found.join('; ')}`);
    // Nor is something called a danger that is none: shorts and probes aside, ngspice finds one as well.
    const ours = dangers.filter(({ code }) => code !== 'shortCircuit' && code !== 'probeOnMains');
    if (ours.length > 0 && found.length === 0 && ours.some(({ volts }) => volts > 33))
      wrong.push(`${n} ${name}: ${ours.map(({ message }) => message).join(' ')}`);
  }
  expect(wrong.slice(0, 3)).toEqual([]);
  expect(verdicts.safe).toBeGreaterThan(0);
  expect(verdicts.unsafe).toBeGreaterThan(verdicts.safe / 10);
}, 600_000);
