import { describe, expect, test } from '@jest/globals';
import { decode, displayOf, scaleOf, type NumberEncoding } from '../../definitions/index.ts';
import { act, machineOf, panelAtRest, planKeys, readController } from '../../panel/index.ts';
import { peatTable } from '../../../../testing/labelled/rows.ts';
import { readTable } from '../table/readTable.ts';
import { draftDefinition } from './draftDefinition.ts';
import { draftRows } from './draftRow.ts';
import { panelFrom, panelPatterns } from './panelPatterns.ts';

const names = { id: 'peat-6', family: 'Peat 6', version: '1' };
const rows = draftRows(readTable(peatTable).rows);
const drafted = (text: string) => draftDefinition(names, draftRows(readTable(text).rows), null);

describe('sixty rows of a booklet', () => {
  test('every row but the three outside the dictionary has its setting, no two the same', () => {
    expect(rows.filter((r) => r.setting === null).map((r) => r.code)).toEqual(['F20', 'F21', 'F22']);
    const placed = rows.flatMap((r) => r.setting ?? []);
    expect(new Set(placed).size).toBe(placed.length);
    expect(rows.flatMap((r) => r.problems)).toEqual([]);
  });

  test.each(panelPatterns.map((p) => [p.id, p] as const))(
    'with the pattern %s it passes the check, and a plan is proven on it',
    (_, pattern) => {
      const { definition, open } = draftDefinition(names, rows, panelFrom(pattern, { code: '19' }));
      expect(open).toEqual([]);
      const read = readController(definition);
      if ('faults' in read) throw new Error(JSON.stringify(read.faults[0]));
      const machine = machineOf(read.definition)!;
      const plan = planKeys(machine, new Map(), [
        { code: 'J14', value: -8 },
        { code: 'E36', value: 4 },
        { code: 'b43', value: 1 },
      ]);
      let state = panelAtRest(machine);
      for (const step of plan.steps) state = act(machine, state, step).state;
      expect(['J14', 'E36', 'b43'].map((code) => state.memory.get(code))).toEqual([-8, 4, 1]);
    },
  );

  test('temperatures follow the unit parameter: −10 °F stands as −23 °C', () => {
    const { definition } = draftDefinition(names, rows, null);
    const encoding = definition.parameters.find((p) => p.code === 'J11')!.encoding as NumberEncoding;
    expect(encoding).toMatchObject({
      unit: 'displayTemperature',
      rangeUnit: 'degF',
      resolution: { withDecimal: 0.1, without: 1 },
    });
    // (−10 − 32) · 5/9 = −23.33
    expect(scaleOf(encoding, { ...displayOf(definition, new Map()), unit: 'degC' }).default).toBe(-23);
  });

  test('without a unit parameter the printed unit is fixed', () => {
    const { definition } = draftDefinition(
      names,
      rows.filter((r) => r.setting !== 'display.unit'),
      null,
    );
    expect(definition.fixed).toEqual({ 'display.unit': 'fahrenheit' });
    expect(definition.parameters.find((p) => p.code === 'J10')!.encoding).toMatchObject({
      unit: 'deltaF',
      resolution: 1,
    });
  });
});

describe('what cannot be a parameter yet stays open, with a sentence', () => {
  test.each([
    [
      'A\tSet point here\t0\t9\t°C\t\nB\tDifferential here\t1\t9\tK\t2\nC\tCompressor rest time\t0\t9\tmin\t3',
      'A',
      'expected a factory value',
    ],
    [
      'A\tSet point here\t\t\t°C\t4\nB\tDifferential here\t1\t9\tK\t2\nC\tCompressor rest time\t0\t9\tmin\t3',
      'A',
      'expected a range',
    ],
    [
      'A\tSet point here\t0\t9\tfurlong\t4\nB\tDifferential here\t1\t9\tK\t2\nC\tCompressor rest time\t0\t9\tmin\t3',
      'A',
      'the unit "furlong" is not known',
    ],
    [
      'A\tCompressor on probe failure\t0\t2\t\t1\nB\tDifferential here\t1\t9\tK\t2\nC\tCompressor rest time\t0\t9\tmin\t3',
      'A',
      'say what 0 stands for',
    ],
    [
      'A\tSet point here\t0\t9\t°C\t4\nA\tDifferential here\t1\t9\tK\t2\nC\tCompressor rest time\t0\t9\tmin\t3',
      'A',
      'the code A is there already',
    ],
  ])('%j', (text, code, sentence) => {
    const { open, definition } = drafted(text);
    expect(open).toEqual([{ line: expect.any(Number), code, message: expect.stringContaining(sentence) }]);
    expect(definition.parameters.length + open.length).toBe(3);
  });

  test('two rows whose words fit one setting: the better keeps it, the other says so', () => {
    const both = draftRows(
      readTable(
        'A\tSet point\t0\t9\t°C\t4\nB\tSet point value of other room\t0\t9\t°C\t4\nC\tDifferential\t1\t9\tK\t2',
      ).rows,
    );
    expect(both.map((r) => r.setting)).toEqual(['regulation.setpoint', null, 'regulation.differential']);
    expect(both[1]!.problems).toEqual(['its words fit Set point, which line 1 fits better']);
  });
});

test('one option that stands for scale and tenths is written as both, read back and set by keys', () => {
  const rows = draftRows(
    readTable(
      [
        'Code;Description;Min;Max;Unit;Default',
        'SP;Set point;-40;99;°C;4',
        'dS;Scale: 0 = °C with tenths, 1 = °C, 2 = °F;0;2;;1',
      ].join('\n'),
    ).rows,
  );
  const panel = panelFrom(panelPatterns[0]!, {});
  const { definition, open } = draftDefinition({ id: 'x', family: 'X', version: '1' }, rows, panel);
  expect(open).toEqual([]);
  expect('faults' in readController(definition)).toBe(false);
  const valuesOf = (dS: string, SP: string) =>
    decode(definition, [
      { code: 'dS', value: dS },
      { code: 'SP', value: SP },
    ]).values;
  expect(valuesOf('0', '3.5')).toMatchObject({ 'display.unit': 'celsius', 'display.decimal': true });
  expect(valuesOf('1', '3')).toMatchObject({ 'display.unit': 'celsius', 'display.decimal': false });
  expect(valuesOf('2', '38')).toMatchObject({ 'display.unit': 'fahrenheit', 'display.decimal': false });
});
