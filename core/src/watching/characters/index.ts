export { SEGMENTS, characterOf, numberOf, patternsOf, showsAs, textOf, type Digit } from './characters.ts';
