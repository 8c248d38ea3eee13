import { beforeEach, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { effectScope, nextTick } from 'vue';
import { memoryStorage } from '../../testing/memoryStorage.ts';
import { idOf, useWriting, writingOf, type LiveWriting } from './useWriting.ts';

const booklet = readFileSync(
  new URL('../../../docs/formats/examples/peat-6.table.tsv', import.meta.url),
  'utf8',
);
const meanings = [{ description: 'Light relay: 0 = with door, 1 = by key', setting: 'access.shortcutKey' }];

let live: LiveWriting;
let answer: unknown[];
beforeEach(() => {
  answer = [];
  Object.assign(globalThis, {
    localStorage: memoryStorage(),
    fetch: async () => ({ ok: true, status: 200, json: async () => ({ meanings: answer }) }),
  });
  live = effectScope().run(() => useWriting())!;
});
const row = (code: string) => live.rows.value.find((r) => r.code === code)!;

test('a pasted table becomes a definition that can be tried', () => {
  live.change({ text: booklet, family: 'Peat 6' });
  expect(live.rows.value).toHaveLength(60);
  expect(live.draft.value.open).toEqual([]);
  expect(live.faults.value).toEqual([]);
  expect(live.machine.value).not.toBeNull();
  expect(live.definition.value).toMatchObject({ id: 'peat-6', family: 'Peat 6', version: '1' });
});

describe('what a person decides stands', () => {
  test('a meaning, whatever is proposed; and that nothing fits', () => {
    live.change({ text: booklet });
    live.decide(row('E36').key, 'fans.delayAfterDrain');
    expect(row('E36')).toMatchObject({ setting: 'fans.delayAfterDrain', decided: true });
    live.decide(row('E36').key, null);
    expect(row('E36')).toMatchObject({ setting: null, decided: true });
  });

  test('what an option stands for', () => {
    live.change({ text: booklet });
    live.say(row('b43').key, '0', 'run');
    expect(row('b43').choices.map((c) => [c.value, c.means, c.sure])).toEqual([
      ['0', 'run', true],
      ['1', 'run', true],
    ]);
  });

  test('a mended cell, which follows its row when lines are put before it', () => {
    live.change({ text: booklet });
    live.mend(row('E36').key, { default: '4' });
    live.change({ text: booklet.replace('J10\t', 'zz\tFirst of all\t0\t5\tmin\t1\nr0\t') });
    expect(row('E36').default).toBe('4');
  });

  test('a row left out, and put back', () => {
    live.change({ text: booklet });
    live.omit(row('F20').key, true);
    expect(live.draft.value.definition.parameters).toHaveLength(59);
    live.omit(row('F20').key, false);
    expect(live.draft.value.definition.parameters).toHaveLength(60);
  });
});

test('the company’s earlier choices weigh in once they are there', async () => {
  answer = meanings;
  live = effectScope().run(() => useWriting())!;
  live.change({ text: booklet });
  await new Promise((resolve) => setTimeout(resolve, 0));
  expect(row('F20').setting).toBe('access.shortcutKey');
});

test('nothing typed is lost: the next visit begins where this one ended', async () => {
  live.change({ text: booklet, family: 'Peat 6' });
  live.decide(row('E36').key, null);
  await nextTick();
  const again = effectScope().run(() => useWriting())!;
  expect(again.writing.value).toEqual(live.writing.value);
});

test('a saved definition holds what it was written from', () => {
  live.change({ text: booklet, family: 'Peat 6' });
  expect(writingOf(JSON.parse(JSON.stringify(live.definition.value)))?.text).toBe(booklet);
  expect(writingOf({ format: 'brine-dial/controller@1', id: 'a', family: 'A', parameters: [] })).toBeNull();
});

test.each([
  ['Peat 6', 'peat-6'],
  ['  Åland & Sons 2.0 ', 'land-sons-2-0'],
  ['***', 'control'],
])('an id from %j', (name, id) => expect(idOf(name)).toBe(id));

describe('what stands beside the table', () => {
  const table =
    'Code;Meaning;Min;Max;Default;Unit\nSP;Set point;-40;10;-20;°C\ndi;Interval between defrosts;1;48;6;h\ndE;Defrost end temperature;0;30;12;°C\n';

  test('nothing that nobody stated is in the definition', () => {
    live.change({ text: table, family: 'Own' });
    const { relays, probes, supply, inputs, alarmCodes } = live.definition.value;
    expect([relays, probes, supply, inputs, alarmCodes]).toEqual(Array(5).fill(undefined));
  });

  test('a deduced fact is only implied until it is confirmed; then it is built in, with its reason', () => {
    live.change({ text: table, family: 'Own' });
    expect(live.definition.value.implied).toMatchObject({ 'defrost.initiation': 'interval' });
    live.sayBuiltIn({ 'defrost.initiation': 'coolingTime' });
    const { fixed, fixedReasons, implied } = live.definition.value;
    expect(fixed).toMatchObject({ 'defrost.initiation': 'coolingTime' });
    expect(fixedReasons!['defrost.initiation']).toContain('di, Interval between defrosts');
    expect(implied).not.toHaveProperty('defrost.initiation');
    live.sayBuiltIn({ 'defrost.initiation': null });
    expect(live.definition.value.fixed).not.toHaveProperty('defrost.initiation');
  });

  test('connections change what is deduced: without a relay for it nothing heats the coil', () => {
    live.change({ text: table, family: 'Own' });
    const method = () => live.implied.value.find((i) => i.setting === 'defrost.method')!.value;
    expect(method()).toBe('electric');
    live.connect({
      relays: [
        {
          drives: 'compressor',
          common: '1',
          normallyOpen: '2',
          normallyClosed: '',
          resistiveAmps: '10',
          motorFullLoadAmps: '',
          motorLockedRotorAmps: '',
          fedInside: 'no',
        },
      ],
    });
    expect(method()).toBe('offCycle');
    expect(live.faults.value).toEqual([]);
  });

  test('alarm codes with what to look at first; a wrong rating is told', () => {
    live.change({
      text: table,
      family: 'Own',
      alarms: [{ code: ' E1 ', means: 'Air probe', severity: 'check', checks: 'lead; plug ; ' }],
    });
    expect(live.definition.value.alarmCodes).toEqual([
      { code: 'E1', means: 'Air probe', severity: 'check', firstChecks: ['lead', 'plug'] },
    ]);
    live.connect({ supply: [{ volts: 'mains', kind: 'ac', terminals: ['', ''] }] });
    expect(live.connections.value.problems).toEqual([expect.stringContaining('expected volts')]);
  });
});
