export const CIRCUIT_FORMAT = 'brine-dial/circuit@1';

/** A supply conductor: a potential to earth behind 0.05 Ω. Volts are root mean square for AC, signed for DC; degrees is the phase. */
export interface SupplyLine {
  readonly id: string;
  readonly volts: number;
  readonly degrees?: number;
  readonly kind?: 'ac' | 'dc';
}

/** What a contact or a pole may carry. */
export interface ContactRatings {
  readonly resistiveAmps?: number;
  readonly motorFullLoadAmps?: number;
  readonly motorLockedRotorAmps?: number;
}

interface PartBase {
  readonly id: string;
  /** What a person calls it; the id where it has none. */
  readonly name?: string;
  /** True for a part of the device that comes out. */
  readonly old?: boolean;
  /** What stands beside a terminal in the device's own print, by terminal name. */
  readonly labels?: Readonly<Record<string, string>>;
}

export interface FusePart extends PartBase {
  readonly kind: 'fuse';
  readonly terminals: readonly string[];
  readonly amps: number;
}

/** A switch that something else than the control works: by hand, by pressure, by heat. `safety`: it protects, and stays in series. */
export interface SwitchPart extends PartBase {
  readonly kind: 'switch';
  readonly terminals: readonly string[];
  readonly closedIn: readonly string[];
  readonly safety?: boolean;
}

/** A contact worked by an output: com–no when on, com–nc when off. */
export interface ContactPart extends PartBase {
  readonly kind: 'contact';
  readonly terminals: readonly string[];
  readonly drivenBy: string;
  /** In a plan: the parts it works. */
  readonly works?: readonly string[];
  readonly ratings?: ContactRatings;
}

/** A consumer. Linear: two terminals ratedVolts²/watts, three a star. `amps` from the plate adds the lag of a motor. */
export interface LoadPart extends PartBase {
  readonly kind: 'load';
  readonly role: string;
  /** The output it belongs to, where its role does not say. */
  readonly output?: string;
  readonly terminals: readonly string[];
  readonly watts: number;
  readonly ratedVolts: number;
  readonly amps?: number;
  readonly lockedRotorAmps?: number;
}

/** A contactor or relay with a coil of its own; pulls in at 75 % of coil volts. */
export interface ContactorPart extends PartBase {
  readonly kind: 'contactor';
  readonly coil: readonly string[];
  readonly coilOhms: number;
  readonly coilVolts: number;
  /** The output it belongs to, where what hangs on its poles does not say. */
  readonly output?: string;
  readonly poles: readonly (readonly string[])[];
  /** Poles that are closed while the coil is out. */
  readonly breaks?: readonly (readonly string[])[];
  readonly ratings?: ContactRatings;
}

/** The supply side of a control: without it the contacts it owns are not driven. */
export interface ControlPart extends PartBase {
  readonly kind: 'control';
  readonly terminals: readonly string[];
  readonly ohms: number;
  readonly ratedVolts: number;
  readonly owns: readonly string[];
  /** In a plan: the definition of the control, by id. */
  readonly controller?: string;
}

export interface ProbePart extends PartBase {
  readonly kind: 'probe';
  /** In a plan: what it feels, and the types that the control takes. */
  readonly role?: string;
  readonly types?: readonly string[];
  readonly terminals: readonly string[];
  readonly ohms: number;
}

/** Two windings: primary and secondary terminals, volts of each, volt-amperes. An addition of this project to the format. */
export interface TransformerPart extends PartBase {
  readonly kind: 'transformer';
  readonly primary: readonly string[];
  readonly secondary: readonly string[];
  readonly ratedVolts: number;
  readonly secondaryVolts: number;
  readonly va: number;
}

/** A terminal block or splice: one point with a name. An addition of this project to the format. */
export interface JunctionPart extends PartBase {
  readonly kind: 'junction';
  readonly terminals: readonly string[];
}

export type Part =
  | FusePart
  | SwitchPart
  | ContactPart
  | LoadPart
  | ContactorPart
  | ControlPart
  | ProbePart
  | TransformerPart
  | JunctionPart;

export type PartKind = Part['kind'];

/** What a plan does with a wire. */
export type WireChange = 'kept' | 'moved' | 'new' | 'jumper';

/** A conductor between two terminals: `K1.no`, or a supply's id. */
export interface Wire {
  readonly from: string;
  readonly to: string;
  readonly colour?: string;
  /** What is written on the wire or beside it. */
  readonly label?: string;
  readonly purpose?: string;
  readonly gauge?: number | string;
  /** True for a connection inside a device: nobody can move or meter it. */
  readonly internal?: boolean;
  /** In a plan: what becomes of the wire. */
  readonly change?: WireChange;
  /** In a plan: where a moved wire was. */
  readonly was?: { readonly from: string; readonly to: string };
  /** In a plan: insulation to take off, so that it meets the terminal. */
  readonly stripMm?: number;
  /** Probe and signal leads: kept away from mains. */
  readonly lowVoltage?: boolean;
}

/** `*.circuit.json`: supplies, parts, wires, and the outputs that are on in each state. */
export interface Circuit {
  readonly format: typeof CIRCUIT_FORMAT;
  readonly summary?: string;
  readonly supplies: readonly SupplyLine[];
  readonly parts: readonly Part[];
  readonly wires: readonly Wire[];
  readonly states: Readonly<Record<string, readonly string[]>>;
  /** How the old device is to be taken over, where it is not simply taken out. */
  readonly conversion?: Conversion;
}

/** How the old device is taken over. An addition of this project to the format. */
export interface Conversion {
  /** Old contacts that stay in place, bridged by a jumper. */
  readonly bridge?: readonly string[];
  /** Wires of the old thermostat, by id, that carry the new probe. */
  readonly probeWires?: readonly string[];
}

/** Every terminal name of a part, in the order of its print. */
export function terminalsOf(part: Part): readonly string[] {
  switch (part.kind) {
    case 'contactor':
      return [...part.coil, ...part.poles.flat(), ...(part.breaks ?? []).flat()];
    case 'transformer':
      return [...part.primary, ...part.secondary];
    default:
      return part.terminals;
  }
}

/** The three ends of a contact by name where they are called com, no and nc, else by place. */
export function contactEnds(part: ContactPart): {
  readonly com: string;
  readonly no: string | null;
  readonly nc: string | null;
} {
  const named = part.terminals.includes('com');
  if (named)
    return {
      com: 'com',
      no: part.terminals.includes('no') ? 'no' : null,
      nc: part.terminals.includes('nc') ? 'nc' : null,
    };
  return { com: part.terminals[0]!, no: part.terminals[1] ?? null, nc: part.terminals[2] ?? null };
}

/** Ids of the wires in file order: `from-to`, `#2` for a second one alike. */
export function wireIds(wires: readonly Wire[]): readonly string[] {
  const seen = new Map<string, number>();
  return wires.map((wire) => {
    const plain = `${wire.from}-${wire.to}`;
    const count = (seen.get(plain) ?? 0) + 1;
    seen.set(plain, count);
    return count === 1 ? plain : `${plain}#${count}`;
  });
}

/** The part a terminal `part.terminal` belongs to; undefined for a supply. */
export function partOfEnd(circuit: Pick<Circuit, 'parts'>, end: string): Part | undefined {
  return circuit.parts.find((part) => end.startsWith(`${part.id}.`));
}

/** What a person calls a part. */
export function nameOf(part: Part): string {
  return part.name ?? part.id;
}
