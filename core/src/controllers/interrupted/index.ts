export { endings, memoriesAfter, type MayBe, undecided } from './memories.ts';
export { Readings } from './nextReading.ts';
