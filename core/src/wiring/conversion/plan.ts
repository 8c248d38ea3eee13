import type { Circuit, Part, Wire } from '../circuit/index.ts';
import type { WiringFinding } from '../findings/index.ts';
import type { Demand } from '../suitability/index.ts';
import type { SupplyChoice } from './supply.ts';

/** A relay of the new control with what it works. */
export interface RelayUse {
  readonly output: string;
  readonly relay: string;
  /** Part ids of the loads and coils in its line. */
  readonly works: readonly string[];
  readonly demand: Demand;
  /** A contactor put between, because the relay is too weak; with the reason. */
  readonly contactor: { readonly id: string; readonly frameAmps: number; readonly because: string } | null;
}

/** The new circuit, wire by wire. */
export interface ConversionPlan {
  readonly circuit: Circuit;
  readonly removed: readonly Wire[];
  readonly gone: readonly Part[];
  readonly relays: readonly RelayUse[];
  readonly supply: SupplyChoice | null;
  /** What could not be planned; each says what a person has to decide. */
  readonly problems: readonly string[];
  readonly notes: readonly string[];
  readonly findings: readonly WiringFinding[];
}
