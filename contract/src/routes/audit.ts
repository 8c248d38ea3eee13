import { mixed, object, string, type InferType } from 'yup';
import { after, uuid, type DeepReadonly } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, list, next, said } from './views.ts';

/** What a lead can look up: who came in or was refused, and who changed what lets somebody in or out, or carries data away. */
export const auditKinds = [
  'signedIn',
  'signInRefused',
  'signInShut',
  'signedOut',
  'passwordChanged',
  'secondBegun',
  'secondConfirmed',
  'secondEnded',
  'recoveryRenewed',
  'recoveryUsed',
  'sessionEnded',
  'linkTaken',
  'invited',
  'personChanged',
  'passwordReset',
  'secondReset',
  'sessionsEnded',
  'companyChanged',
  'shareMade',
  'shareRevoked',
  'calendarMade',
  'calendarEnded',
  'lineEntered',
  'lineChanged',
  'busLinkMade',
  'busLinkEnded',
  'busWritten',
  'jobFileTaken',
  'tableTaken',
  'reportAsked',
  'jobFilesAsked',
  'jobImported',
] as const;
export type AuditKind = (typeof auditKinds)[number];

/** One line of the audit. */
const auditLine = object({
  id: said(),
  at: said(),
  kind: string<AuditKind>().oneOf(auditKinds).required(),
  /** Who did it; where nobody was signed in, the login that was typed. */
  who: said(),
  login: said(),
  address: said(),
  browser: said(),
  /** What it was about, by name: `person`, `role`, `fields`, `site`, `unit` … */
  about: mixed<Readonly<Record<string, string>>>().required(),
});
export type AuditLine = DeepReadonly<InferType<typeof auditLine>>;

export const auditRoutes = {
  audit: contract({
    ...paths.audit,
    summary:
      'Who came in or was refused, and who changed access or took data away; the newest first, a page at a time',
    access: 'lead',
    query: object({
      after: after(),
      kind: string<AuditKind>().oneOf(auditKinds, 'kind: expected a kind of event').optional(),
      person: uuid('person').optional(),
    }),
    answer: object({ lines: list(auditLine), next: next(), total: count() }),
  }),
};

/** Lines that one answer lists. */
export const AUDIT_A_PAGE = 100;
