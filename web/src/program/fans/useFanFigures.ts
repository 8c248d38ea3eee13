import { computed } from 'vue';
import {
  fluidNamed,
  gaugeOf,
  isOutOfRange,
  KPA_PER_PSI,
  pressureAt,
} from '@brine/core/foundation/refrigerants';
import { shownCelsius } from '@brine/core/judgement/tools';
import { useDisplay } from '../../shared/display/displayStore.ts';
import type { CondenserView } from './useCondenser.ts';

/** Figures of a condenser’s day and what is set on it, a name and a value each, with the pressure beside a temperature. */
export function useFanFigures({ config, day, refrigerant }: CondenserView) {
  const display = useDisplay();
  const celsius = (c: number) => shownCelsius(c, display.unit);
  const fluid = computed(() => fluidNamed(refrigerant.value) ?? null);
  /** Saturation beside a temperature, where the refrigerant has a checked equation. */
  function beside(c: number): string {
    if (!fluid.value) return '';
    const kPa = pressureAt(fluid.value, c, 'bubble');
    if (isOutOfRange(kPa)) return '';
    const gauge = gaugeOf(kPa);
    return display.unit === 'degF'
      ? ` (${(gauge / KPA_PER_PSI).toFixed(0)} psi)`
      : ` (${(gauge / 100).toFixed(1)} bar)`;
  }
  const rows = computed(() => {
    const f = day.value?.figures;
    if (!f || !config.value) return [];
    const switched = config.value.method === 'onOff';
    const list = (numbers: readonly number[], digits: number) =>
      (switched ? numbers : numbers.slice(0, 1)).map((n) => n.toFixed(digits)).join(' / ');
    return [
      [
        'Liquid, coldest / mean / warmest',
        `${celsius(f.liquid.min)} / ${celsius(f.liquid.mean)} / ${celsius(f.liquid.max)}${beside(f.liquid.max)}`,
      ],
      [switched ? 'Starts of each fan' : 'Starts of the drive', list(f.fanStarts, 0)],
      [switched ? 'Hours of each fan' : 'Hours of the fans', list(f.fanHours, 1)],
      ['Mean output while a compressor runs', `${f.meanPercent.toFixed(0)} %`],
      ['Turns of the output an hour', f.turnsPerHour.toFixed(1)],
      ['Starts and hours of the compressors', `${f.compressorStarts} / ${f.compressorHours.toFixed(1)}`],
      ['Below what the valve needs', `${f.starvedMinutes.toFixed(0)} min`],
      [
        'Fans / compressors / together',
        `${f.fanKWh.toFixed(1)} / ${f.compressorKWh.toFixed(1)} / ${f.totalKWh.toFixed(1)} kWh`,
      ],
    ] as const;
  });
  /** What is set, with the pressure beside each temperature. */
  const marks = computed(() => {
    const c = config.value;
    if (!c) return [];
    const all: readonly (readonly [string, number | null])[] = [
      ['Set point', c.setpoint],
      [c.method === 'onOff' ? 'All fans on' : 'Full speed', c.setpoint + c.differential],
      ['Lowest set point', c.setpointMin],
      ['High alarm', c.alarms.high],
      ['Low alarm', c.alarms.low],
    ];
    return all.flatMap(([name, at]) => (at === null ? [] : [{ name, words: `${celsius(at)}${beside(at)}` }]));
  });
  return { rows, marks };
}
