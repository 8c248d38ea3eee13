import {
  servicesDue,
  tripStages,
  tripSteps,
  type DoorStop,
  type HourMeter,
  type ServiceDue,
  type TripReading,
  type TripStage,
  type TripStep,
} from '../../judgement/transport/index.ts';
import type { AlarmSign } from '../../controllers/alarmCodes/index.ts';
import { allStanding, type JobState } from '../fold/index.ts';

/** A step with what came of it. */
export interface RunStep {
  readonly step: TripStep;
  readonly state: 'done' | 'fault' | null;
  readonly value: number | null;
  readonly word: string;
}

/** What is recorded of a trip. */
export interface Trip {
  readonly stages: readonly { readonly stage: TripStage; readonly steps: readonly RunStep[] }[];
  readonly readings: readonly TripReading[];
  readonly stops: readonly DoorStop[];
  readonly hours: Readonly<Partial<Record<HourMeter, number>>>;
  readonly services: readonly ServiceDue[];
  readonly signs: ReadonlyMap<string, AlarmSign>;
  readonly done: number;
  readonly faults: number;
  readonly total: number;
}

/** A trip from the stream of its job. */
export function tripOf(state: JobState): Trip {
  const stand = new Map(allStanding(state, 'tripStep').map((s) => [s.step, s]));
  const steps = tripSteps.map((step): RunStep => {
    const mine = stand.get(step.id);
    return { step, state: mine?.state ?? null, value: mine?.value ?? null, word: mine?.word ?? '' };
  });
  const hours = Object.fromEntries(
    allStanding(state, 'hours').flatMap((h) => (h.hours === null ? [] : [[h.meter, h.hours]])),
  );
  const serviced = Object.fromEntries(
    allStanding(state, 'serviced').flatMap((s) => (s.atHours === null ? [] : [[s.service, s.atHours]])),
  );
  return {
    stages: tripStages.map((stage) => ({ stage, steps: steps.filter((s) => s.step.stage === stage) })),
    readings: allStanding(state, 'tripReading')
      .flatMap((r) => (r.celsius === null ? [] : [{ at: r.readAt, place: r.place, celsius: r.celsius }]))
      .toSorted((a, b) => a.at.localeCompare(b.at)),
    stops: allStanding(state, 'doorStop')
      .flatMap((s) => (s.minutes === null ? [] : [{ at: s.openedAt, minutes: s.minutes }]))
      .toSorted((a, b) => a.at.localeCompare(b.at)),
    hours,
    services: servicesDue(hours, serviced),
    signs: new Map(
      allStanding(state, 'alarmSign').flatMap((s) => (s.sign ? [[s.alarm, s.sign] as const] : [])),
    ),
    done: steps.filter((s) => s.state === 'done').length,
    faults: steps.filter((s) => s.state === 'fault').length,
    total: steps.length,
  };
}
