import {
  settingsOf,
  type ControllerDefinition,
  type NumberEncoding,
  type Parameter,
} from '../../controllers/definitions/index.ts';
import type { SettingId, SettingValue } from '../../foundation/settings/index.ts';
import { labelOf, valueWords, type Doubt } from './doubt.ts';

/** What one row of a booklet may mean otherwise: its options exchanged, its sign, its unit. */
export const rowDoubts = (definition: ControllerDefinition): readonly Doubt[] =>
  definition.parameters
    .filter(isTellable)
    .flatMap((parameter) => [
      ...optionsDoubt(definition, parameter),
      ...signDoubt(definition, parameter),
      ...unitDoubt(definition, parameter),
    ]);

/** What no output and no display but the panel's own shows: limits of the user, locks, tenths. */
const untold = /^(access\.|regulation\.setpointM|display\.decimal)/;
const isTellable = (parameter: Parameter): boolean => !settingsOf(parameter).some((id) => untold.test(id));

const withParameter = (definition: ControllerDefinition, changed: Parameter): ControllerDefinition => ({
  ...definition,
  parameters: definition.parameters.map((one) => (one.code === changed.code ? changed : one)),
});

/** Two options whose meanings may be exchanged. */
function optionsDoubt(definition: ControllerDefinition, parameter: Parameter): readonly Doubt[] {
  const { encoding, setting, code } = parameter;
  if (encoding.type !== 'choice' || encoding.options.length !== 2 || typeof setting !== 'string') return [];
  const [a, b] = encoding.options as readonly [(typeof encoding.options)[0], (typeof encoding.options)[0]];
  if (a.means === undefined || b.means === undefined) return [];
  const isPlain = [a, b].every(({ means }) => typeof means === 'string' || typeof means === 'boolean');
  if (!isPlain) return [];
  const words = (first: SettingValue, second: SettingValue) =>
    `${a.value} is “${valueWords(setting, first)}”, ${b.value} is “${valueWords(setting, second)}”`;
  const [x, y] = [a.means as SettingValue, b.means as SettingValue];
  const swapped = withParameter(definition, {
    ...parameter,
    encoding: {
      ...encoding,
      options: [
        { ...a, means: y },
        { ...b, means: x },
      ],
    },
  });
  return [
    {
      id: `options:${code}`,
      kind: 'options',
      code,
      setting,
      words: `${code}: which option is which`,
      meanings: [
        { id: 'written', words: words(x, y), definition },
        { id: 'swapped', words: words(y, x), definition: swapped },
      ],
    },
  ];
}

/** What is added to something, and may be taken off it. */
const signed: ReadonlySet<SettingId> = new Set<SettingId>([
  'probes.airOffset',
  'probes.coilOffset',
  'regulation.setback',
  'stage2.offset',
]);

function signDoubt(definition: ControllerDefinition, parameter: Parameter): readonly Doubt[] {
  const { encoding, setting, code } = parameter;
  if (encoding.type !== 'number' || typeof setting !== 'string' || !signed.has(setting)) return [];
  const other: NumberEncoding = { ...encoding, sign: encoding.sign === -1 ? 1 : -1 };
  const [adds, takes] = ['a positive number is added', 'a positive number is taken off'];
  return [
    {
      id: `sign:${code}`,
      kind: 'sign',
      code,
      setting,
      words: `${code}: sign of ${labelOf(setting).toLowerCase()}`,
      meanings: [
        { id: 'written', words: encoding.sign === -1 ? takes : adds, definition },
        {
          id: 'otherSign',
          words: encoding.sign === -1 ? adds : takes,
          definition: withParameter(definition, { ...parameter, encoding: other }),
        },
      ],
    },
  ];
}

/** Units that booklets mistake for each other; the words are what a person reads. */
const confused: Readonly<Partial<Record<NumberEncoding['unit'], readonly NumberEncoding['unit'][]>>> = {
  s: ['min'],
  min: ['s', 'h'],
  h: ['min'],
  degC: ['degF'],
  degF: ['degC'],
  K: ['deltaF'],
  deltaF: ['K'],
};
const unitNames: Readonly<Partial<Record<NumberEncoding['unit'], string>>> = {
  s: 'seconds',
  min: 'minutes',
  h: 'hours',
  degC: '°C',
  degF: '°F',
  K: 'K',
  deltaF: '°F of difference',
};

function unitDoubt(definition: ControllerDefinition, parameter: Parameter): readonly Doubt[] {
  const { encoding, setting, code } = parameter;
  if (encoding.type !== 'number' || setting === undefined) return [];
  const others = confused[encoding.unit] ?? [];
  if (others.length === 0) return [];
  const inUnit = (unit: NumberEncoding['unit']): ControllerDefinition => {
    // The numbers of the range are those of the booklet, whatever they are of.
    const { rangeUnit: _, ...rest } = encoding;
    return withParameter(definition, { ...parameter, encoding: { ...rest, unit } });
  };
  return [
    {
      id: `unit:${code}`,
      kind: 'unit',
      code,
      setting: settingsOf(parameter)[0] ?? null,
      words: `${code}: its unit`,
      meanings: [
        { id: encoding.unit, words: `in ${unitNames[encoding.unit]}`, definition },
        ...others.map((unit) => ({ id: unit, words: `in ${unitNames[unit]}`, definition: inUnit(unit) })),
      ],
    },
  ];
}
