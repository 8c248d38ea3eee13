import { groupNames, type TestGroup } from './test.ts';

/** Names of the tests where no unit is at hand to make them of: in a history, in a report. */
const testNames: Readonly<Record<string, string>> = {
  'alarms.drainPump': 'Drain pump calls',
  'alarms.high': 'High alarm',
  'alarms.low': 'Low alarm',
  'alarms.overload': 'Overload chain',
  'dead.meter': 'Dead readings',
  'dead.probes': 'Probes placed and tight',
  'defrost.demandMode': 'In its demand mode',
  'defrost.drain': 'Drains',
  'defrost.end': 'Defrost: Ends',
  'defrost.fans': 'Fans wait for a cold coil',
  'defrost.noTimer': 'No timer beside it',
  'defrost.secondFrost': 'Frost again, after three days',
  'defrost.sensorMoved': 'Sensor moved to the heaviest frost',
  'defrost.start': 'Defrost: Starts by hand',
  'door.contact': 'Door contact',
  'fans.cutOff': 'Fans: Off in the cold',
  'fans.first': 'First fan starts',
  'fans.floats': 'Fans: Follows the outdoor air',
  'fans.holds': 'Holds the liquid',
  'fans.last': 'Last fan stops',
  'fans.order': 'Order of the fans',
  'fans.quiet': 'Fans: Quieter in its time',
  'fans.rise': 'Fans: Comes up slowly',
  'fans.withCompressor': 'Fans: Only with a compressor',
  'memory.kept': 'Values kept',
  'meter.heat': 'Heat agrees',
  'meter.pair': 'Sensors: Both in one bath',
  'meter.tags': 'Tags read back',
  'meter.way': 'Right way round',
  'power.delay': 'Start-up delay',
  'power.order': 'Power up in order',
  'power.pumpDown': 'Pumps down and stays down',
  'power.rack': 'The rack protects its compressors',
  'probes.air': 'Air probe fails',
  'probes.coil': 'Coil probe fails',
  'probes.liquid': 'Liquid probe fails',
  'probes.outdoor': 'Outdoor probe fails',
  'regulation.cutIn': 'Cut-in',
  'regulation.cutOut': 'Cut-out',
  'regulation.pullDown': 'Pull-down',
  'regulation.rest': 'Minimum off time kept',
  'regulation.stages': 'Stages do not fight',
  'transport.charge': 'Battery charges',
  'transport.confirm': 'Reverts unless confirmed',
  'transport.inRange': 'In-range sign',
  'transport.runMode': 'Run mode',
  'transport.start': 'Starts as it should',
  'users.lock': 'Keypad locked',
  'users.range': 'User’s range',
};

/** A test by its id, as a person reads it; `outputs.fan` and others made of a part are called after their group and the part. */
export function testName(id: string): string {
  const known = testNames[id];
  if (known !== undefined) return known;
  const [group = '', part = ''] = id.split('.');
  const name = groupNames[group as TestGroup] as string | undefined;
  if (name === undefined) return id;
  const words = part.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  return words === '' ? name : `${name}: ${words}`;
}
