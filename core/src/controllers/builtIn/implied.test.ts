import { describe, expect, test } from '@jest/globals';
import { families, family } from '../../../testing/families.ts';
import type { ControllerDefinition } from '../definitions/index.ts';
import type { SettingId } from '../../foundation/settings/index.ts';
import { impliedBy, withImplied } from './implied.ts';

const bare = (id: string): ControllerDefinition => {
  const { fixed: _, ...definition } = family(id);
  return definition;
};
const valuesOf = (definition: ControllerDefinition) =>
  new Map(impliedBy(definition).map((i) => [i.setting, i.value]));

describe('what no code says', () => {
  test.each([...families.keys()])('nothing is added to the whole definition of %s', (id) => {
    expect(impliedBy(family(id))).toEqual([]);
    expect(withImplied(family(id))).toBe(family(id));
  });

  // Oracle: the definitions of the demo as they were written, their built-in facts taken away. What only the booklet can say is marked as to be asked.
  test.each([...families.keys()])('is deduced for %s as it was written, or asked', (id) => {
    const written = family(id).fixed ?? {};
    for (const { setting, value, ask } of impliedBy(bare(id)))
      if (!ask && !booklet.has(`${id} ${setting}`) && written[setting] !== undefined)
        expect([setting, value]).toEqual([setting, written[setting]]);
  });

  /** Where a control of the demo is built otherwise than its codes would let one think. */
  const booklet = new Set([
    'gault-p defrost.initiation',
    // Its second probe hangs in another place, not on a coil.
    'sound-2 probes.coilPresent',
  ]);

  test('most of what was written is found again without asking', () => {
    let [found, all] = [0, 0];
    for (const id of families.keys()) {
      const implied = valuesOf(bare(id));
      for (const setting of Object.keys(family(id).fixed ?? {}) as SettingId[]) {
        if (!deducible.has(setting)) continue;
        all += 1;
        if (implied.get(setting) === family(id).fixed![setting]) found += 1;
      }
    }
    expect([all > 50, found / all > 0.8]).toEqual([true, true]);
  });
  const deducible: ReadonlySet<string> = new Set([
    'regulation.action',
    'regulation.differentialPlacement',
    'defrost.method',
    'defrost.initiation',
    'defrost.termination',
    'fans.control',
    'fans.whileDefrost',
    'probes.coilPresent',
    'alarms.reference',
    'stage2.function',
  ]);

  const number = (code: string, setting: SettingId, unit = 'h') => ({
    code,
    name: code,
    setting,
    encoding: { type: 'number' as const, unit: unit as 'h', min: 0, max: 99, default: 6 },
  });
  const control = (...settings: readonly SettingId[]): ControllerDefinition => ({
    format: 'brine-dial/controller@1',
    id: 'own',
    family: 'Own',
    parameters: settings.map((setting, i) => number(`c${i}`, setting)),
  });

  test('an interval without a count is counted in hours; without one, times of day or demand start it', () => {
    expect(valuesOf(control('defrost.interval')).get('defrost.initiation')).toBe('interval');
    expect(valuesOf(control('defrost.clockTimes')).get('defrost.initiation')).toBe('clock');
    expect(valuesOf(control('defrost.demandTemperatureDifference')).get('defrost.initiation')).toBe('demand');
    expect(valuesOf(control('defrost.maxDuration')).has('defrost.initiation')).toBe(false);
  });

  test('a termination temperature ends it, else time', () => {
    const both = valuesOf(control('defrost.endTemperature', 'defrost.maxDuration'));
    expect([both.get('defrost.termination'), both.get('probes.coilPresent')]).toEqual(['temperature', true]);
    const time = valuesOf(control('regulation.setpoint', 'defrost.maxDuration'));
    expect([time.get('defrost.termination'), time.get('probes.coilPresent')]).toEqual(['time', false]);
  });

  test('the method is known from the relays; without them it is asked, and the unit’s own counts', () => {
    const rows = control('defrost.interval', 'defrost.maxDuration');
    const asked = impliedBy(rows).find((i) => i.setting === 'defrost.method');
    expect(asked).toMatchObject({ value: 'offCycle', ask: true });
    expect(withImplied(rows, { 'defrost.method': 'hotGas' }).fixed!['defrost.method']).toBe('hotGas');
    const byCoil = impliedBy(control('defrost.interval', 'defrost.endTemperature'));
    expect(byCoil.find((i) => i.setting === 'defrost.method')).toMatchObject({
      value: 'electric',
      ask: true,
    });
    const relay = (drives: string) => ({ id: drives, drives });
    expect(valuesOf({ ...rows, relays: [relay('compressor')] }).get('defrost.method')).toBe('offCycle');
    const heated = impliedBy({ ...rows, relays: [relay('compressor'), relay('defrost')] });
    expect(heated.find((i) => i.setting === 'defrost.method')).toMatchObject({
      value: 'electric',
      ask: true,
    });
  });

  test('every fact names the code it stands on, or says that none is there', () => {
    for (const id of families.keys())
      for (const { because } of impliedBy(bare(id)))
        expect(because).toMatch(/no code|no relay|a relay drives|input for a coil probe|, .+,/i);
  });

  test('what a code or the definition says is never deduced over', () => {
    const said = {
      ...control('defrost.interval', 'defrost.maxDuration'),
      fixed: { 'defrost.initiation': 'coolingTime' },
    } as const;
    expect(valuesOf(said).has('defrost.initiation')).toBe(false);
    expect(withImplied(said).fixed!['defrost.initiation']).toBe('coolingTime');
  });
});
