import { describe, expect, test } from '@jest/globals';
import { families, family } from '../../../testing/families.ts';
import { seeded } from '../../../testing/seeded.ts';
import {
  fullMemory,
  resolutionOf,
  displayOf,
  parameterOf,
  settingsOf,
  type CodeValue,
  type ControllerDefinition,
  type Parameter,
} from '../definitions/index.ts';
import { translate } from '../translate/index.ts';
import { copyOf, isSameControl, ownToUnit, sideBySide, type BesideRow } from './index.ts';

const all = [...families.values()];
const standing = (definition: ControllerDefinition, given: readonly (readonly [string, CodeValue])[] = []) =>
  fullMemory(definition, new Map(given));
const sheet = (values: ReadonlyMap<string, CodeValue>) =>
  [...values].map(([code, value]) => ({ code, value: String(value) }));
const codeOf = (row: BesideRow) =>
  row.left && 'parameter' in row.left ? row.left.parameter.code : (row.setting ?? '');
const without = (values: ReadonlyMap<string, CodeValue>, code: string) =>
  new Map([...values].filter(([one]) => one !== code));

describe('the same controller twice', () => {
  test.each(all)('$id: all that stands is the same, in the order of the menu', (definition) => {
    const values = standing(definition);
    const rows = sideBySide({ definition, values }, { definition, values });
    expect(rows.map(codeOf)).toEqual(
      definition.parameters.filter(({ code }) => values.has(code)).map(({ code }) => code),
    );
    expect(rows.filter(({ is }) => is !== 'same')).toEqual([]);
  });

  test('one code changed is the one that differs; one that nobody knows is one-sided', () => {
    const random = seeded(7);
    for (const definition of all) {
      const values = standing(definition);
      const numbers = definition.parameters.filter(({ encoding }) => encoding.type === 'number');
      const changed = numbers[Math.floor(random() * numbers.length)]!;
      if (changed.encoding.type !== 'number') continue;
      const step = resolutionOf(changed.encoding, displayOf(definition, values));
      const other = new Map(values).set(changed.code, Number(values.get(changed.code)) + step);
      const rows = sideBySide({ definition, values }, { definition, values: other });
      expect(rows.filter(({ is }) => is === 'differs').map(codeOf)).toEqual([changed.code]);
      const known = sideBySide({ definition, values }, { definition, values: without(values, changed.code) });
      expect(known.filter(({ is }) => is !== 'same').map((row) => [codeOf(row), row.is])).toEqual([
        [changed.code, 'oneSided'],
      ]);
    }
  });

  test('°C beside °F: what differs is the unit alone, where numbers are as near as whole degrees can be', () => {
    // Two temperatures within half a step of the coarser display cannot be told apart: closed form, by conversion in place.
    const within = (a: number, b: number) => Math.abs(a - ((b - 32) * 5) / 9) <= 0.5;
    const { definition, unit, optionOf, setpoint } = withUnit();
    for (let celsius = -30; celsius <= 10; celsius += 1)
      for (let shown = -22; shown <= 50; shown += 1) {
        const [left, right] = [
          standing(definition, [
            [unit.code, optionOf('celsius')],
            [setpoint.code, celsius],
          ]),
          standing(definition, [
            [unit.code, optionOf('fahrenheit')],
            [setpoint.code, shown],
          ]),
        ];
        const rows = sideBySide({ definition, values: left }, { definition, values: right });
        expect(rows.find((row) => codeOf(row) === unit.code)!.is).toBe('differs');
        expect([celsius, shown, rows.find((row) => codeOf(row) === setpoint.code)!.is]).toEqual([
          celsius,
          shown,
          within(celsius, shown) ? 'same' : 'differs',
        ]);
      }
  });
});

describe('two controllers', () => {
  test('what the translator calls exact is the same, all ways: a second implementation', () => {
    let exact = 0;
    for (const left of all)
      for (const right of all.filter(({ id }) => id !== left.id)) {
        const values = standing(left);
        const { rows } = translate(left, sheet(values), right);
        const codes = rows.filter((row) => row.code !== null);
        const other = standing(
          right,
          codes.map((row) => [row.code!, row.value as CodeValue]),
        );
        const beside = sideBySide({ definition: left, values }, { definition: right, values: other });
        for (const row of codes) {
          if (row.status !== 'exact' || typeof row.setting !== 'string') continue;
          const found = beside.find(({ setting }) => setting === row.setting)!;
          expect([left.id, right.id, row.code, found.is]).toEqual([left.id, right.id, row.code, 'same']);
          exact += 1;
        }
      }
    expect(exact).toBeGreaterThan(2000);
  });

  test('another version of the same controller is another one: its codes may mean something else', () => {
    const definition = family('skerry-dx');
    const left = { definition, values: standing(definition) };
    const right = { ...left, definition: { ...definition, version: 'newer' } };
    expect([isSameControl(left, left), isSameControl(left, right)]).toEqual([true, false]);
    const rows = sideBySide(left, right);
    expect(rows.every(({ setting }) => setting !== null)).toBe(true);
    expect(rows.filter(({ is }) => is !== 'same')).toEqual([]);
  });

  test('what one has built in stands beside a code of the other; a setting of one alone is one-sided', () => {
    const [left, right] = [family('skerry-dx'), family('marl-4')];
    const rows = sideBySide(
      { definition: left, values: standing(left) },
      { definition: right, values: standing(right) },
    );
    expect(rows.some(({ right: cell }) => cell !== null && 'builtIn' in cell)).toBe(true);
    for (const row of rows) expect(row.is === 'oneSided').toBe(row.left === null || row.right === null);
    expect(new Set(rows.map(({ setting }) => setting)).size).toBe(rows.length);
  });
});

describe('a program copied', () => {
  const said = (name: string, setting?: string): Parameter =>
    ({ code: 'x', name, setting, encoding: { type: 'number', unit: 'none' } }) as unknown as Parameter;

  test('what probes are off by, what is fitted and the address stay; the rest is copied', () => {
    for (const definition of all) {
      const values = standing(definition);
      const { copied, left } = copyOf(definition, values);
      expect([...copied.keys(), ...left.map(({ code }) => code)].sort()).toEqual([...values.keys()].sort());
      for (const { code } of left) expect(copied.has(code)).toBe(false);
      for (const [code, value] of copied) expect(value).toBe(values.get(code));
      const kept = left.flatMap(({ code }) => settingsOf(parameterOf(definition, code)!));
      expect(kept.some((id) => id.startsWith('regulation.'))).toBe(false);
    }
  });

  test('an address is never copied, whoever asks; the others where somebody says so', () => {
    const definition = family('sluice-h');
    const values = standing(definition);
    const plain = copyOf(definition, values);
    expect(new Set(plain.left.map(({ why }) => why))).toEqual(
      new Set(['address', 'fitted', 'probe', 'notKnown']),
    );
    const asked = copyOf(definition, values, new Set(values.keys()));
    const address = plain.left.filter(({ why }) => why === 'address').map(({ code }) => code);
    expect([...values.keys()].filter((code) => !asked.copied.has(code))).toEqual(address);
    expect(asked.left).toEqual(plain.left);
    // What nobody decided is not copied, and stays as it stands.
    const [probe] = plain.left.filter(({ why }) => why === 'probe');
    const undecided = copyOf(definition, without(values, probe!.code), new Set([probe!.code]));
    expect(undecided.copied.has(probe!.code)).toBe(false);
    expect(undecided.left).toContainEqual({ ...probe, mayCopy: false });
  });

  test.each([
    ['Modbus address', undefined, 'address'],
    ['Baud rate', undefined, 'address'],
    ['Node number', undefined, 'address'],
    ['Something else', undefined, 'notKnown'],
    ['Address', 'network.address', 'address'],
    ['Set point', 'regulation.setpoint', null],
    ['Air probe offset', 'probes.airOffset', 'probe'],
    ['Kind of probe', 'probes.sensorType', 'fitted'],
  ])('%s (%s): %s', (name, setting, why) => {
    expect(ownToUnit(said(name, setting))).toBe(why);
  });
});

/** A controller whose display may stand in °F, with whole degrees. */
function withUnit() {
  for (const definition of all) {
    const unit = definition.parameters.find(({ setting }) => setting === 'display.unit');
    const setpoint = definition.parameters.find(({ setting }) => setting === 'regulation.setpoint');
    if (unit?.encoding.type !== 'choice' || setpoint?.encoding.type !== 'number') continue;
    if (resolutionOf(setpoint.encoding, displayOf(definition, standing(definition))) !== 1) continue;
    const { options } = unit.encoding;
    return {
      definition,
      unit,
      setpoint,
      optionOf: (meant: string) => options.find(({ means }) => means === meant)!.value,
    };
  }
  throw new Error('no demo controller has °F and whole degrees');
}
