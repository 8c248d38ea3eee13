export { type Implied, impliedBy, withImplied } from './implied.ts';
