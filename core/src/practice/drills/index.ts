export { bestWay, countStrokes, nextHint } from './bestWay.ts';
export { type Drill, type DrillKind, type PracticeKind, practiceKinds } from './drill.ts';
export { type WarmCause, type WhyWarm, whyWarmDrill } from './drills/whyWarm.ts';
export { afterClearing, type Mark, markDrill, type Notebook } from './mark.ts';
export { drillsOf, makeDrill } from './offered.ts';
export { type AtTheUnit, unitBehind, UnitBehind } from './unitBehind.ts';
