import type { Program } from './program.ts';
import { standing, type JobState } from '../fold/index.ts';
import { tally, type Proving } from './proving.ts';
import type { JobWiring } from './wiring.ts';
import type { StationId } from '../stations/index.ts';
import { foundSheet, openQuestions } from './survey.ts';

/** How far a station is, in a few words. */
export interface Progress {
  readonly words: string;
  readonly done: boolean;
}

/** What a job leaves open, as its hand-over counts it. */
interface Left {
  readonly items: readonly unknown[];
  /** Those for which nobody has said why. */
  readonly unanswered: readonly unknown[];
}
const nothingLeft: Left = { items: [], unanswered: [] };

/** Progress of each station, computed from the stream; `left`: what is open, by the room of open work. */
export function progressOf(
  state: JobState,
  program: Program,
  wiring: JobWiring | null = null,
  proving: Proving | null = null,
  left: Left = nothingLeft,
): Readonly<Record<StationId, Progress>> {
  const open = openQuestions(state).length;
  const found = foundSheet(state, null).length;
  const total = program.rows.length;
  const settled = program.rows.filter((row) => row.state !== 'open').length;
  return {
    survey: {
      words: open > 0 ? `${open} answers missing` : `${found} values found`,
      done: open === 0 && Boolean(standing(state, 'control:new', 'control')?.definition),
    },
    fit: fitProgress(state, wiring),
    wire: wireProgress(wiring),
    program: {
      words: total === 0 ? 'no control chosen' : `${settled} of ${total} keyed in`,
      done: total > 0 && settled === total,
    },
    prove: proveProgress(proving),
    handover: handoverProgress(state, left),
  };
}

/** Done once somebody has it, and whatever is open was answered for. */
function handoverProgress(state: JobState, { items, unanswered }: Left): Progress {
  const over = standing(state, 'handedOver', 'handedOver');
  if (!over) return { words: items.length === 0 ? 'ready' : `${items.length} open`, done: false };
  const to = `to ${over.to || 'the site'}`;
  if (unanswered.length > 0) return { words: `${to}, ${unanswered.length} open since`, done: false };
  return { words: items.length === 0 ? to : `${to}, ${items.length} left open`, done: true };
}

function fitProgress(state: JobState, wiring: JobWiring | null): Progress {
  const chosen = standing(state, 'control:new', 'control')?.definition;
  if (!chosen) return { words: 'no control chosen', done: false };
  const bridges = (wiring?.fit?.gaps ?? []).filter((gap) => gap.bridge && gap.bridge.kind !== 'jumper');
  if (wiring?.fit?.verdict === 'cannot') return { words: `${chosen.family} cannot`, done: false };
  return {
    words:
      bridges.length > 0
        ? `${chosen.family}, ${bridges.length} ${bridges.length === 1 ? 'bridge' : 'bridges'}`
        : chosen.family,
    done: true,
  };
}

function proveProgress(proving: Proving | null): Progress {
  if (!proving || proving.tests.length === 0) return { words: 'no tests yet', done: false };
  const { passed, failed, open, total } = tally(proving);
  if (failed > 0) return { words: `${failed} failed`, done: false };
  return { words: open === 0 ? 'proven' : `${passed} of ${total} tests`, done: open === 0 };
}

function wireProgress(wiring: JobWiring | null): Progress {
  if (!wiring?.started) return { words: 'wires not traced', done: false };
  if (!wiring.plan) return { words: 'traced', done: false };
  const { tasks, wired, judged } = wiring;
  const off = judged.filter((j) => j.verdict === 'off').length;
  if (off > 0) return { words: `${off} ${off === 1 ? 'reading is' : 'readings are'} off`, done: false };
  const done = tasks.filter((wire) => wired.has(wire)).length;
  if (done < tasks.length) return { words: `${done} of ${tasks.length} wires`, done: false };
  const states = new Set(judged.map((j) => j.reading.state));
  const all = ['dead', ...Object.keys(wiring.plan.circuit.states)];
  return { words: `wired, ${judged.length} readings`, done: all.every((s) => states.has(s)) };
}
