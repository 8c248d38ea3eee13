import type { AuditKind, AuditLine } from '@brine/contract/routes';

type About = AuditLine['about'];

/** What an event says of itself, in the order of the contract; `about` holds the names. */
const words: Readonly<Record<AuditKind, (about: About) => string>> = {
  signedIn: () => 'signed in',
  signInRefused: ({ why }) => `was refused: ${refusals[why ?? ''] ?? 'not let in'}`,
  signInShut: () => 'was shut out after too many tries',
  signedOut: () => 'signed out',
  passwordChanged: () => 'changed the password',
  secondBegun: () => 'began to set up a second factor',
  secondConfirmed: () => 'turned the second factor on',
  secondEnded: () => 'ended the second factor',
  recoveryRenewed: () => 'made new recovery codes',
  recoveryUsed: () => 'signed in with a recovery code',
  sessionEnded: () => 'signed another browser out',
  linkTaken: () => 'opened a one-time link and set a password',
  invited: ({ person, role }) => `invited ${person} as ${role}`,
  personChanged: ({ person, role, disabled, name }) =>
    `changed ${person}: ${[
      role && `role ${role}`,
      disabled && (disabled === 'yes' ? 'disabled' : 'enabled'),
      name && `name ${name}`,
    ]
      .filter(Boolean)
      .join(', ')}`,
  passwordReset: ({ person }) => `made a new password link for ${person}`,
  secondReset: ({ person }) => `reset the second factor of ${person}`,
  sessionsEnded: ({ person }) => `signed ${person} out everywhere`,
  companyChanged: ({ fields, secondFactor }) =>
    secondFactor
      ? `changed the company: second factor asked of ${secondFactor}`
      : `changed the company: ${fieldsIn(fields)}`,
  shareMade: (about) => `opened a page of ${unitOf(about)} to whoever has its code`,
  shareRevoked: (about) => `shut the page of ${unitOf(about)}`,
  calendarMade: () => 'made a link for a calendar',
  calendarEnded: () => 'ended the link of a calendar',
  lineEntered: ({ line, site }) => `entered the line ${line} at ${site}`,
  lineChanged: ({ line, open }) => `${open === 'yes' ? 'opened' : 'shut'} the line ${line}`,
  busLinkMade: ({ link, site }) => `made the link ${link} for ${site}`,
  busLinkEnded: ({ link }) => `ended the link ${link}`,
  busWritten: (about) => `asked to write settings over the bus: ${jobOf(about)}`,
  jobFileTaken: (about) => `took a job out as a file: ${jobOf(about)}`,
  tableTaken: (about) => `took ${about['file']} out: ${jobOf(about)}`,
  reportAsked: ({ from, to }) => `asked for a report from ${from} to ${to}`,
  jobFilesAsked: () => 'asked for every job as a file',
  jobImported: (about) => `put a job file in: ${jobOf(about)}`,
};

const refusals: Readonly<Record<string, string>> = {
  wrongSignIn: 'login and password did not belong together, or the account is disabled',
  secondFactor: 'the password was right, the code of the second factor was not',
  forbidden: 'a demo sign-in from another machine',
};
const fieldNames: Readonly<Record<string, string>> = {
  name: 'name',
  phone: 'phone',
  logo: 'logo',
  schools: 'preferences',
  displayUnit: 'usual degrees',
  offlineDays: 'days without signal',
};
const fieldsIn = (fields = '') =>
  fields
    .split(', ')
    .map((field) => fieldNames[field] ?? field)
    .join(', ');
const unitOf = ({ unit, site }: About) => [unit ?? 'a unit', site].filter(Boolean).join(', ');
const jobOf = (about: About) => [about['job'], about['unit'] && unitOf(about)].filter(Boolean).join(', ');

/** What somebody did, as it is read after their name. */
export const wordsOf = ({ kind, about }: Pick<AuditLine, 'kind' | 'about'>): string => words[kind](about);

/** Kinds by what one looks for; the rest is found without. */
export const groups: readonly { readonly kind: AuditKind; readonly name: string }[] = [
  { kind: 'signInRefused', name: 'refused sign-ins' },
  { kind: 'signInShut', name: 'shut out' },
  { kind: 'signedIn', name: 'signed in' },
  { kind: 'recoveryUsed', name: 'recovery codes used' },
  { kind: 'secondReset', name: 'second factors reset' },
  { kind: 'personChanged', name: 'people changed' },
  { kind: 'companyChanged', name: 'company changed' },
  { kind: 'shareMade', name: 'pages opened' },
  { kind: 'jobFileTaken', name: 'jobs taken out' },
  { kind: 'busWritten', name: 'written over a bus' },
];

/** What stands out of the usual: drawn with a mark and a word, not by colour alone. */
export const isWarning = (kind: AuditKind): boolean =>
  ['signInRefused', 'signInShut', 'recoveryUsed', 'secondReset', 'secondEnded'].includes(kind);
