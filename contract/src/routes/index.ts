export { api, type Api } from './api.ts';
export { type BusFollow, type FollowedPoints } from './bus.ts';
export { type BusLine, type BusLink, type LineKind, type LinkAnswer, type LinkCall } from './lines.ts';
export { AUDIT_A_PAGE, auditKinds, type AuditKind, type AuditLine } from './audit.ts';
export { type SessionLine } from './auth.ts';
export { type TableName } from '../paths/index.ts';
export { type Company, type KindBox, type KindOffer, type Phones } from './company.ts';
export { type EntryResult, type JobOrder, JOBS_A_PAGE, type JobState } from './jobs.ts';
export { type ProgressLine } from './practice.ts';
export { type Review, type UnitJudged } from './reviews.ts';
export { BODY_LIMIT, type Access, type AnswerOf, type RouteContract } from './route.ts';
export { PLACES_A_PAGE, SITES_A_PAGE } from './sites.ts';
export { UNITS_A_PAGE } from './units.ts';
export { type SharedPage } from './shares.ts';
export { busWorkKinds, type Work, type WorkKind } from './work.ts';
export {
  type ControllerLine,
  type Job,
  type JobSummary,
  type LogView,
  type OneTimeLink,
  type Person,
  type PersonLine,
  type Role,
  type Site,
  type Unit,
} from './views.ts';
