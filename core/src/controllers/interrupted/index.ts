export { endings, memoriesAfter, type MayBe } from './memories.ts';
export { Readings } from './nextReading.ts';
