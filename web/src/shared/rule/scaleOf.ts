import { scaleLinear, type ScaleLinear } from 'd3';
import { quantity, valueIn, type TemperatureUnit } from '@brine/core/foundation/quantities';

/** The rule's scale: degrees of the reader's unit → px, with a margin of degrees at both ends so that flags can be moved out. */
export function ruleScale(
  celsius: readonly number[],
  unit: TemperatureUnit,
  width: number,
): ScaleLinear<number, number> {
  const shown = celsius.map((c) => valueIn(quantity(c, 'degC'), unit));
  const [low, high] = shown.length > 0 ? [Math.min(...shown), Math.max(...shown)] : [0, 40];
  const margin = Math.max((high - low) * 0.1, unit === 'degF' ? 8 : 4);
  return scaleLinear()
    .domain([Math.floor(low - margin), Math.ceil(high + margin)])
    .range([0, width]);
}
