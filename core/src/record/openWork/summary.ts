import type { JobSummary } from '@brine/contract/routes';
import { standing } from '../fold/index.ts';
import { complaintOf, progressOf } from '../job/index.ts';
import { stationNames, stations } from '../stations/index.ts';
import type { JobParts } from './openItems.ts';
import { openSummary, openWork } from './openWork.ts';

/** The summary of a job from what its stations show, with what was found otherwise than an earlier job left it. */
export function summaryOf(parts: JobParts, drift: JobSummary['drift'] = []): JobSummary {
  const { state, program, wiring, proving } = parts;
  const work = openWork(parts);
  const progress = progressOf(state, program, wiring, proving, work);
  const next = stations.find((id) => !progress[id].done) ?? null;
  const over = state.registers.get('handedOver')?.at(-1)?.entry;
  const due = (proving?.calibrations ?? []).map((c) => c.nextDue).filter(Boolean);
  const [followUp] = work.followUps;
  return {
    stations: stations.map((id) => progress[id]),
    next: next && { station: next, name: stationNames[next], words: progress[next].words },
    open: work.items.length,
    unanswered: work.unanswered.length,
    openWords: openSummary(work.items),
    handedOver: over?.body.kind === 'handedOver' ? { at: over.deviceTime, to: over.body.to } : null,
    followUp: followUp ? { due: followUp.due, what: followUp.what } : null,
    calibrationDue: due.toSorted()[0] ?? null,
    drift,
    complaint: complaintOf(state),
    control: standing(state, 'control:new', 'control')?.definition?.family ?? '',
  };
}
