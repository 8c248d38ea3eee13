export { type Borrowed, borrowedId, borrowedProbe } from './borrowed.ts';
export { type AirNow, forecastVisit, type VisitForecast } from './forecast.ts';
export type { Movable, OpenTest, VisitQuestion } from './proof.ts';
export { planVisit, type VisitPlan, type VisitStep } from './planVisit.ts';
export { BEYOND_K, type SiteQuestion } from './siteQuestion.ts';
export type { Span } from './span.ts';
