import type { JobSummary } from '@brine/contract/routes';
import { standing } from '../fold/index.ts';
import { stationNames, stations, type Progress, type StationId } from '../job/index.ts';
import { openSummary, openWork, type JobParts } from './openItems.ts';
import { handoverProgress } from './handing.ts';

/** The summary of a job from what its stations show. */
export function summaryOf(parts: JobParts, progress: Readonly<Record<StationId, Progress>>): JobSummary {
  const { state, proving } = parts;
  const work = openWork(parts);
  const all = { ...progress, handover: handoverProgress(state, work) };
  const next = stations.find((id) => !all[id].done) ?? null;
  const over = state.registers.get('handedOver')?.at(-1)?.entry;
  const said = standing(state, 'answer:complaint', 'answer')?.value;
  const due = (proving?.calibrations ?? []).map((c) => c.nextDue).filter(Boolean);
  const [followUp] = work.followUps;
  return {
    stations: stations.map((id) => all[id]),
    next: next && { station: next, name: stationNames[next], words: all[next].words },
    open: work.items.length,
    unanswered: work.unanswered.length,
    openWords: openSummary(work.items),
    handedOver: over?.body.kind === 'handedOver' ? { at: over.deviceTime, to: over.body.to } : null,
    followUp: followUp ? { due: followUp.due, what: followUp.what } : null,
    calibrationDue: due.toSorted()[0] ?? null,
    complaint: typeof said === 'string' ? said : '',
    control: standing(state, 'control:new', 'control')?.definition?.family ?? '',
  };
}
