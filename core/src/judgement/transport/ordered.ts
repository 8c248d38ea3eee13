import { sentence, type Sentence } from '../../foundation/sentences/index.ts';
import {
  quantity,
  roundTo,
  valueIn,
  type Quantity,
  type TemperatureUnit,
} from '../../foundation/quantities/index.ts';

/** What is to be keyed for what was ordered. */
export interface KeyedForOrder {
  /** In whole degrees of the reader, as such displays take them. */
  readonly key: Quantity;
  readonly words: Sentence;
}

/** A display that reads this near to the truth is right, K: half of a whole degree Fahrenheit. */
const RIGHT_K = 0.3;

/**
 * The set point to be keyed so that the air stands where it was ordered. `error`: how much too warm the control reads, K, by its last comparison; null where nobody compared.
 * A control that reads 3 °F too warm holds 45 °F when 48 is keyed. Where it takes an offset for its probe, that is the better way, and the order is keyed as it stands.
 */
export function keyForOrder(
  ordered: number,
  error: number | null,
  takesOffset: boolean,
  display: TemperatureUnit,
): KeyedForOrder {
  const whole = (celsius: number) =>
    quantity(roundTo(valueIn(quantity(celsius, 'degC'), display), 1), display);
  const wanted = whole(ordered);
  if (error === null)
    return {
      key: wanted,
      words: sentence`Ordered ${wanted}: key ${wanted}. Nobody has compared the display with a thermometer yet: do it under Probes, or the load stands elsewhere than it was ordered.`,
    };
  if (Math.abs(error) < RIGHT_K)
    return { key: wanted, words: sentence`Ordered ${wanted}: key ${wanted}; the display reads right.` };
  const off = quantity(Math.abs(error), 'K');
  const way = error > 0 ? 'warm' : 'cold';
  if (takesOffset)
    return {
      key: wanted,
      words: sentence`Ordered ${wanted}: the display reads ${off} too ${way}. Key its offset under Probes first, then ${wanted}.`,
    };
  const key = whole(ordered + error);
  return {
    key,
    words: sentence`Ordered ${wanted}: key ${key}. The display reads ${off} too ${way}, and this control takes no offset.`,
  };
}
