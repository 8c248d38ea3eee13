/** What can be open on a job, in the order of the work. */
export const openKinds = [
  'borrowed',
  'fit',
  'wires',
  'wiring',
  'readings',
  'codes',
  'tests',
  'verdict',
  'findings',
  'notStated',
] as const;
export type OpenKind = (typeof openKinds)[number];

/** What each kind of open item is called, one and several. */
export const openKindWords: Readonly<Record<OpenKind, readonly [string, string]>> = {
  borrowed: ['thing borrowed and not back', 'things borrowed and not back'],
  fit: ['thing the control cannot do here', 'things the control cannot do here'],
  wires: ['wire not done', 'wires not done'],
  wiring: ['fault in the planned circuit', 'faults in the planned circuit'],
  readings: ['reading off', 'readings off'],
  codes: ['code not keyed in', 'codes not keyed in'],
  tests: ['test open', 'tests open'],
  verdict: ['verdict not carried out', 'verdicts not carried out'],
  findings: ['finding without an answer', 'findings without an answer'],
  notStated: ['thing the booklet does not state', 'things the booklet does not state'],
};

/** “15 codes not keyed in”. */
export const countWords = (kind: OpenKind, n: number): string =>
  `${n} ${openKindWords[kind][n === 1 ? 0 : 1]}`;

/** What nobody may leave open, whatever the reason. */
export const mustNotStay: ReadonlySet<OpenKind> = new Set<OpenKind>(['borrowed']);
