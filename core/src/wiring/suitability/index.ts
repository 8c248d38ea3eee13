export { COIL_VA, contactorFrame } from './contactorFrame.ts';
export { type Demand, demandOf } from './demand.ts';
export { outputOf, outputOfRole, relayFor } from './outputs.ts';
export { overRating } from './overRating.ts';
export { tooWeak } from './tooWeak.ts';
