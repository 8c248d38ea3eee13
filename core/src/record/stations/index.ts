/** The six stations of a job, always in this order. Apart from what is computed of them: a list of jobs names them without loading it. */
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
export const openStations: ReadonlySet<StationId> = new Set<StationId>([
  'survey',
  'fit',
  'wire',
  'program',
  'prove',
  'handover',
]);
