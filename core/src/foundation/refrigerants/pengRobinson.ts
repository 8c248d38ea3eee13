/** First vapour, or last liquid. */
type Side = 'bubble' | 'dew';

/** Universal gas constant, kJ/(kmol·K). Exact by definition (SI 2019), to the places given. */
const GAS = 8.31446261815324;
const ROOT_2 = Math.SQRT2;

/** A substance as a cubic equation of state knows it: critical point, acentric factor, kg/kmol. */
export interface Substance {
  readonly criticalK: number;
  readonly criticalKPa: number;
  readonly acentric: number;
  readonly molarMass: number;
}

/** A mixture: substances with their shares of the moles. */
export interface Mixture {
  readonly parts: readonly { readonly substance: Substance; readonly share: number }[];
}

/** Shares by mass, as a blend is written, in shares of the moles. */
export function mixtureOf(
  parts: readonly { readonly substance: Substance; readonly mass: number }[],
): Mixture {
  const moles = parts.map(({ substance, mass }) => mass / substance.molarMass);
  const all = moles.reduce((sum, n) => sum + n, 0);
  return { parts: parts.map(({ substance }, i) => ({ substance, share: moles[i]! / all })) };
}

/** Attraction and covolume of each substance at a temperature. */
interface Constants {
  readonly a: readonly number[];
  readonly b: readonly number[];
}

function constantsOf({ parts }: Mixture, kelvin: number): Constants {
  const a = parts.map(({ substance: { criticalK, criticalKPa, acentric: w } }) => {
    const kappa = 0.37464 + 1.54226 * w - 0.26992 * w * w;
    const alpha = (1 + kappa * (1 - Math.sqrt(kelvin / criticalK))) ** 2;
    return ((0.45724 * (GAS * criticalK) ** 2) / criticalKPa) * alpha;
  });
  const b = parts.map(({ substance: s }) => (0.0778 * GAS * s.criticalK) / s.criticalKPa);
  return { a, b };
}

/** Least and greatest real root of the cubic for the compressibility, above the covolume. */
function roots(A: number, B: number): readonly [number, number] {
  const [c2, c1, c0] = [-(1 - B), A - 3 * B * B - 2 * B, -(A * B - B * B - B ** 3)];
  // Cardano: z = t − c2/3.
  const p = c1 - (c2 * c2) / 3;
  const q = (2 * c2 ** 3) / 27 - (c2 * c1) / 3 + c0;
  const d = (q / 2) ** 2 + (p / 3) ** 3;
  const shift = -c2 / 3;
  if (d > 0) {
    const z = Math.cbrt(-q / 2 + Math.sqrt(d)) + Math.cbrt(-q / 2 - Math.sqrt(d)) + shift;
    return [z, z];
  }
  const r = 2 * Math.sqrt(-p / 3);
  const angle = Math.acos(Math.max(-1, Math.min(1, (3 * q) / (p * r)))) / 3;
  const all = [0, 1, 2].map((k) => r * Math.cos(angle - (2 * Math.PI * k) / 3) + shift);
  const real = all.filter((z) => z > B);
  return [Math.min(...real), Math.max(...real)];
}

/** Logarithms of the fugacity coefficients of a phase of these shares: liquid by the least root, vapour by the greatest. */
function lnFugacities(
  { a, b }: Constants,
  shares: readonly number[],
  kelvin: number,
  kPa: number,
  phase: 'liquid' | 'vapour',
): readonly number[] {
  // Van der Waals mixing without interaction: a of a pair is the geometric mean.
  const root = a.map(Math.sqrt);
  const sum = shares.reduce((total, x, i) => total + x * root[i]!, 0);
  const mixedA = sum * sum;
  const mixedB = shares.reduce((total, x, i) => total + x * b[i]!, 0);
  const A = (mixedA * kPa) / (GAS * kelvin) ** 2;
  const B = (mixedB * kPa) / (GAS * kelvin);
  const [least, greatest] = roots(A, B);
  const Z = phase === 'liquid' ? least : greatest;
  const log = Math.log((Z + (1 + ROOT_2) * B) / (Z + (1 - ROOT_2) * B));
  return b.map(
    (own, i) =>
      (own / mixedB) * (Z - 1) -
      Math.log(Z - B) -
      (A / (2 * ROOT_2 * B)) * ((2 * root[i]! * sum) / mixedA - own / mixedB) * log,
  );
}

const SETTLED = 1e-11;
const ROUNDS = 500;

/**
 * Saturation pressure of a mixture, kPa absolute, at a temperature in K: bubble or dew, by equal fugacities of both phases. Equation of state of Peng and Robinson,
 * Ind. Eng. Chem. Fundam. 15 (1976) 59 (from memory), van der Waals mixing, interaction coefficients of nothing. NaN where no two phases are found, as near the
 * critical point.
 */
export function mixturePressure(mixture: Mixture, kelvin: number, side: Side): number {
  const constants = constantsOf(mixture, kelvin);
  const given = mixture.parts.map(({ share }) => share);
  // Wilson's estimate begins.
  let k = mixture.parts.map(
    ({ substance: s }) => s.criticalKPa * Math.exp(5.373 * (1 + s.acentric) * (1 - s.criticalK / kelvin)),
  );
  let kPa =
    side === 'bubble'
      ? given.reduce((sum, x, i) => sum + x * k[i]!, 0)
      : 1 / given.reduce((sum, y, i) => sum + y / k[i]!, 0);
  k = k.map((one) => one / kPa);
  for (let round = 0; round < ROUNDS; round += 1) {
    const raw = given.map((x, i) => (side === 'bubble' ? x * k[i]! : x / k[i]!));
    const total = raw.reduce((sum, x) => sum + x, 0);
    const other = raw.map((x) => x / total);
    const [liquid, vapour] = side === 'bubble' ? [given, other] : [other, given];
    const inLiquid = lnFugacities(constants, liquid, kelvin, kPa, 'liquid');
    const inVapour = lnFugacities(constants, vapour, kelvin, kPa, 'vapour');
    k = inLiquid.map((ln, i) => Math.exp(ln - inVapour[i]!));
    const found = given.reduce((sum, x, i) => sum + (side === 'bubble' ? x * k[i]! : x / k[i]!), 0);
    kPa *= side === 'bubble' ? found : 1 / found;
    if (!Number.isFinite(kPa)) return Number.NaN;
    if (Math.abs(found - 1) < SETTLED) return kPa;
  }
  return Number.NaN;
}
