export { type Excursion, excursionsOf, type ExcursionLimits } from './excursions.ts';
