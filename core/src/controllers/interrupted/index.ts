export { type Ending, endings, memoriesAfter, type MayBe } from './memories.ts';
export { type NextReading, Readings } from './nextReading.ts';
