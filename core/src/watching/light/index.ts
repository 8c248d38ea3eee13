export { brightestOf } from './brightest.ts';
export { cropped } from './cropped.ts';
export { lightAt, lightsOf, strongestAt, type Light, type Lights, type Picture } from './light.ts';
export { meansAround, softened } from './means.ts';
