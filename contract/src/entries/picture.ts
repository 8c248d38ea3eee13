import { object } from 'yup';
import { anyText, id, listOf, share, uuidField, whole, yesNo, LONGEST_NAME } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** Longest side of a picture, in its own points. */
const MAX_SIDE = 8000;
const MAX_POINTS = 60;

/** A point marked on a picture, as shares of its width and height, tied to a wire as found where it shows one. */
const point = object({ x: share(), y: share(), wire: id().nullable(), text: anyText(LONGEST_NAME) }).required(
  'expected x and y from 0 to 1, a wire or null, and a text',
);

/** A picture of the cabinet with its caption and marks; its bytes lie beside the stream. */
export const picture = entry('picture', {
  id: uuidField(),
  caption: anyText(LONGEST_NAME),
  width: whole(1, MAX_SIDE),
  height: whole(1, MAX_SIDE),
  points: listOf(point, MAX_POINTS, 'points'),
  gone: yesNo().optional(),
});

export type Picture = BodyOf<typeof picture>;
