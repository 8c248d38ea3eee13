import type { AlarmSign, HourMeter } from '../transport/index.ts';

/** What is measured or known on site for the tools of one kind of job, in the unit named. */
export const factIds = [
  'condenserKilowatts',
  'condenserCompressors',
  'condenserFans',
  'condenserFanWatts',
  'condenserEvaporating',
  'condenserDirty',
  'outdoorLow',
  'outdoorHigh',
  'bodyLength',
  'bodyWidth',
  'bodyHeight',
  'bodyInsulation',
  'outdoorNow',
  'bodyStartsAt',
] as const;
/** kW, count, count, W, °C, 1 for yes, °C, °C; m, m, m, share of new, °C, °C. */
export type FactId = (typeof factIds)[number];

export const tripStepStates = ['done', 'fault'] as const;
export type TripStepState = (typeof tripStepStates)[number];

/** What is done with the tools of one kind of job: condenser fans, transport units. */
export type TradeBody =
  | { readonly kind: 'fact'; readonly fact: FactId; readonly value: number | null }
  | {
      readonly kind: 'tripStep';
      readonly step: string;
      readonly state: TripStepState | null;
      readonly value: number | null;
      readonly word: string;
    }
  | {
      readonly kind: 'tripReading';
      readonly readAt: string;
      readonly place: 'return' | 'product';
      readonly celsius: number | null;
    }
  | { readonly kind: 'doorStop'; readonly openedAt: string; readonly minutes: number | null }
  | { readonly kind: 'hours'; readonly meter: HourMeter; readonly hours: number | null }
  | { readonly kind: 'serviced'; readonly service: string; readonly atHours: number | null }
  | { readonly kind: 'alarmSign'; readonly alarm: string; readonly sign: AlarmSign | null };

/** The register such an entry writes. */
export function tradeRegister(body: TradeBody): string {
  switch (body.kind) {
    case 'fact':
      return `fact:${body.fact}`;
    case 'tripStep':
      return `tripStep:${body.step}`;
    case 'tripReading':
      return `tripReading:${body.place}:${body.readAt}`;
    case 'doorStop':
      return `doorStop:${body.openedAt}`;
    case 'hours':
      return `hours:${body.meter}`;
    case 'serviced':
      return `serviced:${body.service}`;
    case 'alarmSign':
      return `alarmSign:${body.alarm}`;
  }
}
