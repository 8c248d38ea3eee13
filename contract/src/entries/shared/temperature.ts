import { dimensionOf, isQuantity, type Quantity } from '@brine/core/foundation/quantities';
import { judged } from '../../fields/index.ts';

/** A temperature with its unit, as typed. */
export const temperature = judged<Quantity>((value) =>
  isQuantity(value) && dimensionOf(value.unit) === 'temperature'
    ? null
    : 'expected a temperature such as 38F or 3C, or null',
);
