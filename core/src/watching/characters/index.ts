export {
  SEGMENTS,
  characterOf,
  numberOf,
  patternsOf,
  showsAs,
  textOf,
  type Segment,
  type Digit,
} from './characters.ts';
