import { seeded } from './seeded.ts';

/** How a log is made. Temperatures °C, times s. */
export interface Recipe {
  readonly name: string;
  readonly seed: number;
  readonly days: number;
  readonly every: number;
  readonly cutOut: number;
  readonly cutIn: number;
  readonly ambient: number;
  /** Air settles at ambient less this while it runs. */
  readonly pull: number;
  /** Time constant of the box, s. */
  readonly tau: number;
  readonly minRest?: number;
  readonly noise?: number;
  readonly defrost?: {
    readonly every: number;
    readonly rate: number;
    readonly end: number;
    readonly most: number;
    readonly drain: number;
    readonly columns: readonly ('coil' | 'defrost')[];
  };
  /** Share of the readings lost in stretches. */
  readonly gaps?: number;
  readonly compressorColumn?: boolean;
  /** From this second on the band is moved by so many K. */
  readonly moved?: { readonly at: number; readonly by: number };
}

/** What is true of a log made so. */
export interface Truth {
  readonly cutIn: number;
  readonly cutOut: number;
  readonly startsPerHour: number;
  readonly dutyPercent: number;
  readonly defrosts: readonly {
    readonly start: number;
    readonly end: number;
    readonly endedBy: 'temperature' | 'time';
  }[];
  readonly rowsPerCycle: number;
  readonly gaps: number;
}

const T0 = Date.UTC(2026, 2, 3) / 1000;

/**
 * A thermostat on a box of first order (the closed form T = T∞ + (T0 − T∞)·e^(−t/τ), stepped by 5 s), ambient swinging over the day, with defrosts by temperature
 * and time, noise and gaps: a log as a logger writes it, and what is true of it. Nothing of the analysis is used.
 */
export function generatedLog(recipe: Recipe): { readonly csv: string; readonly truth: Truth } {
  const random = seeded(recipe.seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const dt = 5;
  let air = recipe.cutIn;
  let coil = recipe.cutOut - 6;
  let on = true;
  let since = 0;
  let phase: 'cool' | 'defrost' | 'drain' = 'cool';
  let phaseAt = 0;
  let nextDefrost = recipe.defrost ? recipe.defrost.every / 2 : Infinity;
  let frost = 0;
  let [starts, running, counted] = [0, 0, 0];
  const defrosts: { start: number; end: number; endedBy: 'temperature' | 'time' }[] = [];
  const rows: { t: number; cells: string[] }[] = [];
  const total = recipe.days * 86400;
  const cutAt: number[] = [];
  for (let t = 0; t < total; t += dt) {
    const by = recipe.moved && t >= recipe.moved.at ? recipe.moved.by : 0;
    const ambient = recipe.ambient + 2 * Math.sin((2 * Math.PI * t) / 86400);
    if (phase === 'cool') {
      if (recipe.defrost && t >= nextDefrost) {
        [phase, phaseAt] = ['defrost', t];
        if (on) since = t;
        on = false;
        nextDefrost = t + recipe.defrost.every;
        // Frost varies from defrost to defrost, and with it the heat that it takes.
        frost = (0.4 + 1.2 * random()) * 600;
      } else if (on && air <= recipe.cutOut + by) {
        [on, since] = [false, t];
      } else if (!on && air >= recipe.cutIn + by && t - since >= (recipe.minRest ?? 0)) {
        [on, since] = [true, t];
        starts += 1;
        cutAt.push(t);
      }
    } else if (phase === 'defrost') {
      const byTemperature = coil >= recipe.defrost!.end;
      if (byTemperature || t - phaseAt >= recipe.defrost!.most) {
        defrosts.push({ start: phaseAt, end: t, endedBy: byTemperature ? 'temperature' : 'time' });
        [phase, phaseAt] = ['drain', t];
      }
    } else if (t - phaseAt >= recipe.defrost!.drain) {
      phase = 'cool';
      if (air >= recipe.cutIn + by) {
        [on, since] = [true, t];
        starts += 1;
      }
    }
    if (phase === 'cool') {
      counted += dt;
      if (on) running += dt;
    }
    const target = on ? ambient - recipe.pull : ambient;
    air = target + (air - target) * Math.exp(-dt / recipe.tau);
    if (phase === 'defrost') {
      // Up to melting, a stop there while the frost melts, and on.
      if (coil < 0 || frost <= 0) coil += recipe.defrost!.rate * dt;
      else frost -= dt * (recipe.defrost!.rate / 0.02);
    } else {
      const coilTarget = on ? air - 8 : air - 0.5;
      coil = coilTarget + (coil - coilTarget) * Math.exp(-dt / 180);
    }
    if (t % recipe.every === 0) {
      const read = (x: number) => (Math.round((x + (recipe.noise ?? 0) * normal()) * 10) / 10).toFixed(1);
      const cells = [new Date((T0 + t) * 1000).toISOString().slice(0, 19), read(air)];
      if (recipe.defrost?.columns.includes('coil')) cells.push(read(coil));
      if (recipe.compressorColumn !== false) cells.push(on ? '1' : '0');
      if (recipe.defrost?.columns.includes('defrost')) cells.push(phase === 'defrost' ? '1' : '0');
      rows.push({ t, cells });
    }
  }
  const header = ['time', 'air_degC'];
  if (recipe.defrost?.columns.includes('coil')) header.push('coil_degC');
  if (recipe.compressorColumn !== false) header.push('compressor');
  if (recipe.defrost?.columns.includes('defrost')) header.push('defrost');
  const { kept, gaps } = withGaps(rows, recipe, random, defrosts);
  return {
    csv: [header.join(','), ...kept.map((row) => row.cells.join(','))].join('\r\n') + '\r\n',
    truth: {
      cutIn: recipe.cutIn,
      cutOut: recipe.cutOut,
      startsPerHour: (starts * 3600) / total,
      dutyPercent: (100 * running) / counted,
      defrosts: defrosts.map((d) => ({ ...d, start: T0 + d.start, end: T0 + d.end })),
      rowsPerCycle: total / Math.max(1, starts) / recipe.every,
      gaps,
    },
  };
}

/** Leaves out stretches of rows, never over a defrost: one that is not logged cannot be found. */
function withGaps<Row extends { readonly t: number }>(
  rows: readonly Row[],
  recipe: Recipe,
  random: () => number,
  defrosts: readonly { readonly start: number; readonly end: number }[],
) {
  if (!recipe.gaps) return { kept: rows, gaps: 0 };
  const count = 4;
  const length = Math.floor((rows.length * recipe.gaps) / count);
  let kept = [...rows];
  let gaps = 0;
  for (let i = 0; i < count; i += 1) {
    const at = Math.floor(((i + 0.2 + 0.6 * random()) / count) * kept.length);
    const [from, to] = [kept[at]!.t, kept[Math.min(kept.length - 1, at + length)]!.t];
    if (defrosts.some((d) => d.start < to + 3600 && d.end > from - 3600)) continue;
    kept = kept.filter((row) => row.t < from || row.t >= to);
    gaps += 1;
  }
  return { kept, gaps };
}
