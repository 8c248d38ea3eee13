/** Enthalpy of water at 0, 10 … 150 °C on the saturation line, kJ/kg: IAPWS-IF97 as printed in steam tables, from memory. */
const enthalpies = [
  0, 42.02, 83.91, 125.73, 167.53, 209.34, 251.18, 293.07, 335.01, 377.04, 419.17, 461.42, 503.81, 546.38,
  589.16, 632.18,
];

/** Enthalpy of liquid water, kJ/kg, 0 to 150 °C: between the tens by a cubic through the four around, so that it has no step. */
export function waterEnthalpy(celsius: number): number {
  const t = Math.min(150, Math.max(0, celsius)) / 10;
  const from = Math.min(enthalpies.length - 4, Math.max(0, Math.floor(t) - 1));
  // Lagrange: each of the four weighs what it does at this place.
  let sum = 0;
  for (let i = from; i < from + 4; i += 1) {
    let weight = 1;
    for (let k = from; k < from + 4; k += 1) if (k !== i) weight *= (t - k) / (i - k);
    sum += weight * enthalpies[i]!;
  }
  return sum;
}

/** Density of air-free water at atmospheric pressure, kg/m³, 0 to 150 °C. Kell 1975, J. Chem. Eng. Data 20, 97, from memory. */
export function waterDensity(celsius: number): number {
  const t = celsius;
  return (
    (999.83952 +
      16.945176 * t -
      7.9870401e-3 * t ** 2 -
      46.170461e-6 * t ** 3 +
      105.56302e-9 * t ** 4 -
      280.54253e-12 * t ** 5) /
    (1 + 16.87985e-3 * t)
  );
}
