/** A supply as a control or a plate has it. */
export interface StatedSupply {
  readonly volts: number;
  readonly phases?: number;
  readonly kind?: 'ac' | 'dc';
}

/** Supplies of this many volts at most come from a battery where nothing else is said; in a vehicle up to those of a lorry's. */
const BATTERY_V = 14;
const VEHICLE_V = 32;

/**
 * Reads a supply as people write it: “208 V, 3 phases”, “230V~”, “12 V, battery”, “24 VDC”. Of a range (“208–240 V”) the first number, since what is there is metered. Null
 * where no volts are said. In a vehicle 24 V is a battery, elsewhere a transformer.
 */
export function readSupplyText(text: string, inVehicle = false): StatedSupply | null {
  const found = /(\d+(?:[.,]\d+)?)\s*(?:(?:[-–/]|to)\s*\d+(?:[.,]\d+)?\s*)?V(?![a-z]{3})/i.exec(text);
  if (!found) return null;
  const volts = Number(found[1]!.replace(',', '.'));
  if (!(volts > 0 && volts < 1000)) return null;
  const direct =
    /\bDC\b|VDC|V\s*=|batter|direct/i.test(text) ||
    (volts <= (inVehicle ? VEHICLE_V : BATTERY_V) && !/\bAC\b|VAC|~/i.test(text));
  const three = /\b3\s*(?:ph|~|phases?)|three[- ]phase/i.test(text);
  return { volts, ...(three && { phases: 3 }), ...(direct && { kind: 'dc' as const }) };
}
