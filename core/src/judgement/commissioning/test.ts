/** The order in which a unit is proven. */
export const groups = [
  'dead',
  'power',
  'outputs',
  'regulation',
  'fans',
  'transport',
  'meter',
  'defrost',
  'alarms',
  'door',
  'probes',
  'memory',
  'users',
] as const;
export type TestGroup = (typeof groups)[number];

export const groupNames: Readonly<Record<TestGroup, string>> = {
  dead: 'Before it is energised',
  power: 'Power-up',
  outputs: 'Outputs, one by one',
  regulation: 'Cut-out, cut-in, minimum off time',
  fans: 'Fans on the condenser',
  transport: 'Start, run mode, confirming',
  meter: 'Two sensors, one heat',
  defrost: 'Defrost by hand',
  alarms: 'Alarms',
  door: 'Door',
  probes: 'Probe failure',
  memory: 'Power cut',
  users: 'Users',
};

/** What is read in a test, and between which values it must lie, in the unit named. Null ends are open. */
export interface Measure {
  readonly unit: 'degC' | 'K' | 'A' | 'V' | 's' | 'min' | '%';
  readonly label: string;
  readonly least: number | null;
  readonly most: number | null;
}

/** One test of a commissioning run. */
export interface CommissioningTest {
  readonly id: string;
  readonly group: TestGroup;
  readonly title: string;
  readonly why: string;
  readonly how: readonly string[];
  readonly expect: string;
  readonly measure: Measure | null;
  /** Seconds that something takes, by the settings or by the procedure: counted while one waits. */
  readonly wait: number | null;
  readonly caution: string | null;
}

export type TestResult = 'passed' | 'failed' | 'skipped';

/** Whether a value read passes: null where a test takes no reading. */
export function judgeValue(test: CommissioningTest, value: number): 'passed' | 'failed' | null {
  if (!test.measure) return null;
  const { least, most } = test.measure;
  return (least === null || value >= least - 1e-9) && (most === null || value <= most + 1e-9)
    ? 'passed'
    : 'failed';
}
