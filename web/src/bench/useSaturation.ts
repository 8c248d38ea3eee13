import { computed, ref } from 'vue';
import {
  absoluteOf,
  fluidNamed,
  gaugeOf,
  isOutOfRange,
  KPA_PER_PSI,
  pressureAt,
  subcooling,
  superheat,
  temperatureAt,
  type OutOfRange,
} from '@brine/core/foundation/refrigerants';
import {
  parseNumber,
  printNumber,
  quantity,
  valueIn,
  difference,
  temperature,
} from '@brine/core/foundation/quantities';
import { useDisplay } from '../shared/display/displayStore.ts';
import { readTemperature } from '../shared/display/readTemperature.ts';
import { unreadNumber } from '../shared/display/unreadNumber.ts';

const KPA_PER_BAR = 100;
const FEET = 0.3048;

/** Saturation of a refrigerant as somebody types it: temperature or gauge, elevation, and a line for superheat and subcooling. */
export function useSaturation() {
  const display = useDisplay();
  const id = ref('R-134a');
  const gaugeUnit = ref<'psi' | 'bar'>(display.unit === 'degF' ? 'psi' : 'bar');
  const from = ref<'temperature' | 'gauge'>('temperature');
  const typed = ref('');
  const elevation = ref('');
  const line = ref('');
  const fluid = computed(() => fluidNamed(id.value)!);
  const perUnit = computed(() => (gaugeUnit.value === 'psi' ? KPA_PER_PSI : KPA_PER_BAR));
  const metres = computed(() => (parseNumber(elevation.value) ?? 0) * (display.unit === 'degF' ? FEET : 1));
  const temperatureProblem = (label: string, text: string) => {
    const read = text.trim() === '' ? null : readTemperature(text.trim(), display.unit);
    return read && !read.ok ? `${label}: ${read.problem}` : null;
  };
  /** What was typed and cannot be read: nothing is computed from it. */
  const problem = computed(
    () =>
      (from.value === 'temperature'
        ? temperatureProblem('Temperature', typed.value)
        : (unreadNumber([{ label: 'Gauge', text: typed.value }]) ??
          temperatureProblem('Line', line.value))) ??
      unreadNumber([{ label: 'Elevation', text: elevation.value }]),
  );
  const celsius = (text: string) => {
    const read = readTemperature(text.trim(), display.unit);
    return read.ok ? valueIn(read.value, 'degC') : null;
  };
  const shownC = (t: number) => display.show(quantity(Math.round(t * 100) / 100, 'degC'));
  const shownGauge = (kPa: number) =>
    `${printNumber(gaugeOf(kPa, metres.value) / perUnit.value, gaugeUnit.value === 'psi' ? 1 : 2)} ${gaugeUnit.value}`;
  const gauge = computed(() => {
    const number = parseNumber(typed.value);
    return number === null ? null : number * perUnit.value;
  });
  /** Bubble and dew: temperature and both pressures, or why there are none. */
  const sides = computed(() => {
    if (typed.value.trim() === '' || problem.value) return [];
    const [t, g] = [celsius(typed.value), gauge.value];
    if (from.value === 'temperature' ? t === null : g === null) return [];
    return (['bubble', 'dew'] as const).map((side) => {
      const kPa: number | OutOfRange =
        from.value === 'temperature' ? pressureAt(fluid.value, t!, side) : absoluteOf(g!, metres.value);
      const at: number | OutOfRange =
        from.value === 'temperature' ? t! : temperatureAt(fluid.value, kPa as number, side);
      const problem = isOutOfRange(kPa) ? kPa.outOfRange : isOutOfRange(at) ? at.outOfRange : null;
      return {
        side,
        problem,
        temperature: problem ? '' : shownC(at as number),
        absolute: problem ? '' : `${printNumber(kPa as number, 1)} kPa`,
        gauge: problem ? '' : shownGauge(kPa as number),
      };
    });
  });
  const departures = computed(() => {
    const lineC = celsius(line.value);
    if (lineC === null || from.value !== 'gauge' || gauge.value === null || problem.value) return null;
    const [hot, cold] = [
      superheat(fluid.value, gauge.value, lineC, metres.value),
      subcooling(fluid.value, gauge.value, lineC, metres.value),
    ];
    const show = (d: typeof hot) =>
      'outOfRange' in d ? d.outOfRange : display.show(quantity(Math.round(d.kelvin * 10) / 10, 'K'));
    return { superheat: show(hot), subcooling: show(cold) };
  });
  /** A short chart around what is usual, at this elevation. */
  const chart = computed(() => {
    // Whole tens of the reader’s degrees, from −40, where both scales meet.
    const step = display.unit === 'degF' ? difference(10, 'deltaF') : 5;
    const start = temperature(-40, display.unit);
    return Array.from({ length: 21 }, (_, i) => start + i * step).flatMap((t) => {
      const [bubble, dew] = [pressureAt(fluid.value, t, 'bubble'), pressureAt(fluid.value, t, 'dew')];
      return isOutOfRange(bubble) || isOutOfRange(dew)
        ? []
        : [{ t: shownC(t), bubble: shownGauge(bubble), dew: shownGauge(dew) }];
    });
  });
  const glides = computed(() => fluid.value.bubble !== fluid.value.dew);
  return { id, fluid, gaugeUnit, from, typed, elevation, line, problem, sides, departures, chart, glides };
}
