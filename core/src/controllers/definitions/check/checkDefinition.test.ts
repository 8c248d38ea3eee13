import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import Ajv2020 from 'ajv/dist/2020.js';
import { families, family } from '../../../../testing/families.ts';
import { checkDefinition } from './checkDefinition.ts';

const schema = JSON.parse(
  readFileSync(new URL('../../../../../docs/formats/controller.schema.json', import.meta.url), 'utf8'),
) as object;
const Ajv = Ajv2020 as unknown as new (options: object) => {
  compile(schema: object): (data: unknown) => boolean;
};
const bySchema = new Ajv({ strict: false }).compile(schema);

/** A copy with one thing changed. */
function broken(change: (definition: ReturnType<typeof copy>) => void) {
  const definition = copy();
  change(definition);
  return definition;
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any
function copy(): any {
  return structuredClone(family('marl-4'));
}

describe('a definition', () => {
  test.each([...families.keys()])('%s has no fault, and the JSON Schema agrees', (id) => {
    expect(checkDefinition(family(id))).toEqual([]);
    expect(bySchema(family(id))).toBe(true);
  });

  test('fields it does not know are no fault', () => {
    expect(
      checkDefinition({ ...family('tarn-1'), colour: 'grey', parameters: family('tarn-1').parameters }),
    ).toEqual([]);
  });

  test.each([
    [
      'duplicate code',
      (d) => (d.parameters[1].code = 'hold'),
      '$.parameters[1].code',
      'already stands at $.parameters[0]',
    ],
    [
      'range without default',
      (d) => delete d.parameters[1].encoding.default,
      '$.parameters[1].encoding.default',
      'default inside the range',
    ],
    [
      'encoding without unit',
      (d) => delete d.parameters[1].encoding.unit,
      '$.parameters[1].encoding.unit',
      'no unit',
    ],
    [
      'unknown unit',
      (d) => (d.parameters[1].encoding.unit = 'furlong'),
      '$.parameters[1].encoding.unit',
      'furlong',
    ],
    [
      'a temperature unit for a difference',
      (d) => (d.parameters[1].encoding.unit = 'degF'),
      '$.parameters[1].encoding.unit',
      'does not fit regulation.differential',
    ],
    [
      'min above max',
      (d) => (d.parameters[1].encoding.min = 40),
      '$.parameters[1].encoding.min',
      'above max',
    ],
    [
      'default outside',
      (d) => (d.parameters[1].encoding.default = 40),
      '$.parameters[1].encoding.default',
      'outside 1 to 20',
    ],
    [
      'step of zero',
      (d) => (d.parameters[1].encoding.resolution = 0),
      '$.parameters[1].encoding.resolution',
      'above 0',
    ],
    [
      'display unit without range unit',
      (d) => (d.parameters[1].encoding.unit = 'displayDifference'),
      '$.parameters[1].encoding.rangeUnit',
      'K or deltaF',
    ],
    [
      'setting outside the dictionary',
      (d) => (d.parameters[1].setting = 'regulation.hysteresis'),
      '$.parameters[1].setting',
      'is not a known setting',
    ],
    [
      'meaning outside the dictionary',
      (d) => (d.parameters[6].encoding.options[0].means = 'halt'),
      '$.parameters[6].encoding.options[0].means',
      'stop, run, dutyCycle',
    ],
    [
      'option twice',
      (d) => (d.parameters[6].encoding.options[1].value = 0),
      '$.parameters[6].encoding.options[1].value',
      'twice',
    ],
    [
      'default that is no option',
      (d) => (d.parameters[6].encoding.default = 9),
      '$.parameters[6].encoding.default',
      'none of the options',
    ],
    [
      'visible by an unknown code',
      (d) => (d.parameters[7].visibleWhen.code = 'nope'),
      '$.parameters[7].visibleWhen.code',
      'no code of this definition',
    ],
    [
      'visible by an impossible value',
      (d) => (d.parameters[7].visibleWhen.in = [9]),
      '$.parameters[7].visibleWhen.in[0]',
      'no option of "lost"',
    ],
    [
      'visibility in a circle',
      (d) => (d.parameters[6].visibleWhen = { code: 'on', in: [1] }),
      '$.parameters[6].visibleWhen.code',
      'circle',
    ],
    [
      'fixed value that cannot be',
      (d) => (d.fixed['defrost.initiation'] = 'sometimes'),
      '$.fixed.defrost.initiation',
      'no choice',
    ],
    [
      'fixed and a parameter',
      (d) => (d.fixed['regulation.differential'] = { value: 2, unit: 'K' }),
      '$.fixed.regulation.differential',
      'only one',
    ],
    [
      'relay that drives nothing known',
      (d) => (d.relays[0].drives = 'lamp'),
      '$.relays[0].drives',
      'compressor, defrost',
    ],
    [
      'cut-out with a side missing',
      (d) => (d.cutOut = { widthMm: 68 }),
      '$.cutOut.heightMm',
      'the hole in the panel, mm',
    ],
    [
      'cut-out without a width',
      (d) => (d.cutOut = { widthMm: 0, heightMm: 31 }),
      '$.cutOut.widthMm',
      'more than 0',
    ],
    [
      'alarm without severity',
      (d) => delete d.alarmCodes[0].severity,
      '$.alarmCodes[0].severity',
      'check, shutdown',
    ],
    [
      'preset with an unknown code',
      (d) => (d.presets = [{ id: 'a', name: 'A', values: { zzz: 1 } }]),
      '$.presets[0].values.zzz',
      'no code',
    ],
    ['newer version', (d) => (d.format = 'brine-dial/controller@2'), '$.format', 'newer'],
    ['no parameters', (d) => (d.parameters = []), '$.parameters', 'at least one'],
    [
      'encoding missing',
      (d) => delete d.parameters[3].encoding,
      '$.parameters[3].encoding',
      'expected an object',
    ],
    // eslint-disable-next-line @typescript-eslint/no-explicit-any
  ] as [string, (d: any) => unknown, string, string][])(
    '%s is refused with its path',
    (_name, change, path, part) => {
      const faults = checkDefinition(broken(change));
      expect(faults).toContainEqual({ path, message: expect.stringContaining(part) });
    },
  );

  test('every fault is told, not only the first', () => {
    const faults = checkDefinition(
      broken((d) => {
        d.parameters[0].code = '';
        d.parameters[1].setting = 'x.y';
        d.relays[0].drives = 'lamp';
      }),
    );
    expect(faults.map((f) => f.path)).toEqual([
      '$.parameters[0].code',
      '$.parameters[1].setting',
      '$.relays[0].drives',
    ]);
  });

  test.each([null, [], 'text', 7, {}])('%j is no definition', (data) => {
    expect(checkDefinition(data).length).toBeGreaterThan(0);
  });

  test('whatever the JSON Schema refuses, the check refuses too', () => {
    const changes: ((d: Record<string, unknown>) => void)[] = [
      (d) => delete d['id'],
      (d) => (d['parameters'] = 'none'),
      (d) => (d['relays'] = [{ id: 'K1', drives: 'lamp' }]),
      (d) => (d['alarmCodes'] = [{ code: 'a', means: 'b', severity: 'loud' }]),
    ];
    for (const change of changes) {
      const definition = broken(change as never);
      expect(bySchema(definition)).toBe(false);
      expect(checkDefinition(definition).length).toBeGreaterThan(0);
    }
  });
});
