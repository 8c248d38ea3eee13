import { describe, expect, test } from '@jest/globals';
import { readController } from '../../panel/index.ts';
import { panelFrom, panelPatterns } from './panelPatterns.ts';
import { readTable } from '../table/readTable.ts';
import { conditionIn } from './condition.ts';
import { draftDefinition } from './draftDefinition.ts';
import { draftRows } from './draftRow.ts';

const masters = [
  { code: 'p4', choices: [{ value: '0' }, { value: '1' }, { value: '2' }] },
  { code: 'dEF', choices: [{ value: 'no' }, { value: 'yES' }] },
];

describe('on which choice a row depends', () => {
  test.each([
    ['Set point of outlet 2 (only if p4 = 1)', 'Set point of outlet 2', 'p4', ['1']],
    ['Drip time, shown when p4 is 1 or 2', 'Drip time,', 'p4', ['1', '2']],
    ['Fan delay with p4 ≠ 0', 'Fan delay', 'p4', ['1', '2']],
    ['Interval (if dEF = yes).', 'Interval', 'dEF', ['yES']],
  ])('%s', (text, words, code, values) => {
    expect(conditionIn(text, masters)).toEqual({ condition: { code, values }, words });
  });

  test.each([
    ['a code that is no row', 'Delay if p9 = 1'],
    ['an option that it has not', 'Delay if p4 = 7'],
    ['options of the row itself', 'Fan: 0 = stopped; 1 = on'],
    ['words alone', 'Fan runs if the compressor is off'],
  ])('%s is none', (_, text) => {
    expect(conditionIn(text, masters)).toEqual({ condition: null, words: text });
  });

  test('becomes the menu’s rule in a definition that passes the check', () => {
    const rows = draftRows(
      readTable(
        [
          'Code,Description,Min,Max,Unit,Default',
          'p1,Set point,-20,50,°C,4',
          'p4,"Second outlet: 0 = none; 1 = thermostat",0,1,,0',
          'p6,Set point of outlet 2 (only if p4 = 1),-20,50,°C,10',
        ].join('\n'),
      ).rows,
    );
    const { definition } = draftDefinition(
      { id: 'x', family: 'X', version: '1' },
      rows,
      panelFrom(panelPatterns[0]!, {}),
    );
    expect(definition.parameters[2]!.visibleWhen).toEqual({ code: 'p4', in: [1] });
    expect(definition.parameters[2]!.setting).toBe('stage2.setpoint');
    expect('faults' in readController(definition)).toBe(false);
  });
});
