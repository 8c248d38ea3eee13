export type { Danger, DangerCode } from './danger.ts';
export { energise, type Energise, type EnergiseVerdict } from './energise.ts';
