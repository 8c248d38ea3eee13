export { notStated } from './notStated.ts';
export { withoutUnsaid } from './unsaid.ts';
export { type Implied, impliedBy, withImplied } from './implied.ts';
