import { SECONDS_PER_DAY } from '../../../foundation/limits/index.ts';
/** Coldest and warmest of a day outdoors, °C. */
export interface OutdoorDay {
  readonly low: number;
  readonly high: number;
}

const COLDEST_AT = 5 * 3600;
const WARMEST_AT = 15 * 3600;

/** Outdoor air over a day, °C: half a cosine up from 05:00 to 15:00 and down again until 05:00 (common practice for a fair day). */
export function outdoorAt({ low, high }: OutdoorDay, secondOfDay: number): number {
  const rising = secondOfDay >= COLDEST_AT && secondOfDay <= WARMEST_AT;
  const share = rising
    ? (secondOfDay - COLDEST_AT) / (WARMEST_AT - COLDEST_AT)
    : 1 -
      ((secondOfDay - WARMEST_AT + SECONDS_PER_DAY) % SECONDS_PER_DAY) /
        (SECONDS_PER_DAY - WARMEST_AT + COLDEST_AT);
  return low + ((high - low) * (1 - Math.cos(Math.PI * share))) / 2;
}
