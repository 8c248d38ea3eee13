/** What is measured on site for the kit list: lengths and sizes in metres and millimetres, 1 for yes. */
export const measureIds = [
  'probeMetres',
  'wireMetres',
  'pipeMm',
  'holeWidthMm',
  'holeHeightMm',
  'inWater',
] as const;
export type MeasureId = (typeof measureIds)[number];

/** What each is called. */
export const measureNames: Readonly<Record<MeasureId, string>> = {
  probeMetres: 'way of the probe cable, m',
  wireMetres: 'way of a wire in the cabinet, m',
  pipeMm: 'pipe the probe is clamped to, mm',
  holeWidthMm: 'hole that is there, width in mm',
  holeHeightMm: 'hole that is there, height in mm',
  inWater: 'probe in water',
};
