/** What happened at a tick, with the reason and the numbers that caused it. */
export interface ControlEvent {
  readonly t: number;
  readonly kind:
    | 'compressor'
    | 'defrost'
    | 'fan'
    | 'stage2'
    | 'alarm'
    | 'phase'
    | 'alarmCause'
    | 'probeFault'
    | 'defrostSkipped'
    | 'commandRefused'
    | 'stagesFight'
    | 'condenserFan'
    | 'held';
  readonly value: boolean | string | number;
  readonly reason?: string;
  readonly numbers?: Readonly<Record<string, number>>;
}

/** Where events go. A run that needs none hands in a function that drops them. */
export type Emit = (event: ControlEvent) => void;
