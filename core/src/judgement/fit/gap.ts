/** How a gap is bridged; `ask`: nobody stated it yet. */
export type BridgeKind =
  | 'jumper'
  | 'contactor'
  | 'transformer'
  | 'otherRelay'
  | 'breakContact'
  | 'followCompressor'
  | 'leaveAlwaysOn'
  | 'leaveEmpty'
  | 'clearsInRests'
  | 'probeExchange'
  | 'timeOnly'
  | 'doorInFanLine'
  | 'separateInstrument'
  | 'ask';

/** What has to be added or accepted, in words, and with its own figures where it has some. */
export interface Bridge {
  readonly kind: BridgeKind;
  readonly words: string;
  readonly coil?: { readonly volts: number; readonly amps: number };
  readonly frameAmps?: number;
}

/** Something the unit asks and the control has not; without a bridge it cannot be done. */
export interface Gap {
  readonly need: string;
  readonly lacks: string;
  readonly bridge: Bridge | null;
}

/** What a bridge costs in the ranking: parts, work, and what is given up. A judgement of ours, not a figure of the trade. */
export const bridgeCosts: Readonly<Record<BridgeKind, number>> = {
  jumper: 0.5,
  contactor: 8,
  transformer: 9,
  otherRelay: 6,
  breakContact: 3,
  followCompressor: 5,
  leaveAlwaysOn: 3,
  leaveEmpty: 3,
  clearsInRests: 6,
  probeExchange: 2,
  timeOnly: 9,
  doorInFanLine: 3,
  separateInstrument: 2,
  ask: 2,
};
