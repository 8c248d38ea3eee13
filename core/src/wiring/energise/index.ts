export type { DangerCode } from './danger.ts';
export { energise, type Energise } from './energise.ts';
