/** Heat of sea water at 33 g/kg, J/(kg·K), and its density, kg/m³; from memory, within 1 % from 0 to 20 °C. */
const SEA_HEAT = 3995;
const SEA_DENSITY = 1025;
const FRESH_HEAT = 4190;
const FRESH_DENSITY = 999.7;

/**
 * Freezing point at atmospheric pressure, °C, of water with so many grams of salt a kg, 0 to 42. UNESCO technical papers in marine science 44
 * (Fofonoff and Millard 1983), from memory.
 */
export function freezingPoint(salinity: number): number {
  return -0.0575 * salinity + 1.710523e-3 * salinity ** 1.5 - 2.154996e-4 * salinity ** 2;
}

/** Heat of so many litres, J/K: between fresh and sea water by the salt. */
export function waterHeat(litres: number, salinity: number): number {
  const share = Math.min(1, salinity / 33);
  const perLitre =
    (FRESH_HEAT * FRESH_DENSITY + share * (SEA_HEAT * SEA_DENSITY - FRESH_HEAT * FRESH_DENSITY)) / 1000;
  return litres * perLitre;
}
