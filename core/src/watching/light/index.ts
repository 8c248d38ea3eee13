export { brightestOf } from './brightest.ts';
export { cropped } from './cropped.ts';
export { lightAt, lightsOf, strongestAt, type Light, type Lights, type Picture } from './light.ts';
export { sumsOf } from './sums.ts';
export { softened } from './softened.ts';
