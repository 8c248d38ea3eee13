export { type Block, blocksOf, cutOut, MOST } from './blocks.ts';
export { type FoundOverBus, foundOf } from './found.ts';
export { Heard, judgeTrial, placesToTry, type RegisterPlace, type Tried } from './trial.ts';
export { hangsOnUnit, unitIsKnown } from './unit.ts';
export { codeValueOf, readingOf, readingWords, wordsOf } from './values.ts';
export { fitsType, fromWords, toWords } from './words.ts';
export { type BusWrite, type BusWriting, writingOf } from './writing.ts';
