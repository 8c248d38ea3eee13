import { lowestCondensing } from '../../../foundation/refrigerants/index.ts';
import type { CondenserPlant } from './plant.ts';

/** What of a condenser can be said on site; the rest follows. */
export interface CondenserChoice {
  readonly kilowatts: number;
  readonly compressors: number;
  readonly fans: number;
  readonly fanWatts: number;
  readonly evaporating: number;
  readonly refrigerant: string;
  readonly dirty: boolean;
}

/** A condenser picked 10 K above design air of 32 °C, as usual for cold rooms (common practice: 8 to 15 K). */
const APPROACH = 10;
const DESIGN_AIR = 32;
/** Heat to reject over cooling at design (common practice: 1.2 for coolers, 1.4 and more for freezers). */
const REJECTED = 1.3;
/** Seconds in which the condenser follows its fans at full speed (common practice: a minute or so). */
const FOLLOWS = 60;

/** Parameters of a condenser from what was said of it. */
export function condenserPlant(choice: CondenserChoice): CondenserPlant {
  const capacity = Math.max(200, choice.kilowatts * 1000);
  const conductance = (capacity * REJECTED) / APPROACH;
  return {
    capacity,
    compressors: Math.min(8, Math.max(1, Math.round(choice.compressors))),
    evaporating: choice.evaporating,
    ratedCondensing: DESIGN_AIR + APPROACH,
    conductance,
    clean: choice.dirty ? 0.6 : 1,
    heatCapacity: conductance * FOLLOWS,
    fanWatts: Math.max(5, choice.fanWatts),
    fans: Math.min(8, Math.max(1, Math.round(choice.fans))),
    subcooling: 2,
    lag: 12,
    lowestCondensing: lowestCondensing(choice.refrigerant, choice.evaporating).celsius,
  };
}
