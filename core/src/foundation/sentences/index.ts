export { sentenceFor } from './sentence.ts';
