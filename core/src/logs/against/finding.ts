/** What a log says against the settings, or by itself: number first, then the likeliest why. Numbers in °C, K, min, h, %. */
export interface LogFinding {
  readonly code: LogFindingCode;
  readonly severity: 'error' | 'warning' | 'note';
  readonly message: string;
  readonly why: string;
  readonly numbers: Readonly<Record<string, number>>;
}

export const logFindingCodes = [
  'tooCoarse',
  'setPointChanged',
  'bandShifted',
  'differentialDiffers',
  'restHoldsStart',
  'restNotHonoured',
  'probeInSupplyAir',
  'alwaysRunning',
  'manyStarts',
  'heaterDead',
  'endsByTime',
  'endDiffers',
  'intervalDiffers',
  'coilIces',
  'outsideLimits',
] as const;
export type LogFindingCode = (typeof logFindingCodes)[number];
