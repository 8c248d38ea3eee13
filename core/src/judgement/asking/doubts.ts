import {
  settingsOf,
  type ControllerDefinition,
  type NumberEncoding,
  type Parameter,
} from '../../controllers/definitions/index.ts';
import { impliedBy } from '../../controllers/builtIn/index.ts';
import { settingOf, type SettingId, type SettingValue } from '../../foundation/settings/index.ts';

/** In what a booklet is in doubt. */
export type DoubtKind = 'options' | 'sign' | 'unit' | 'fact' | 'reference' | 'saving';

/** One thing that a control may mean, with the definition that says so. */
export interface Meaning {
  readonly id: string;
  readonly words: string;
  readonly definition: ControllerDefinition;
}

/** A doubt with all that it may mean; the first is what stands written. */
export interface Doubt {
  readonly id: string;
  readonly kind: DoubtKind;
  /** The code in doubt; null for what no code says. */
  readonly code: string | null;
  readonly setting: SettingId | null;
  readonly words: string;
  readonly meanings: readonly Meaning[];
}

/** Everything of a definition that a booklet may have left in doubt and the control itself can tell. */
export function doubtsOf(definition: ControllerDefinition): readonly Doubt[] {
  return [
    ...definition.parameters
      .filter(isTellable)
      .flatMap((parameter) => [
        ...optionsDoubt(definition, parameter),
        ...signDoubt(definition, parameter),
        ...unitDoubt(definition, parameter),
      ]),
    ...factDoubts(definition),
    ...referenceDoubt(definition),
    ...savingDoubt(definition),
  ];
}

/** What no output and no display but the panel's own shows: limits of the user, locks, tenths. */
const untold = /^(access\.|regulation\.setpointM|display\.decimal)/;
const isTellable = (parameter: Parameter): boolean => !settingsOf(parameter).some((id) => untold.test(id));

const withParameter = (definition: ControllerDefinition, changed: Parameter): ControllerDefinition => ({
  ...definition,
  parameters: definition.parameters.map((one) => (one.code === changed.code ? changed : one)),
});

const labelOf = (setting: SettingId): string => settingOf(setting).label;

/** A value as a person says it: yes and no for a flag, the words of a choice. */
function valueWords(setting: SettingId, value: SettingValue): string {
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return settingOf(setting).choiceLabels?.[String(value)] ?? String(value);
}

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

/** What may be counted towards a defrost where no code says it. */
const counted: readonly SettingValue[] = ['interval', 'compressorRunTime', 'coolingTime'];

/** Facts that no code says: where the band lies, what is counted, what stops meanwhile. */
function factDoubts(definition: ControllerDefinition): readonly Doubt[] {
  const bare = { ...definition, implied: {}, fixed: withoutDeduced(definition) };
  return impliedBy(bare).flatMap(({ setting, value }): readonly Doubt[] => {
    const { kind, choices } = settingOf(setting);
    const all: readonly SettingValue[] =
      setting === 'defrost.initiation' ? counted : kind === 'flag' ? [true, false] : (choices ?? []);
    const now = definition.fixed?.[setting] ?? definition.implied?.[setting] ?? value;
    if (all.length < 2 || all.length > 3 || !all.includes(now)) return [];
    const meant = (one: SettingValue): Meaning => ({
      id: String(one),
      words: valueWords(setting, one),
      definition: { ...definition, fixed: { ...definition.fixed, [setting]: one } },
    });
    return [
      {
        id: `fact:${setting}`,
        kind: 'fact',
        code: null,
        setting,
        words: labelOf(setting),
        meanings: [now, ...all.filter((one) => one !== now)].map(meant),
      },
    ];
  });
}

/** What is fixed by the booklet itself, without what was deduced from its codes and confirmed. */
function withoutDeduced({ fixed, fixedReasons }: ControllerDefinition): ControllerDefinition['fixed'] {
  return Object.fromEntries(Object.entries(fixed ?? {}).filter(([id]) => !(id in (fixedReasons ?? {}))));
}

const limits = {
  absolute: { high: 'alarms.highTemperature', low: 'alarms.lowTemperature' },
  relative: { high: 'alarms.highOffset', low: 'alarms.lowOffset' },
} as const satisfies Record<string, Record<string, SettingId>>;

/** Whether alarm limits are temperatures or distances from the set point, where no code says it. */
function referenceDoubt(definition: ControllerDefinition): readonly Doubt[] {
  const held = new Map(
    definition.parameters.flatMap((one) =>
      typeof one.setting === 'string' ? [[one.setting, one] as const] : [],
    ),
  );
  if (held.has('alarms.reference')) return [];
  const now = held.has('alarms.highTemperature')
    ? 'absolute'
    : held.has('alarms.highOffset')
      ? 'relative'
      : null;
  if (now === null) return [];
  const other = now === 'absolute' ? 'relative' : 'absolute';
  const parameters = definition.parameters.map((one): Parameter => {
    const side = (['high', 'low'] as const).find((s) => one.setting === limits[now][s]);
    if (!side || one.encoding.type !== 'number') return one;
    return { ...one, setting: limits[other][side], encoding: asReference(one.encoding, other) };
  });
  const words = {
    absolute: 'temperatures, wherever the set point is',
    relative: 'distances from the set point',
  };
  return [
    {
      id: 'reference',
      kind: 'reference',
      code: held.get(limits[now].high)!.code,
      setting: limits[now].high,
      words: `${held.get(limits[now].high)!.code}: what the alarm limits are`,
      meanings: [
        {
          id: now,
          words: words[now],
          definition: { ...definition, fixed: { ...definition.fixed, 'alarms.reference': now } },
        },
        {
          id: other,
          words: words[other],
          definition: {
            ...definition,
            parameters,
            fixed: { ...definition.fixed, 'alarms.reference': other },
          },
        },
      ],
    },
  ];
}

/** The same numbers as temperatures or as differences. */
function asReference(encoding: NumberEncoding, reference: 'absolute' | 'relative'): NumberEncoding {
  const { rangeUnit: range, ...rest } = encoding;
  const units: Readonly<Partial<Record<NumberEncoding['unit'], NumberEncoding['unit']>>> =
    reference === 'relative'
      ? { displayTemperature: 'displayDifference', degC: 'K', degF: 'deltaF' }
      : { displayDifference: 'displayTemperature', K: 'degC', deltaF: 'degF' };
  const swap = (unit: NumberEncoding['unit']) => units[unit] ?? unit;
  return {
    ...rest,
    unit: swap(encoding.unit),
    ...(range && { rangeUnit: swap(range) as NonNullable<NumberEncoding['rangeUnit']> }),
  };
}

/** Whether a value stands once it is taken, or only once the menu was left. */
function savingDoubt(definition: ControllerDefinition): readonly Doubt[] {
  const { panel } = definition;
  const menu = panel?.menus[0];
  if (!panel || !menu) return [];
  const stores = menu.stores ?? 'taken';
  const meant = (how: 'taken' | 'leaving'): Meaning => ({
    id: how,
    words:
      how === 'taken' ? 'a value stands as soon as it is taken' : 'a value stands once the menu was left',
    definition: {
      ...definition,
      panel: {
        ...panel,
        menus: panel.menus.map((one) => (one.id === menu.id ? { ...one, stores: how } : one)),
      },
    },
  });
  return [
    {
      id: 'saving',
      kind: 'saving',
      code: null,
      setting: null,
      words: 'Whether a change needs saving',
      meanings: [{ ...meant(stores), definition }, meant(stores === 'taken' ? 'leaving' : 'taken')],
    },
  ];
}
