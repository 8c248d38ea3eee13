import type { Program } from './program.ts';
import { standing, type JobState } from './fold.ts';
import { foundSheet, openQuestions } from './survey.ts';

/** The six stations of a job, always in this order. */
export const stations = ['survey', 'fit', 'wire', 'program', 'prove', 'handover'] as const;
export type StationId = (typeof stations)[number];

export const stationNames: Readonly<Record<StationId, string>> = {
  survey: 'Survey',
  fit: 'Fit',
  wire: 'Wire',
  program: 'Program',
  prove: 'Prove',
  handover: 'Hand over',
};

/** Stations that work in this version; the others are shown, and say so. */
export const openStations: ReadonlySet<StationId> = new Set<StationId>(['survey', 'program', 'handover']);

/** How far a station is, in a few words. */
export interface Progress {
  readonly words: string;
  readonly done: boolean;
}

/** Progress of each station, computed from the stream. */
export function progressOf(state: JobState, program: Program): Readonly<Record<StationId, Progress>> {
  const open = openQuestions(state).length;
  const found = foundSheet(state, null).length;
  const total = program.rows.length;
  const settled = program.rows.filter((row) => row.state !== 'open').length;
  const over = standing(state, 'handedOver', 'handedOver');
  return {
    survey: {
      words: open > 0 ? `${open} answers missing` : `${found} values found`,
      done: open === 0 && Boolean(standing(state, 'control:new', 'control')?.definition),
    },
    fit: { words: 'not yet', done: false },
    wire: { words: 'not yet', done: false },
    program: {
      words: total === 0 ? 'no control chosen' : `${settled} of ${total} keyed in`,
      done: total > 0 && settled === total,
    },
    prove: { words: 'not yet', done: false },
    handover: { words: over ? `to ${over.to || 'the site'}` : 'sheet', done: over !== undefined },
  };
}
