import { anyText, judged, LONGEST_NAME } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';
import { strokesProblem } from './shared/strokes.ts';

/** The signature of whoever takes the unit over: x and y in turn, as shares of the field; no strokes take it back. */
export const signOff = entry('signOff', {
  name: anyText(LONGEST_NAME),
  strokes: judged<number[][]>(strokesProblem).required('expected lines of x and y from 0 to 1'),
});

export type SignOff = BodyOf<typeof signOff>;
