import { mainMenuOf, type CodeValue, type CodeValues } from '../../controllers/definitions/index.ts';
import type { AtPanel } from '../../controllers/interrupted/index.ts';
import type { Machine, Wish } from '../../controllers/panel/index.ts';
import { parseNumber } from '../../foundation/quantities/index.ts';
import { added, standing, type Head, type JobState } from '../fold/index.ts';
import type { Program, ProgramRow } from './program.ts';

/** What was keyed at a control since it was last known what it holds, and who did the last of it. */
export interface AtCabinet extends Omit<AtPanel, 'under'> {
  readonly last: {
    readonly code: string;
    readonly author: string;
    readonly device: string;
    readonly at: string;
  } | null;
}

/** A menu without a time-out of its own closes by a cut alone; then a pause is taken for one after this, s. */
const LONG_PAUSE_S = 600;

/** After how long without a key the menu of a control may have closed, s. */
export const menuMayCloseAfter = ({ definition }: Machine): number =>
  mainMenuOf(definition)?.timeOut?.seconds ?? LONG_PAUSE_S;

/** What a settled code stands at: what was keyed, or what the display showed instead; null where it is open, or that is no value. */
export function valueAtCabinet(row: ProgramRow): CodeValue | null {
  if (row.state === 'keyed') return row.value;
  if (row.state !== 'showsElse' || row.shown === null) return null;
  return row.parameter.encoding.type === 'number' ? parseNumber(row.shown) : row.shown;
}

/** Codes that stand at the control by what was keyed or shown, as wishes; of `but` nothing is said. */
export const wishesAtCabinet = (rows: readonly ProgramRow[], but: string | null = null): readonly Wish[] =>
  rows.flatMap((row) => {
    const value = valueAtCabinet(row);
    return value === null || row.code === but ? [] : [{ code: row.code, value }];
  });

/** What was read back from the control that is the new one now; what came before it was of another. */
function readBacks(state: JobState): readonly Head[] {
  const chosen = state.registers.get('control:new')?.at(-1);
  return added(state, 'readBack').filter((head) => !chosen || inStream(chosen, head) < 0);
}

/** Values that were seen on this very control: read before anything was keyed, where it is the control that was found, and read since. */
export function knownCodes(state: JobState, found: Program['found']): CodeValues {
  const [old, own] = (['old', 'new'] as const).map(
    (role) => standing(state, `control:${role}`, 'control')?.definition?.hash,
  );
  const before = old !== undefined && old === own ? (found?.codes ?? []) : [];
  const since = readBacks(state).flatMap(({ entry: { body } }) =>
    body.kind === 'readBack' ? body.read.map(({ code, value }) => [code, value] as const) : [],
  );
  return new Map([...before, ...since]);
}

/** What was keyed at a job's new control, in order, since its memory was last known for certain. */
export function atCabinetOf(state: JobState, program: Program, machine: Machine): AtCabinet {
  const closes = menuMayCloseAfter(machine);
  const lastRead = readBacks(state).at(-1);
  const settled = program.rows
    .flatMap((row) => {
      const value = valueAtCabinet(row);
      const head = state.registers.get(`keyed:${row.code}`)?.at(-1);
      return value === null || !head ? [] : [{ wish: { code: row.code, value }, head }];
    })
    .toSorted((a, b) => inStream(a.head, b.head));
  // What went over the bus was read back from the control's own memory: no menu can have dropped it.
  const isSure = ({ head }: (typeof settled)[number]) =>
    overBus(head) || (lastRead !== undefined && inStream(head, lastRead) < 0);
  const sure = settled.filter(isSure);
  const open = settled.filter((one) => !isSure(one));
  const last = open.at(-1);
  return {
    before: new Map([...knownCodes(state, program.found), ...sure.map(({ wish }) => asPair(wish))]),
    done: open.map(({ wish, head }, i) => ({
      ...wish,
      pause: i + 1 < open.length && secondsBetween(head, open[i + 1]!.head) > closes,
    })),
    last: last
      ? {
          code: last.wish.code,
          author: last.head.entry.author,
          device: last.head.entry.device,
          at: last.head.entry.deviceTime,
        }
      : null,
  };
}

const overBus = ({ entry: { body } }: Head) => body.kind === 'keyed' && body.over === 'bus';

const asPair = ({ code, value }: Wish) => [code, value] as const;

/** By the place in the stream; what waits on this device comes after, as it was typed. */
const inStream = (a: Head, b: Head): number =>
  a.sequence === b.sequence
    ? a.entry.deviceSequence - b.entry.deviceSequence
    : (a.sequence ?? Infinity) - (b.sequence ?? Infinity);

const secondsBetween = (a: Head, b: Head) =>
  Math.abs(Date.parse(b.entry.deviceTime) - Date.parse(a.entry.deviceTime)) / 1000;
