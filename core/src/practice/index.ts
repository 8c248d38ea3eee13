export * from './drill.ts';
export * from './offered.ts';
export * from './mark.ts';
export * from './bestWay.ts';
export { setValuesDrill } from './drills/setValues.ts';
export { findChangedDrill } from './drills/findChanged.ts';
export { unitBehind, UnitBehind, type AtTheUnit } from './unitBehind.ts';
export { alarmCodeOf } from './alarmCodeOf.ts';
export { makeWarm, warmCauses, whyWarmDrill, type WarmCause, type WhyWarm } from './drills/whyWarm.ts';
