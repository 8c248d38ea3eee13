import type { CommissioningTest } from '../commissioning/index.ts';

/** What may hurt, spoil or break comes before what is a nuisance (ours, from what trades say they would not leave without). */
const ofGroup: Readonly<Record<string, number>> = {
  dead: 8,
  power: 8,
  outputs: 4,
  regulation: 6,
  fans: 5,
  transport: 5,
  meter: 5,
  defrost: 5,
  alarms: 5,
  door: 3,
  probes: 4,
  memory: 5,
  users: 2,
};
const ofTest: Readonly<Record<string, number>> = {
  'regulation.cutOut': 8,
  'regulation.rest': 7,
  'regulation.pullDown': 3,
  'regulation.cutIn': 4,
  'defrost.drain': 3,
  'defrost.fans': 4,
  'alarms.low': 1,
  'probes.coil': 3,
  'outputs.alarm': 3,
};

/** What each test is worth in a visit that is too short for all of them. */
export function worthOf(tests: readonly CommissioningTest[]): (id: string) => number {
  const groups = new Map(tests.map(({ id, group }) => [id, group]));
  return (id) => ofTest[id] ?? ofGroup[groups.get(id) ?? ''] ?? 3;
}
