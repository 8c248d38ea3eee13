import { supplyProblem, type SupplyLine } from '@brine/core/wiring/circuit';
import { id, judged } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A supply conductor as found; null takes it away. */
export const foundSupply = entry('foundSupply', {
  id: id(),
  supply: judged<SupplyLine>(supplyProblem).nullable().defined('expected a supply or null'),
});

export type FoundSupply = BodyOf<typeof foundSupply>;
