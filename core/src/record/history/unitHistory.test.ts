import { expect, test } from '@jest/globals';
import type { AcceptedEntry, EntryBody } from '../entries/index.ts';
import { sharedPage, type LeaveBehindSheet } from '../handover/index.ts';
import { unitHistory, type HistoryJob } from './unitHistory.ts';

const pin = { id: 'tarn-1', family: 'Tarn 1', version: '1', hash: 'h1' };
const job = (id: string, createdAt: string, bodies: readonly EntryBody[], foreign = false): HistoryJob => ({
  id,
  title: id,
  createdAt,
  entries: bodies.map((body, i): AcceptedEntry => ({
    id: `${id}-${i}`,
    job: id,
    device: 'd',
    deviceSequence: i + 1,
    deviceTime: new Date(Date.parse(createdAt) + i * 60_000).toISOString(),
    seen: i,
    author: 'tess',
    sequence: i + 1,
    receivedAt: new Date(Date.parse(createdAt) + i * 60_000).toISOString(),
    body,
    ...(foreign && { foreign: { author: 'Ann Other', receivedAt: createdAt } }),
  })),
});
const march = job('march', '2026-03-18T09:00:00.000Z', [
  { kind: 'control', role: 'new', definition: pin },
  {
    kind: 'sheet',
    sheet: 'left',
    parent: null,
    definition: pin,
    rows: [
      { code: '1', value: '38', setting: 'regulation.setpoint' },
      { code: '2', value: 3 },
    ],
  },
  { kind: 'alarmSeen', id: 'a', code: 'E1', words: 'air probe', cleared: true },
  { kind: 'followUp', id: 'f', followUp: { due: '2026-09-01', what: 'Calibrate', done: false } },
]);
const november = (set: string, hash = 'h1') =>
  job('november', '2026-11-23T09:00:00.000Z', [
    { kind: 'control', role: 'old', definition: { ...pin, hash } },
    { kind: 'found', code: '1', value: set },
    { kind: 'found', code: '2', value: '3.0' },
  ]);

// Oracle: left 38/3 in March, found 35/3: somebody turned it (common practice).
test('a value found otherwise than it was left is drift; the same in other spelling is none', () => {
  expect(unitHistory([november('35'), march]).drift).toEqual([
    expect.objectContaining({ code: '1', setting: 'regulation.setpoint', left: '38', found: '35' }),
  ]);
  expect(unitHistory([november('38.0'), march]).drift).toEqual([]);
});

test('another version of the definition is not compared: its codes may mean something else', () => {
  expect(unitHistory([november('35', 'h2'), march]).drift).toEqual([]);
});

test('history is newest first, alarms and due dates are gathered, foreign entries say whose they are', () => {
  const history = unitHistory([march, { ...november('35'), id: 'n' }]);
  const times = history.lines.map((line) => line.at);
  expect(times).toEqual(times.toSorted().toReversed());
  expect(history.lines.map((line) => line.words)).toContain('2 values read from the old control');
  expect(history.alarms).toMatchObject([{ code: 'E1', cleared: true }]);
  expect(history.followUps).toMatchObject([{ due: '2026-09-01', done: false }]);
  const taken = unitHistory([
    job('x', '2026-01-01T00:00:00.000Z', [{ kind: 'note', text: 'brought along' }], true),
  ]);
  expect(taken.lines.find((line) => line.kind === 'note')!.foreign).toBe('Ann Other');
});

test('papers, logs and photographs are found again, the latest first; what was taken away is not', () => {
  const picture = { kind: 'picture', caption: 'Plate', width: 4, height: 3, points: [] } as const;
  const log = {
    kind: 'log',
    name: 'a.csv',
    samples: 9,
    findings: [],
    from: '2026-03-01',
    to: '2026-03-09',
  } as const;
  const history = unitHistory([
    job('old', '2026-03-18T09:00:00.000Z', [
      { kind: 'handedOver', to: 'Mrs Own', watch: '' },
      { ...picture, id: 'p1' },
      { ...picture, id: 'p2' },
      { ...picture, id: 'p2', gone: true },
      { ...log, id: 'l1', layout: {} as never },
      { ...log, id: 'l2', layout: null },
    ]),
    job('new', '2026-11-23T09:00:00.000Z', [
      { kind: 'handedOver', to: 'Mr Own', watch: '' },
      { ...log, id: 'l3', to: '2026-11-20', layout: {} as never },
      { ...picture, id: 'p3' },
    ]),
    job('open', '2026-11-24T09:00:00.000Z', []),
  ]);
  expect(history.papers.map(({ job: id, to }) => [id, to])).toEqual([
    ['new', 'Mr Own'],
    ['old', 'Mrs Own'],
  ]);
  expect(history.logs.map(({ job: id, to }) => [id, to])).toEqual([
    ['new', '2026-11-20'],
    ['old', '2026-03-09'],
  ]);
  expect(history.pictures.map(({ id }) => id)).toEqual(['p3', 'p1']);
});

test('the shared page holds no more than it names', () => {
  const sheet = {
    unit: 'U',
    site: 'S',
    company: 'C',
    control: 'K',
    date: 'd',
    by: 'A Person',
    plate: ['secret'],
    phone: '555',
    setTo: [],
    open: [],
    verdict: 'not for everybody',
    complaint: 'not for everybody',
    groups: [],
    builtIn: [],
    watch: [],
    lost: [],
    alarms: [],
    next: [],
    signOff: { name: 'Signer', strokes: [] },
    readings: ['x'],
  } as unknown as LeaveBehindSheet;
  expect(Object.keys(sharedPage(sheet)).sort()).toEqual([
    'alarms',
    'builtIn',
    'company',
    'control',
    'date',
    'groups',
    'lost',
    'next',
    'open',
    'phone',
    'planned',
    'setTo',
    'site',
    'unit',
    'watch',
  ]);
});

/** The same job typed on a phone whose clock is off by so many days. */
const onAPhone = (of: HistoryJob, days: number): HistoryJob => ({
  ...of,
  entries: of.entries.map((entry) => ({
    ...entry,
    deviceTime: new Date(Date.parse(entry.deviceTime) + days * 86_400_000).toISOString(),
  })),
});

// Oracle: the record's rule, sequence and time of receipt decide, never a device's clock.
test.each([
  ['the first phone a year ahead', 366, 0],
  ['the second phone a year behind', 0, -366],
  ['both off, the other way round', 500, -500],
])('drift is found with %s', (_what, first, second) => {
  const { drift, lines } = unitHistory([onAPhone(november('35'), second), onAPhone(march, first)]);
  expect(drift).toEqual([expect.objectContaining({ code: '1', left: '38', found: '35' })]);
  // What was received last stands first, whatever its phone says.
  expect(lines[0]!.job).toBe('november');
});

test('a time is never shown later than the server had it', () => {
  const { sheets } = unitHistory([onAPhone(march, 366)]);
  expect(sheets[0]!.at.slice(0, 10)).toBe('2026-03-18');
});

test('a learned box is told once, though it stands in every job of the unit, and what came of its prediction with it', () => {
  const learned: EntryBody = { kind: 'learned', name: 'week.csv', from: '', to: '', unit: '', box: null };
  const first = job('first', '2026-03-01T08:00:00.000Z', [learned]);
  const copy = job('second', '2026-04-01T08:00:00.000Z', [learned]);
  const copied: HistoryJob = {
    ...copy,
    entries: copy.entries.map((entry) => ({ ...entry, deviceTime: first.entries[0]!.deviceTime })),
  };
  const held = job('third', '2026-05-01T08:00:00.000Z', [
    {
      kind: 'heldAgainst',
      log: '3f2b8c1e-0000-4000-8000-000000000009',
      name: 'later.csv',
      predictedAt: '2026-04-01T08:00:00.000Z',
      figures: [
        { figure: 'dutyPercent', measured: 90, value: 60, low: 55, high: 65 },
        { figure: 'airMean', measured: 3, value: 3, low: 2.5, high: 3.5 },
      ],
    },
  ]);
  const words = unitHistory([first, copied, held]).lines.map((line) => line.words);
  expect(words.filter((line) => line === 'Own box forgotten')).toHaveLength(1);
  expect(words).toContain('later.csv held against the prediction: 1 of 2 figures otherwise');
});

test('what went over a bus is counted apart from what somebody keyed', () => {
  const keyed = (code: string, more: object = {}) =>
    ({ kind: 'keyed', code, state: 'keyed', value: 1, ...more }) as EntryBody;
  const over = { over: 'bus', atUnit: 'Una' };
  const { lines } = unitHistory([
    job('bus', '2026-03-18T09:00:00.000Z', [
      keyed('1'),
      keyed('2', over),
      keyed('3', over),
      keyed('4', { ...over, stood: true }),
      keyed('5', { ...over, state: 'showsElse', shown: '2' }),
    ]),
  ]);
  expect(
    lines
      .map(({ words }) => words)
      .filter((words) => /code/.test(words))
      .sort(),
  ).toEqual([
    '1 code keyed in',
    '1 code not taken over the bus',
    '1 code read over the bus, as planned',
    '2 codes written over the bus',
  ]);
});
