export { type AtPanel, doubtful, memoriesAtPanel } from './codeByCode.ts';
export { endings, memoriesAfter, type MayBe, undecided } from './memories.ts';
export { Readings } from './nextReading.ts';
