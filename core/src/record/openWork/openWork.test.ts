import { describe, expect, test } from '@jest/globals';
import { freezerInFahrenheit } from '../../../testing/freezerSurvey.ts';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { family } from '../../../testing/families.ts';
import type { EntryBody } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { programOf, provingOf, wiringOf } from '../job/index.ts';
import { VERDICT_DONE, type OpenItem } from './openItems.ts';
import { openWork } from './openWork.ts';
import { byKind, openSummary } from './index.ts';

function parts(bodies: readonly EntryBody[], id = 'marl-4') {
  const state = fold(acceptedInOrder([...freezerInFahrenheit, ...bodies]));
  const control = family(id);
  const program = programOf({
    state,
    name: 'Fish store',
    old: null,
    replacement: control,
    companyDefaults: {},
  });
  const wiring = wiringOf(state, program.unit, control);
  const proving = provingOf(state, program, wiring, control, null, 'degF');
  return { state, program, wiring, proving, findings: [] };
}
const count = (items: readonly OpenItem[], kind: OpenItem['kind']) =>
  items.filter((item) => item.kind === kind).length;
const keyAll = (): EntryBody[] =>
  parts([]).program.rows.map((row) => ({ kind: 'keyed', code: row.code, state: 'keyed', value: row.value }));

describe('what is open on a job', () => {
  test('every code and every test, until it is done', () => {
    const fresh = parts([]);
    const { items } = openWork(fresh);
    expect(count(items, 'codes')).toBe(fresh.program.rows.length);
    expect(count(items, 'tests')).toBe(fresh.proving.tests.length);
    const one = openWork(parts(keyAll().slice(0, 1))).items;
    expect(count(one, 'codes')).toBe(fresh.program.rows.length - 1);
    expect(count(openWork(parts(keyAll())).items, 'codes')).toBe(0);
  });

  test('a failed test is open, a skipped one has said why', () => {
    const result = (
      r: 'failed' | 'skipped' | 'passed',
      word = '',
      value: number | null = null,
    ): EntryBody => ({
      kind: 'test',
      test: 'dead.probes',
      result: r,
      value,
      word,
      picture: null,
    });
    const tests = (body: EntryBody) => openWork(parts([body])).items.filter((i) => i.id === 'dead.probes');
    expect(tests(result('failed', 'loose'))[0]?.words).toContain('failed (loose)');
    expect(tests(result('skipped', 'no key'))).toEqual([]);
    expect(tests(result('passed'))).toEqual([]);
  });

  test('dead readings passed without one being written down stay open, unless a word says why', () => {
    const passed = (word: string): EntryBody => ({
      kind: 'test',
      test: 'dead.meter',
      result: 'passed',
      value: null,
      word,
      picture: null,
    });
    const begun: EntryBody = { kind: 'startedFrom', conversion: 'timer-and-thermostat' };
    const open = (word: string) => {
      const work = parts([begun, passed(word)]);
      expect(work.wiring.plan).not.toBeNull();
      return openWork(work).items.filter((i) => i.id === 'dead.meter');
    };
    expect(open('')[0]?.words).toContain('no dead reading is written down');
    expect(open('read on paper, in the file')).toEqual([]);
  });

  test('a verdict stands until it is carried out', () => {
    const verdict: EntryBody = {
      kind: 'verdict',
      cause: null,
      decision: 'repair',
      words: 'Evaporator fan stopped',
    };
    const done: EntryBody = {
      kind: 'followUp',
      id: VERDICT_DONE,
      followUp: { due: '2026-11-30', what: 'Fan motor changed', done: true },
    };
    expect(openWork(parts([verdict])).items.find((i) => i.kind === 'verdict')?.words).toBe(
      'Repair the unit: Evaporator fan stopped.',
    );
    expect(count(openWork(parts([verdict, done])).items, 'verdict')).toBe(0);
    const explained = { ...verdict, decision: 'explain' } as EntryBody;
    expect(count(openWork(parts([explained])).items, 'verdict')).toBe(0);
  });

  test('a reason given at the hand-over holds for what was open then, and for nothing that opens later', () => {
    const before = openWork(parts(keyAll()));
    const tests = before.items.filter((i) => i.kind === 'tests').map((i) => i.id);
    const over: EntryBody = {
      kind: 'handedOver',
      to: 'Mr Own',
      watch: '',
      open: [{ kind: 'tests', items: tests.slice(1), reason: 'Warm goods in the box', followUp: null }],
    };
    const after = openWork(parts([...keyAll(), over]));
    expect(after.unanswered.filter((i) => i.kind === 'tests').map((i) => i.id)).toEqual(tests.slice(0, 1));
    // A code planned anew after it opens again.
    const again = openWork(parts([...keyAll(), over, { kind: 'plannedCode', code: 'hold', value: 3 }]));
    expect(again.unanswered.some((i) => i.kind === 'codes' && i.id === 'hold')).toBe(true);
  });

  test('coming back for it is an answer until somebody was there', () => {
    const tests = openWork(parts(keyAll()))
      .items.filter((i) => i.kind === 'tests')
      .map((i) => i.id);
    const over: EntryBody = {
      kind: 'handedOver',
      to: 'Mr Own',
      watch: '',
      open: [{ kind: 'tests', items: tests, reason: '', followUp: 'open:tests' }],
    };
    const back = (done: boolean): EntryBody => ({
      kind: 'followUp',
      id: 'open:tests',
      followUp: { due: '2026-12-03', what: 'Do the tests', done },
    });
    const waits = openWork(parts([...keyAll(), back(false), over]));
    expect([count(waits.unanswered, 'tests'), waits.followUps[0]?.due]).toEqual([0, '2026-12-03']);
    expect(count(openWork(parts([...keyAll(), over, back(true)])).unanswered, 'tests')).toBe(tests.length);
  });

  test('is told by kind in the order of the work', () => {
    const { items } = openWork(parts([]));
    expect(byKind(items).map((g) => g.kind)).toEqual(['codes', 'tests']);
    expect(openSummary(items)).toMatch(/^\d+ codes not keyed in, \d+ tests open$/);
    expect(openSummary([])).toBe('');
  });
});
