import { object } from 'yup';
import { predictedIds } from '@brine/core/machines/identification';
import { finite, isoTime, listOf, oneOf, text, uuidField, LONGEST_NAME } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

const figure = object({
  figure: oneOf(predictedIds),
  measured: finite(),
  value: finite(),
  low: finite(),
  high: finite(),
});

/** A log held against what was predicted of the unit. */
export const heldAgainst = entry('heldAgainst', {
  log: uuidField(),
  name: text(LONGEST_NAME),
  /** When it was predicted. */
  predictedAt: isoTime(),
  figures: listOf(figure, predictedIds.length, 'figures'),
});

export type HeldAgainst = BodyOf<typeof heldAgainst>;
