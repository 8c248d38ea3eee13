export { borrowedId, type Borrowed } from './borrowed.ts';
export { type AirNow, forecastVisit, type VisitForecast } from './forecast.ts';
export type { Movable, OpenTest, VisitQuestion } from './proof.ts';
export { planVisit, type VisitPlan, type VisitStep } from './planVisit.ts';
export type { SiteQuestion } from './siteQuestion.ts';
export type { Span } from './span.ts';
