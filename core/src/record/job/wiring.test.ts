import { describe, expect, test } from '@jest/globals';
import { freezerSurvey } from '../../../testing/freezerSurvey.ts';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { family } from '../../../testing/families.ts';
import { typicalIds, typical } from '../../../testing/circuits.ts';
import type { EntryBody } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { forTheFinder, wiringOf } from './wiring.ts';
import { foundMeaning } from './survey.ts';
import { programOf } from './program.ts';
import { progressOf } from './stations.ts';

const marl = {
  kind: 'control',
  role: 'new',
  definition: { id: 'marl-4', family: 'Marl 4', version: '1', hash: 'h' },
} as const;
const timer: EntryBody = { kind: 'startedFrom', conversion: 'timer-and-thermostat' };

function wiring(...bodies: readonly EntryBody[]) {
  const state = fold(acceptedInOrder([...freezerSurvey, marl, ...bodies]));
  const program = programOf({
    state,
    name: 'Store',
    old: null,
    replacement: family('marl-4'),
    companyDefaults: {},
  });
  const w = wiringOf(state, program.unit, family('marl-4'));
  return { w, progress: progressOf(state, program, w) };
}

describe('tracing', () => {
  test('begins from nothing, and says so', () => {
    const { w, progress } = wiring();
    expect([w.found, w.plan]).toEqual([null, null]);
    expect(progress.wire).toEqual({ words: 'wires not traced', done: false });
  });

  test('a typical circuit stands until it is corrected wire by wire, part by part', () => {
    const limit = typical('timer-and-thermostat').parts.find((p) => p.id === 'HL')!;
    const { w } = wiring(
      timer,
      { kind: 'foundWire', id: 'TM.nc-M2.1', wire: { from: 'F1.b', to: 'M2.1', colour: 'grey' } },
      { kind: 'foundWire', id: 'new', wire: { from: 'X1.1', to: 'F1.b' } },
      { kind: 'foundPart', id: 'X1', part: { id: 'X1', kind: 'junction', terminals: ['1'] } },
      { kind: 'foundPart', id: 'HL', part: { ...limit, name: 'Limit of the heater' } },
      { kind: 'foundWire', id: 'L3-F5.a', wire: null },
    );
    expect(w.problem).toBeNull();
    expect(w.wires.find((x) => x.id === 'TM.nc-M2.1')!.what.colour).toBe('grey');
    expect(w.wires.some((x) => x.id === 'L3-F5.a')).toBe(false);
    expect(w.found!.parts.find((p) => p.id === 'HL')!.name).toBe('Limit of the heater');
    expect(w.found!.wires).toHaveLength(typical('timer-and-thermostat').wires.length);
  });

  test('what cannot be drawn is said with its place, and nothing typed is lost', () => {
    const { w } = wiring(timer, { kind: 'foundPart', id: 'H1', part: null });
    expect(w.found).toBeNull();
    expect(w.problem!.message).toMatch(/H1\.H1.*nowhere/);
    expect(w.wires).toHaveLength(typical('timer-and-thermostat').wires.length);
  });

  test.each(typicalIds)('%s can be begun from', (id) => {
    expect(wiring({ kind: 'startedFrom', conversion: id }).w.found).not.toBeNull();
  });
});

describe('the plan of a job', () => {
  test('asks for a hand at every wire that is moved, new or a jumper, and counts them', () => {
    const { w, progress } = wiring(timer);
    expect(w.tasks).toContain('K1.com-K2.com');
    expect(w.tasks).not.toContain('L1-F1.a');
    expect(progress.wire.words).toBe(`0 of ${w.tasks.length} wires`);
    const ticked = wiring(timer, { kind: 'wired', wire: 'K1.com-K2.com', done: true });
    expect(ticked.progress.wire.words).toBe(`1 of ${w.tasks.length} wires`);
  });

  test('a colour chosen by hand stands over the planned one', () => {
    const { w } = wiring(timer, { kind: 'planWire', wire: 'K1.com-K2.com', colour: 'grey', gauge: null });
    expect(w.plan!.circuit.wires.find((x) => x.to === 'K2.com')!.colour).toBe('grey');
  });

  test('a size too thin for the fuse, chosen by hand, is told', () => {
    const { w } = wiring(timer, { kind: 'planWire', wire: 'K1.com-K2.com', colour: null, gauge: '18 AWG' });
    expect(w.plan!.findings.map((f) => f.code)).toEqual(['wireUndersized']);
    expect(wiring(timer).w.plan!.findings).toEqual([]);
  });

  test('a control that cannot do it is said in the spine', () => {
    const state = fold(acceptedInOrder([...freezerSurvey, marl, timer]));
    const program = programOf({
      state,
      name: '',
      old: null,
      replacement: family('tarn-1'),
      companyDefaults: {},
    });
    const w = wiringOf(state, program.unit, family('tarn-1'));
    expect(progressOf(state, program, w).fit.words).toBe('Marl 4 cannot');
  });
});

describe('readings', () => {
  const reading = (state: string, from: string, to: string, value: number | null): EntryBody => ({
    kind: 'reading',
    circuit: 'plan',
    place: { state, from, to },
    value,
  });

  test('are judged against the plan; one that is off is told in the spine', () => {
    const { w, progress } = wiring(
      timer,
      reading('off', 'U1.p3', 'U1.p1', 207),
      reading('cooling', 'M2.1', 'M2.2', 0.3),
    );
    expect(w.judged.map((j) => j.verdict)).toEqual(['right', 'off']);
    expect(progress.wire).toEqual({ words: '1 reading is off', done: false });
  });

  test('the same place read again replaces the reading, whichever lead is where', () => {
    const { w } = wiring(timer, reading('off', 'U1.p3', 'U1.p1', 12), reading('off', 'U1.p1', 'U1.p3', 207));
    expect(w.judged.map((j) => j.verdict)).toEqual(['right']);
    expect(
      wiring(timer, reading('off', 'U1.p3', 'U1.p1', 12), reading('off', 'U1.p3', 'U1.p1', null)).w.judged,
    ).toEqual([]);
  });

  test('of a place the plan has no longer are kept and not judged', () => {
    expect(wiring(timer, reading('off', 'K9.com', 'L2', 12)).w.judged).toEqual([]);
  });

  test('a whole winding goes to the fault finder with the ohms of the model, an odd one as it was read', () => {
    // The fan of 215 W at 208 V, 1.3 A: 160 Ω by its running current; its winding reads 38 Ω.
    const { w } = wiring(timer, reading('dead', 'K3.no', 'L2', 38), reading('dead', 'K2.no', 'L2', 9));
    expect(w.judged.map((j) => j.verdict)).toEqual(['right', 'off']);
    const [fan, heater] = forTheFinder(w.judged).map((r) => r.reads.value);
    expect(fan).toBeCloseTo(160, 0);
    expect(heater).toBe(9);
  });
});

describe('locked out and energised again', () => {
  test('the later of the two holds', () => {
    expect(wiring(timer).w.power.now).toBe('unknown');
    const out: EntryBody = { kind: 'power', state: 'lockedOut' };
    const live: EntryBody = { kind: 'power', state: 'live' };
    expect(wiring(timer, out).w.power.now).toBe('lockedOut');
    expect(wiring(timer, out, live).w.power.now).toBe('live');
    expect(wiring(timer, out, live, out).w.power.now).toBe('lockedOut');
  });
});

describe('a mechanical control', () => {
  const band = (cutIn: number, cutOut: number): EntryBody => ({
    kind: 'mechanical',
    cutIn: { value: cutIn, unit: 'degF' },
    cutOut: { value: cutOut, unit: 'degF' },
  });
  const meaning = (body: EntryBody) => foundMeaning(fold(acceptedInOrder([body])), null)?.values;

  // Oracle: the fact of the trade that set point 36, differential 2 runs from 38 down to 36 (common practice), read backwards.
  test('is taken over by its cut-in and cut-out', () => {
    expect(meaning(band(38, 36))).toEqual({
      'regulation.setpoint': { value: 36, unit: 'degF' },
      'regulation.differential': { value: 2, unit: 'deltaF' },
      'regulation.differentialPlacement': 'setpointIsCutOut',
    });
  });

  test('with cut-in below cut-out it means nothing', () => expect(meaning(band(34, 36))).toBeUndefined());
});

test('survey and circuit that name different volts are asked about, the same volts are not', () => {
  const supply = (value: string): EntryBody => ({ kind: 'answer', question: 'supply', value });
  // A battery is no mains: the circuit stays as it is drawn, and the two are held against each other.
  expect(wiring(timer, supply('24 VDC')).w.supplyQuestion).toContain('The survey says 24 V');
  expect(wiring(timer, supply('208 V')).w.supplyQuestion).toBeNull();
  expect(wiring(timer).w.supplyQuestion).toBeNull();
});
