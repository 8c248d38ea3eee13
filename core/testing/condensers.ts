import { condenserPlant, type CondenserPlant } from '../src/machines/condenser/index.ts';

/** A condenser of 9 kW with two compressors and two fans, as on a small rack. For tests, timings and the demo's log. */
export const twoFanCondenser: CondenserPlant = condenserPlant({
  kilowatts: 9,
  compressors: 2,
  fans: 2,
  fanWatts: 180,
  evaporating: -8,
  refrigerant: 'R-404A',
  dirty: false,
});
