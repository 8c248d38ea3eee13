export type { DangerCode } from './danger.ts';
export { energise, type Energise, verdictOf } from './energise.ts';
