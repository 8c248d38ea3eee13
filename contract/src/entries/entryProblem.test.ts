import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { entryProblem } from './entryProblem.ts';
import type { EntryBody } from './entryBody.ts';
import { sentEntryProblem } from './sentEntry.ts';

describe('an entry from the wire', () => {
  test.each<[unknown, RegExp]>([
    [{ kind: 'fact', fact: 'weight', value: 1 }, /body\.fact: expected one of/],
    [{ kind: 'fact', fact: 'outdoorLow', value: 'cold' }, /body\.value: expected a number/],
    [{ kind: 'tripStep', step: 'wings', state: 'done', value: null, word: '' }, /body\.step/],
    [{ kind: 'tripReading', readAt: 'soon', place: 'return', celsius: 1 }, /body\.readAt: expected a time/],
    [
      { kind: 'doorStop', openedAt: '2026-11-26T06:30:00Z', minutes: -1 },
      /body\.minutes: expected 0 or more/,
    ],
    [{ kind: 'hours', meter: 'wind', hours: 1 }, /body\.meter/],
    [{ kind: 'serviced', service: 'wings', atHours: 1 }, /body\.service/],
    [{ kind: 'alarmSign', alarm: 'a', sign: 'dancing' }, /body\.sign/],
  ])('%j is refused with a sentence', (body, sentence) => expect(entryProblem(body)).toMatch(sentence));

  test.each([
    [{ kind: 'found', code: '', value: '1' }, 'body.code'],
    [{ kind: 'found', code: 'a', value: 5 }, 'body.value'],
    [{ kind: 'answer', question: 'colour', value: 'red' }, 'no question'],
    [{ kind: 'answer', question: 'goods', value: 'gold' }, 'Expected one of'],
    [{ kind: 'answer', question: 'ambient', value: { value: 5, unit: 'K' } }, 'a temperature such as'],
    [
      { kind: 'planned', setting: 'regulation.differential', value: { value: 2, unit: 'degF' } },
      'is a difference',
    ],
    [{ kind: 'planned', setting: 'no.such', value: null }, 'not a known setting'],
    [{ kind: 'keyed', code: 'a', state: 'perhaps', value: 1 }, 'body.state'],
    [{ kind: 'keyed', code: 'a', state: 'showsElse', value: 1 }, 'body.shown'],
    [{ kind: 'note', text: 'x'.repeat(3000) }, 'at most 2000'],
    [
      {
        kind: 'handedOver',
        to: '',
        watch: '',
        open: [{ kind: 'codes', items: [], reason: 7, followUp: null }],
      },
      'body.open[0].reason',
    ],
    [
      {
        kind: 'handedOver',
        to: '',
        watch: '',
        open: [{ kind: 'codes', items: [], reason: ' ', followUp: null }],
      },
      'expected a reason or a follow-up',
    ],
    [{ kind: 'sheet', sheet: 'left', parent: null, definition: null, rows: [{ code: 'a' }] }, 'body.rows[0]'],
    [{ kind: 'burn' }, 'is unknown'],
    ['text', 'expected an object'],
  ])('%j is refused with the field', (body, part) => {
    expect(entryProblem(body)).toContain(part);
  });

  const record = {
    probe: 'air',
    code: null,
    points: [{ reading: 1, reference: 0 }],
    before: null,
    after: null,
    unit: 'K',
    reference: { name: 'Ice', serial: '', due: '', uncertainty: null },
    picture: null,
    date: '2026-11-24',
    nextDue: '',
  };
  test.each([
    [{ kind: 'sign', sign: 'boxWarm', seen: true }],
    [{ kind: 'calibration', id: 'c', record }],
    [{ kind: 'signOff', name: 'A', strokes: [[0, 0, 1, 1]] }],
    [
      {
        kind: 'log',
        id: '3f2b8c1e-0000-4000-8000-000000000001',
        name: 'x.csv',
        layout: null,
        samples: 0,
        from: '',
        to: '',
        findings: ['heaterDead'],
      },
    ],
    [{ kind: 'keypadLocked', locked: null }],
  ])('%j is taken', (body) => expect(entryProblem(body)).toBeNull());

  test.each([
    [{ kind: 'sign', sign: 'smells', seen: true }, 'sign'],
    [{ kind: 'complaintCheck', check: 'icePoint', answer: 'yes' }, 'answer'],
    [{ kind: 'test', test: 'x', result: 'maybe', value: null, word: '', picture: null }, 'result'],
    [{ kind: 'test', test: 'x', result: 'skipped', value: null, word: '', picture: null }, 'word'],
    [{ kind: 'timer', test: 'x', startedAt: 'noon' }, 'startedAt'],
    [
      {
        kind: 'probe',
        id: 'p',
        role: 'air',
        readings: [{ ohms: -1, celsius: 0 }],
        leadOhms: 0,
        sensor: null,
      },
      'readings[0]',
    ],
    [{ kind: 'calibration', id: 'c', record: { ...record, points: [] } }, 'points'],
    [{ kind: 'calibration', id: 'c', record: { ...record, date: 'today' } }, 'date'],
    [{ kind: 'followUp', id: 'f', followUp: { due: '2026-13-01', what: 'x', done: false } }, 'due'],
    [{ kind: 'signOff', name: 'A', strokes: [[0, 0, 2, 1]] }, 'strokes'],
    [{ kind: 'signOff', name: 'A', strokes: [[0, 0, 1]] }, 'strokes'],
    [
      {
        kind: 'log',
        id: '3f2b8c1e-0000-4000-8000-000000000001',
        name: 'x',
        layout: null,
        samples: 0,
        from: '',
        to: '',
        findings: ['gremlins'],
      },
      'findings',
    ],
    [{ kind: 'pullDownReading', readAt: 'x', celsius: 1 }, 'readAt'],
  ])('%j is refused at its field', (body, part) => expect(entryProblem(body)).toContain(part));

  test.each<[string, object]>([
    ['a reading without a place', { kind: 'reading', circuit: 'plan', place: {}, value: 1 }],
    [
      'a reading with both',
      {
        kind: 'reading',
        circuit: 'plan',
        place: { state: 'off', from: 'a', to: 'b', through: 'c' },
        value: 1,
      },
    ],
    [
      'minus volts',
      { kind: 'reading', circuit: 'plan', place: { state: 'off', from: 'a', to: 'b' }, value: -1 },
    ],
    [
      'a circuit nobody knows',
      { kind: 'reading', circuit: 'mine', place: { state: 'off', through: 'M1' }, value: 1 },
    ],
    ['a power state nobody knows', { kind: 'power', state: 'half' }],
    ['a part that is a list', { kind: 'foundPart', id: 'F1', part: [] }],
    ['a part without an id', { kind: 'foundPart', id: '', part: null }],
    ['a part as large as a book', { kind: 'foundPart', id: 'F1', part: { name: 'x'.repeat(3000) } }],
    [
      'a mark outside the picture',
      {
        kind: 'picture',
        id: 'p',
        caption: '',
        width: 10,
        height: 10,
        points: [{ x: 2, y: 0, wire: null, text: '' }],
      },
    ],
    ['a picture without a size', { kind: 'picture', id: 'p', caption: '', width: 0, height: 10, points: [] }],
    ['a measure nobody asks', { kind: 'measure', measure: 'weight', value: 3 }],
    ['a band in kelvin', { kind: 'mechanical', cutIn: { value: 3, unit: 'K' }, cutOut: null }],
    ['a tick that is no yes or no', { kind: 'wired', wire: 'a-b', done: 'yes' }],
  ])('%s is refused with a sentence', (_what, body) => {
    expect(entryProblem(body)).toMatch(/^body\./);
  });

  test.each<[EntryBody]>([
    [{ kind: 'startedFrom', conversion: 'timer-and-thermostat' }],
    [{ kind: 'power', state: 'live' }],
    [{ kind: 'reading', circuit: 'found', place: { state: 'dead', from: 'a', to: 'b' }, value: null }],
    [{ kind: 'reading', circuit: 'plan', place: { state: 'off', through: 'M1' }, value: 0 }],
    [{ kind: 'doubt', id: 'd', fact: { kind: 'neutral', wires: ['a', 'b'] } }],
    [
      {
        kind: 'picture',
        id: '3f2b8c1e-0000-4000-8000-000000000001',
        caption: 'Panel',
        width: 10,
        height: 10,
        points: [{ x: 0, y: 1, wire: null, text: '' }],
      },
    ],
    [{ kind: 'unitLoad', id: 'l', load: { role: 'compressor', watts: 900 } }],
    [{ kind: 'planWire', wire: 'a-b', colour: null, gauge: '14 AWG' }],
  ])('%j is taken', (body) => expect(entryProblem(body)).toBeNull());
});

const job = '3f2b8c1e-0000-4000-8000-000000000001';
const sent = (body: unknown, more: object = {}) => ({
  id: '3f2b8c1e-0000-4000-8000-000000000002',
  job,
  deviceSequence: 1,
  deviceTime: '2026-11-29T10:00:00.000Z',
  seen: 0,
  body,
  ...more,
});

describe('what no database keeps is refused by itself, with a sentence', () => {
  const nested = (levels: number): unknown => {
    let value: unknown = 1;
    for (let i = 0; i < levels; i += 1) value = { a: value };
    return value;
  };
  test.each([
    ['half a character', { kind: 'note', text: `${'a'.repeat(10)}\uD83D` }, 'body.text: the text ends in'],
    ['NUL', { kind: 'note', text: 'a\0b' }, 'body.text: the text holds a character NUL'],
    ['NUL in the name of a field', { kind: 'note', text: 'a', 'x\0': 1 }, 'NUL'],
    ['6,000 levels', { kind: 'foundPart', id: 'F1', part: nested(6000) }, 'at most 12 levels'],
    ['a number past the range', { kind: 'measure', measure: 'pipeMm', value: 1e999 }, 'out of range'],
    ['more values than any entry has', { kind: 'note', text: 'a', more: Array(20_000).fill(0) }, 'at most'],
  ])('%s', (_what, body, part) => expect(entryProblem(body)).toContain(part));

  test.each<[string, object, string]>([
    ['a sequence past an integer', { deviceSequence: 2 ** 31 }, 'deviceSequence: expected a whole number'],
    ['an object for an id', { id: {} }, 'id: expected an id'],
    ['an object for a job', { job: { $ne: null } }, 'job: expected an id'],
    ['a time nobody reads', { deviceTime: 'noon' }, 'deviceTime: expected a time'],
    ['a sequence seen below 0', { seen: -1 }, 'seen: expected a whole number'],
  ])('%s in the frame', (_what, more, part) =>
    expect(sentEntryProblem(sent({ kind: 'note', text: 'a' }, more))).toContain(part),
  );

  test('no entry at all', () => {
    for (const nothing of [null, 5, 'x', []]) expect(sentEntryProblem(nothing)).toMatch(/expected an object/);
  });

  test('a note of 1,999 characters and an emoji is 2,000 and is taken; one more is not', () => {
    const whole = `${'a'.repeat(1999)}😀`;
    expect(sentEntryProblem(sent({ kind: 'note', text: whole }))).toBeNull();
    expect(sentEntryProblem(sent({ kind: 'note', text: `${whole}b` }))).toContain(
      '2001 characters; expected at most 2000',
    );
  });
});

describe('what was let into the stream as anything', () => {
  test.each([
    [{ kind: 'foundPart', id: 'F1', part: {} }, 'body.part'],
    [{ kind: 'foundWire', id: 'a-b', wire: {} }, 'body.wire'],
    [{ kind: 'foundSupply', id: 'L1', supply: {} }, 'body.supply'],
    [{ kind: 'doubt', id: 'd', fact: {} }, 'body.fact'],
    [{ kind: 'unitLoad', id: 'l', load: {} }, 'body.load'],
    [{ kind: 'picture', id: 'p1', caption: '', width: 9, height: 9, points: [] }, 'body.id'],
    [
      {
        kind: 'calibration',
        id: 'c',
        record: {
          probe: 'air',
          code: null,
          points: [{ reading: 1, reference: 0 }],
          before: null,
          after: null,
          unit: 'K',
          reference: { name: 'Ice', serial: '', due: '', uncertainty: null },
          picture: null,
          date: '2026-11-24',
          nextDue: 'zz',
        },
      },
      'body.record.nextDue',
    ],
  ])('%j is refused at its field', (body, part) => expect(entryProblem(body)).toContain(part));

  const log = (layout: object) => ({
    kind: 'log',
    id: job,
    name: 'x.csv',
    layout: {
      delimiter: ',',
      decimal: '.',
      skipLines: 1,
      columns: [
        { name: 'time', role: 'time', fahrenheit: false },
        { name: 'air', role: 'air', fahrenheit: true },
      ],
      order: 'ymd',
      zone: null,
      ...layout,
    },
    samples: 3,
    from: '',
    to: '',
    findings: [],
  });
  test('a layout whose order or zone nobody knows', () => {
    expect(entryProblem(log({}))).toBeNull();
    expect(entryProblem(log({ zone: 'Europe/Lisbon' }))).toBeNull();
    expect(entryProblem(log({ order: 'junk' }))).toContain('order: expected one of ymd');
    expect(entryProblem(log({ zone: 'Mars/Base' }))).toContain('"Mars/Base" is no zone');
    expect(entryProblem(log({ columns: [{ name: 'a', role: 'colour' }] }))).toContain('columns[0]');
  });
});

test('every entry of the demo is taken', () => {
  const demo = JSON.parse(readFileSync(new URL('../../../demo/saltmarsh.json', import.meta.url), 'utf8')) as {
    readonly jobs: readonly { readonly entries: readonly Record<string, unknown>[] }[];
  };
  const pin = { id: 'x', family: 'X', version: '1', hash: 'h' };
  for (const { entries } of demo.jobs)
    for (const { controller, at: _at, ...body } of entries)
      expect(
        entryProblem(
          controller === undefined ? body : ({ ...body, definition: pin } as unknown as EntryBody),
        ),
      ).toBeNull();
});
