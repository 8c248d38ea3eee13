/** Work that comes due by an hour meter. Hours; common practice, from memory: the maker's own list goes first. */
export interface ServiceInterval {
  readonly id: string;
  readonly what: string;
  readonly every: number;
  readonly meter: HourMeter;
}

export const hourMeters = ['total', 'engine', 'standby'] as const;
export type HourMeter = (typeof hourMeters)[number];
export const hourMeterNames: Readonly<Record<HourMeter, string>> = {
  total: 'Hours switched on',
  engine: 'Hours of the engine',
  standby: 'Hours on shore power',
};

export const serviceIntervals: readonly ServiceInterval[] = [
  { id: 'oil', what: 'Oil and oil filter', every: 1000, meter: 'engine' },
  { id: 'airFilter', what: 'Air and fuel filters', every: 1000, meter: 'engine' },
  { id: 'belts', what: 'Belts looked at and set', every: 500, meter: 'engine' },
  { id: 'coolant', what: 'Coolant renewed', every: 6000, meter: 'engine' },
  { id: 'coils', what: 'Coils washed, drains cleared', every: 1500, meter: 'total' },
  { id: 'standby', what: 'Standby motor and plug', every: 2000, meter: 'standby' },
];

/** One service with what is left. */
export interface ServiceDue {
  readonly service: ServiceInterval;
  readonly doneAt: number | null;
  readonly left: number | null;
  readonly state: 'due' | 'soon' | 'later' | 'unknown';
}

/** So near is soon, as a share of the interval. */
const SOON = 0.1;

/** What is due, soonest first; without a last service the first multiple of the interval above zero hours counts. A meter nobody read leaves it unknown. */
export function servicesDue(
  hours: Readonly<Partial<Record<HourMeter, number>>>,
  done: Readonly<Partial<Record<string, number>>>,
): readonly ServiceDue[] {
  return serviceIntervals
    .map((service): ServiceDue => {
      const now = hours[service.meter];
      const doneAt = done[service.id] ?? null;
      if (now === undefined) return { service, doneAt, left: null, state: 'unknown' };
      const left = (doneAt ?? 0) + service.every - now;
      return {
        service,
        doneAt,
        left,
        state: left <= 0 ? 'due' : left <= SOON * service.every ? 'soon' : 'later',
      };
    })
    .toSorted((a, b) => (a.left ?? Infinity) - (b.left ?? Infinity));
}

/** A meter runs forward only: null where the new reading may be, else a sentence. */
export function meterProblem(before: number | null, now: number): string | null {
  if (!(now >= 0 && now < 1_000_000)) return 'An hour meter shows 0 to 999 999 hours.';
  return before !== null && now < before
    ? `It showed ${before} h before: an hour meter does not run backwards. Read it again, or was it changed?`
    : null;
}
