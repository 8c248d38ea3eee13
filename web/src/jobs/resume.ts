import { type Progress } from '@brine/core/record/job';
import { openStations, stations, type StationId } from '@brine/core/record/stations';

type ProgressOfJob = Readonly<Record<StationId, Progress>>;

/** Where a station is worked at: of Program, the cabinet once keying has begun. */
export function pathOf(station: StationId, keyed: number): string {
  if (station === 'program') return keyed > 0 ? 'program/cabinet' : 'program/plan';
  return station === 'prove' ? 'prove/run' : station;
}

/** The first station that is not done; Hand over where all are. */
export const nextStation = (progress: ProgressOfJob): StationId =>
  stations.find((id) => openStations.has(id) && !progress[id].done) ?? 'handover';

/** The station to go to from one: itself while it is not done, else the first one after it that is not. */
export function stationAfter(progress: ProgressOfJob, here: StationId): StationId | null {
  const later = stations.slice(stations.indexOf(here) + 1).filter((id) => openStations.has(id));
  return later.find((id) => !progress[id].done) ?? later[0] ?? null;
}

const PLACE = 'brine-place:';

/** Where one was last in a job, on this device: `program/cabinet`. */
export const lastPlace = (job: string): string | null => localStorage.getItem(PLACE + job);

export const notePlace = (job: string, place: string): void => localStorage.setItem(PLACE + job, place);
