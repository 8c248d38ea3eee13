export { notStated } from './notStated.ts';
export { type Implied, impliedBy, withImplied } from './implied.ts';
