import type { SettingId } from '../../foundation/settings/index.ts';
import { settingsOf, type Parameter } from '../definitions/index.ts';

/** Why a code holds something of one unit alone, so that another unit of the same kind keeps its own. */
export type OwnReason = 'probe' | 'address' | 'fitted' | 'notKnown';

/** The reasons in words, as they stand beside a code. */
export const ownWords: Readonly<Record<OwnReason, string>> = {
  probe: 'what its probe is off by',
  address: 'its own address on the line',
  fitted: 'what is fitted there',
  notKnown: 'nobody wrote down what it sets',
};

/** What a probe was found to be off by: it belongs to that probe. */
const ofProbe: ReadonlySet<SettingId> = new Set([
  'probes.airOffset',
  'probes.airSlope',
  'probes.coilOffset',
  'meter.supplySlope',
  'meter.supplyOffset',
  'meter.returnSlope',
  'meter.returnOffset',
] satisfies SettingId[]);

/** What is fitted and wired there: it is looked at, not copied. */
const ofFitting: ReadonlySet<SettingId> = new Set([
  'probes.sensorType',
  'probes.coilPresent',
  'probes.secondCoilPresent',
  'stage2.probe',
  'stage2.alarmPolarity',
  'inputs.doorContact',
  'inputs.alarmContact',
  'condenser.fanCount',
  'condenser.fansFitted',
  'condenser.driveType',
  'condenser.outdoorProbe',
  'condenser.refrigerant',
] satisfies SettingId[]);

/** How booklets name what a device is called by on its line, where nobody wrote down what the code sets: common practice. */
const CALLED_BY = /\b(address|adress|baud|parity|stop bits?|station|node|slave|bus|modbus|network)\b/i;

/**
 * Why a code belongs to its unit alone, null where it does not. A code of which nobody wrote down what it sets may be anything, an address on the line among it: it is copied only where
 * somebody says so, and one that its name tells to be an address never.
 */
export function ownToUnit(parameter: Parameter): OwnReason | null {
  const ids = settingsOf(parameter);
  if (ids.includes('network.address') || (ids.length === 0 && CALLED_BY.test(parameter.name)))
    return 'address';
  if (ids.some((id) => ofProbe.has(id))) return 'probe';
  if (ids.some((id) => ofFitting.has(id))) return 'fitted';
  return ids.length === 0 && parameter.encoding.type !== 'preset' ? 'notKnown' : null;
}
