export { cropped } from './cropped.ts';
export { lightAt, lightsOf, strongestAt, type Light, type Lights, type Picture } from './light.ts';
export { sumsOf } from './sums.ts';
