import { describe, expect, test } from '@jest/globals';
import { styleDefinition } from '../../../../testing/panels.ts';
import { act, machineOf, panelAtRest, planKeys, readController } from '../../panel/index.ts';
import { withPresets, type WrittenPreset } from './presets.ts';

const { presets: _, ...style } = styleDefinition('a');
const definition = {
  ...style,
  parameters: [
    ...style.parameters,
    {
      code: 'use',
      name: 'Use',
      encoding: { type: 'number' as const, unit: 'none' as const, min: 0, max: 2, default: 1, resolution: 1 },
    },
  ],
};
const written: readonly WrittenPreset[] = [
  { id: '0', name: 'cooler', values: { zip: '37', span: '6' } },
  { id: '1', name: 'freezer', values: { zip: '-8', thaw: '1' } },
];

describe('presets of a booklet', () => {
  test('the code that picks one sets all its values: planned and done on the interpreter', () => {
    const { definition: whole, problems } = withPresets(definition, written, 'use');
    expect(problems).toEqual([]);
    expect('faults' in readController(whole)).toBe(false);
    expect(whole.parameters.at(-1)!.encoding).toEqual({ type: 'preset', default: '1' });
    const machine = machineOf(whole)!;
    const { steps } = planKeys(machine, new Map([['use', '1']]), [{ code: 'use', value: '0' }]);
    const end = steps.reduce((state, step) => act(machine, state, step).state, panelAtRest(machine));
    expect([end.memory.get('zip'), end.memory.get('span')]).toEqual([37, 6]);
  });

  test('a value that its code cannot hold is said, not written', () => {
    const { definition: whole, problems } = withPresets(
      definition,
      [{ ...written[0]!, values: { zip: '999', thaw: '7' } }],
      null,
    );
    expect(problems).toEqual(['Preset 0: zip cannot be 999', 'Preset 0: thaw cannot be 7']);
    expect(whole.presets![0]!.values).toEqual({});
  });

  test('numbers are read in the degrees that the preset itself chooses, and in whole steps', () => {
    const fahrenheit = {
      ...definition,
      parameters: [
        ...definition.parameters,
        {
          code: 'deg',
          name: 'Degrees',
          setting: 'display.unit' as const,
          encoding: {
            type: 'choice' as const,
            options: [
              { value: 'C', means: 'celsius' },
              { value: 'F', means: 'fahrenheit' },
            ],
            default: 'C',
          },
        },
        {
          code: 'top',
          name: 'Top',
          encoding: {
            type: 'number' as const,
            unit: 'displayTemperature' as const,
            rangeUnit: 'degC' as const,
            min: -50,
            max: 30,
            default: 0,
            resolution: 1,
          },
        },
      ],
    };
    const read = (values: Readonly<Record<string, string>>) =>
      withPresets(fahrenheit, [{ id: '0', name: '', values }], null);
    // 30 °C are 86 °F.
    expect(read({ deg: 'F', top: '86' })).toMatchObject({
      problems: [],
      definition: { presets: [{ values: { deg: 'F', top: 86 } }] },
    });
    expect(read({ top: '86' }).problems).toEqual(['Preset 0: top cannot be 86']);
    expect(read({ top: '2.5' }).problems).toEqual(['Preset 0: top cannot be 2.5']);
  });

  test('a preset without what the display shows, and one that stands there twice, are said', () => {
    const { problems } = withPresets(
      definition,
      [{ ...written[0]!, id: ' ' }, written[1]!, written[1]!],
      null,
    );
    expect(problems).toEqual([
      'Preset 1: expected what the display shows when it is picked',
      'Preset 1: stands there twice',
    ]);
  });
});
