import { ampsOf } from './amps.ts';
import { expectedAmps, type HeaterConnection } from './heater.ts';

/** Loads whose amps and ohms follow from their plate. */
export const loadKinds = ['heater', 'fan', 'coil'] as const;
export type LoadKind = (typeof loadKinds)[number];

/** What a plate says of a load. A coil's plate is in VA, a fan's in W or A, a heater's in W. */
export interface LoadPlate {
  readonly kind: LoadKind;
  /** W, or VA of a coil. */
  readonly power: number | null;
  /** Amps where the plate has them. */
  readonly amps: number | null;
  readonly volts: number;
  readonly connection: HeaterConnection;
}

/** What meter and clamp should show. Ohms are null where a plate does not give them. */
export interface ExpectedLoad {
  readonly amps: number;
  readonly least: number;
  readonly most: number;
  readonly ohms: { readonly least: number; readonly most: number } | null;
  readonly words: string;
}

/** Power factor of a small shaded-pole or capacitor motor, and how far its amps may lie from the plate (common practice, from memory). */
const FAN_POWER_FACTOR = 0.65;
const FAN = { less: 0.6, more: 1.15 };
/** A coil that is pulled in draws its VA; its winding has a tenth to nearly all of its impedance (common practice, from memory). */
const COIL = { less: 0.8, more: 1.2, ohmsLeast: 0.1, ohmsMost: 0.9 };
const HEATER_OHMS = { less: 0.95, more: 1.11 };

/**
 * Amps and ohms of a load from its plate, with what is still good. Heaters: Ohm's law. Fans: plate amps, else W / (V·0.65), √3 for three phases; a winding has fewer
 * ohms than V / A says. Coils: VA / V. Null where the plate says too little.
 */
export function expectedLoad(plate: LoadPlate): ExpectedLoad | null {
  const { kind, power, amps, volts, connection } = plate;
  const phases = connection === 'single' ? 1 : 3;
  if (kind === 'heater') {
    if (power === null) return null;
    const heater = expectedAmps({ watts: power, volts, connection, elements: 1 });
    return {
      amps: heater.amps[0]!,
      least: heater.least[0]!,
      most: heater.most[0]!,
      ohms: { least: heater.ohms * HEATER_OHMS.less, most: heater.ohms * HEATER_OHMS.more },
      words: phases === 3 ? 'between any two lines, cold' : 'cold',
    };
  }
  if (kind === 'coil') {
    if (power === null && amps === null) return null;
    const draw = amps ?? power! / volts;
    return {
      amps: draw,
      least: draw * COIL.less,
      most: draw * COIL.more,
      ohms: { least: (COIL.ohmsLeast * volts) / draw, most: (COIL.ohmsMost * volts) / draw },
      words: 'of the winding alone: pulled in, its iron adds the rest',
    };
  }
  const draw = amps ?? (power === null ? null : ampsOf(power, volts, phases).amps / FAN_POWER_FACTOR);
  if (draw === null) return null;
  return {
    amps: draw,
    least: draw * FAN.less,
    most: draw * FAN.more,
    ohms: null,
    words:
      'a motor’s plate does not give its ohms: compare with one that runs, and from each winding to the frame there is none',
  };
}
