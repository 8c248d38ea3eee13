import { toolFactIds, type CoilLook, type ToolFactId } from '../../judgement/tools/index.ts';
import type { AlarmSign } from '../../controllers/alarmCodes/index.ts';
import type { HourMeter } from '../../judgement/transport/index.ts';

/** Facts of condensers and transport units. */
const machineFactIds = [
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
/** kW, count, count, W, °C, 1 for yes, °C, °C; m, m, m, share of new, °C, °C; the tools’ own in the unit they name. */
export type FactId = (typeof machineFactIds)[number] | ToolFactId;
/** What is measured or known on site for the tools of one kind of job. */
export const factIds: readonly FactId[] = [...machineFactIds, ...toolFactIds];

export const tripStepStates = ['done', 'fault'] as const;
export type TripStepState = (typeof tripStepStates)[number];

/** What is done with the tools of one kind of job: condenser fans, transport units, coils, cellars and the rest. */
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
  | {
      readonly kind: 'frostNote';
      readonly row: number;
      readonly column: number;
      /** 0 none to 3 thick; null takes it back. */
      readonly level: number | null;
    }
  | {
      readonly kind: 'humidity';
      readonly readAt: string;
      readonly percent: number | null;
      readonly coil: CoilLook | null;
    }
  | { readonly kind: 'runOnStep'; readonly doneAt: string; readonly minutes: number | null }
  | { readonly kind: 'hours'; readonly meter: HourMeter; readonly hours: number | null }
  | { readonly kind: 'serviced'; readonly service: string; readonly atHours: number | null }
  | { readonly kind: 'alarmSign'; readonly alarm: string; readonly sign: AlarmSign | null };

/** Every kind of such an entry; the compiler holds the list to the type. */
export const tradeKinds = Object.keys({
  fact: true,
  tripStep: true,
  tripReading: true,
  doorStop: true,
  frostNote: true,
  humidity: true,
  runOnStep: true,
  hours: true,
  serviced: true,
  alarmSign: true,
} satisfies Record<TradeBody['kind'], true>) as readonly TradeBody['kind'][];

/** True for what the tools of one kind of job write. */
export const isTrade = (body: { readonly kind: string }): body is TradeBody =>
  (tradeKinds as readonly string[]).includes(body.kind);

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
    case 'frostNote':
      return `frostNote:${body.row}:${body.column}`;
    case 'humidity':
      return `humidity:${body.readAt}`;
    case 'runOnStep':
      return `runOnStep:${body.doneAt}`;
    case 'hours':
      return `hours:${body.meter}`;
    case 'serviced':
      return `serviced:${body.service}`;
    case 'alarmSign':
      return `alarmSign:${body.alarm}`;
  }
}
