import { describe, expect, test } from '@jest/globals';
import { families, family } from '../../../testing/families.ts';
import { compareDefinitions } from './compareDefinitions.ts';
import type { ControllerDefinition, Parameter } from './definition.ts';

const marl = family('marl-4');
const withGap = (change: (gap: Parameter) => object): ControllerDefinition => ({
  ...marl,
  version: '2.2',
  parameters: marl.parameters.map((p) => (p.code === 'gap' ? { ...p, ...change(p) } : p)) as Parameter[],
});

test.each([...families.keys()])(
  '%s differs in nothing from itself, whatever order its fields stand in',
  (id) => {
    const turned = Object.fromEntries(
      Object.entries(family(id)).reverse(),
    ) as unknown as ControllerDefinition;
    expect(compareDefinitions(family(id), turned)).toEqual([]);
  },
);

describe('one change is told as one change', () => {
  test('a default', () => {
    const after = withGap((gap) => ({ encoding: { ...gap.encoding, default: 6 } }));
    expect(compareDefinitions(marl, after)).toEqual([
      { kind: 'changed', of: 'code', name: 'gap', field: 'default', before: 5, after: 6 },
    ]);
  });

  test('a meaning', () => {
    expect(
      compareDefinitions(
        marl,
        withGap(() => ({ setting: 'alarms.differential' })),
      ),
    ).toEqual([
      {
        kind: 'changed',
        of: 'code',
        name: 'gap',
        field: 'setting',
        before: 'regulation.differential',
        after: 'alarms.differential',
      },
    ]);
  });

  test('a code taken out, and one put in at the end', () => {
    const [first, ...others] = marl.parameters;
    const after = { ...marl, parameters: [...others, { ...first!, code: 'new' }] };
    expect(compareDefinitions(marl, after).map(({ kind, name }) => [kind, name])).toEqual([
      ['removed', 'hold'],
      ['added', 'new'],
    ]);
  });

  test('the order of the menu', () => {
    const [first, second, ...others] = marl.parameters;
    const after = { ...marl, parameters: [second!, first!, ...others] };
    expect(compareDefinitions(marl, after).map((c) => c.name)).toEqual(['order of codes']);
  });

  test('an alarm’s first checks, a fixed way, the panel', () => {
    const [hot, ...alarms] = marl.alarmCodes!;
    const after = {
      ...marl,
      alarmCodes: [{ ...hot!, firstChecks: ['Look'] }, ...alarms],
      fixed: { ...marl.fixed, 'probes.coilPresent': false },
      panel: undefined,
    } as ControllerDefinition;
    expect(
      compareDefinitions(marl, after).map(({ kind, of, name, field }) => [kind, of, name, field]),
    ).toEqual([
      ['changed', 'alarm', 'hot', 'firstChecks'],
      ['changed', 'fixed', 'fixed', 'probes.coilPresent'],
      ['removed', 'panel', 'panel', ''],
    ]);
  });
});
