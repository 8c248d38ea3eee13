export { inWords, joinSentences, sentence, type Sentence } from './sentence.ts';
