import { describe, expect, test } from '@jest/globals';
import { families } from '../../../testing/families.ts';
import { freezerSurvey } from '../../../testing/freezerSurvey.ts';
import { machineOf } from '../../controllers/panel/index.ts';
import type { AcceptedEntry, Entry, EntryBody } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { atCabinetOf, knownCodes } from './atCabinet.ts';
import { programOf } from './program.ts';

const marl = families.get('marl-4')!;
const machine = machineOf(marl)!;
/** Its menu closes after this, s. */
const closes = marl.panel!.menus[0]!.timeOut!.seconds;

const chosen: EntryBody = {
  kind: 'control',
  role: 'new',
  definition: { id: marl.id, version: marl.version ?? '1', family: marl.family, hash: 'h' },
};

interface Said {
  readonly body: EntryBody;
  /** Seconds after the first. */
  readonly at?: number;
  readonly by?: string;
}

/** A job with this control, and what was said at the cabinet; the last of it may wait on the device still. */
function job(said: readonly Said[], waiting: readonly Said[] = []) {
  const entry = ({ body, at = 0, by = 'tess' }: Said, i: number): Entry => ({
    id: `${by}${i}`,
    job: 'j',
    device: by,
    deviceSequence: i + 1,
    deviceTime: new Date(Date.UTC(2026, 2, 1, 8) + at * 1000).toISOString(),
    seen: i,
    author: by,
    body,
  });
  const first: readonly Said[] = [...freezerSurvey.map((body) => ({ body })), { body: chosen }, ...said];
  const accepted = first.map((one, i): AcceptedEntry => ({
    ...entry(one, i),
    sequence: i + 1,
    receivedAt: '2026-03-01T08:00:00Z',
  }));
  const state = fold(
    accepted,
    waiting.map((one, i) => entry(one, first.length + i)),
  );
  const program = programOf({ state, name: '', old: null, replacement: marl, companyDefaults: {} });
  return { state, program, at: atCabinetOf(state, program, machine) };
}

const rows = job([]).program.rows.filter((row) => !row.undecided);
const keyed = (n: number): EntryBody => ({
  kind: 'keyed',
  code: rows[n]!.code,
  state: 'keyed',
  value: rows[n]!.value,
});
const code = (n: number) => rows[n]!.code;

// Oracle: the streams are short enough to be read by eye.
describe('what was done at a control since it was known what it holds', () => {
  test('codes in the order in which they were said, not in that of the menu; waiting ones last', () => {
    const { at } = job([{ body: keyed(2) }, { body: keyed(0) }], [{ body: keyed(1) }]);
    expect(at.done.map((one) => one.code)).toEqual([code(2), code(0), code(1)]);
    expect(at.last).toMatchObject({ code: code(1), author: 'tess' });
  });

  test('a pause longer than the menu waits is one in which it may have closed', () => {
    const { at } = job([
      { body: keyed(0) },
      { body: keyed(1), at: closes },
      { body: keyed(2), at: 2 * closes + 1 },
    ]);
    expect(at.done.map((one) => one.pause)).toEqual([false, true, false]);
  });

  test('what was read back is sure, with all that was ticked before it', () => {
    const { at, state, program } = job([
      { body: keyed(0) },
      { body: keyed(1) },
      { body: { ...keyed(1), state: null } as EntryBody },
      {
        body: { kind: 'readBack', read: [{ code: code(1), value: 7, shown: '7' }], lost: [code(1)] },
        by: 'lena',
      },
      { body: keyed(2), by: 'lena' },
    ]);
    expect(at.done.map((one) => one.code)).toEqual([code(2)]);
    expect([...at.before]).toEqual([
      [code(1), 7],
      [code(0), rows[0]!.value],
    ]);
    expect([...knownCodes(state, program.found)]).toEqual([[code(1), 7]]);
    expect(at.last).toMatchObject({ code: code(2), author: 'lena', device: 'lena' });
  });

  test('what went over the bus was read back: no menu can have dropped it, and it is told apart from what was keyed', () => {
    const written = { ...keyed(1), over: 'bus', atUnit: 'Una' } as EntryBody;
    const stood = { ...keyed(3), over: 'bus', stood: true } as EntryBody;
    const { at, program } = job([
      { body: keyed(0) },
      { body: written },
      { body: stood },
      { body: keyed(2), by: 'lena' },
    ]);
    expect(at.done.map((one) => one.code)).toEqual([code(0), code(2)]);
    expect([...at.before]).toEqual([
      [code(1), rows[1]!.value],
      [code(3), rows[3]!.value],
    ]);
    const row = (n: number) => program.rows.find((one) => one.code === code(n))!;
    expect([row(0), row(1), row(3)].map(({ overBus }) => overBus)).toEqual([null, 'written', 'stood']);
  });

  test('what was read back from a control that was exchanged since says nothing of the new one', () => {
    const read: EntryBody = {
      kind: 'readBack',
      read: [{ code: code(1), value: 7, shown: '7' }],
      lost: [],
    };
    const { at, state, program } = job([{ body: read }, { body: chosen }, { body: keyed(2) }]);
    expect(at.before).toEqual(new Map());
    expect(knownCodes(state, program.found)).toEqual(new Map());
  });

  test('a value that the display showed instead is what the code stands at', () => {
    const number = rows.find((row) => row.parameter.encoding.type === 'number')!;
    const { at } = job([
      { body: { kind: 'keyed', code: number.code, state: 'showsElse', value: number.value, shown: '-3' } },
    ]);
    expect(at.done).toEqual([{ code: number.code, value: -3, pause: false }]);
  });

  test('nothing keyed, nothing to ask after', () => {
    expect(job([]).at).toEqual({ before: new Map(), done: [], last: null });
  });
});
