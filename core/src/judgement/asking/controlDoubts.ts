import type { ControllerDefinition, NumberEncoding, Parameter } from '../../controllers/definitions/index.ts';
import { impliedBy } from '../../controllers/builtIn/index.ts';
import { settingOf, type SettingId, type SettingValue } from '../../foundation/settings/index.ts';
import { labelOf, valueWords, type Doubt, type Meaning } from './doubt.ts';

/** What no row alone says: where the band lies and what is counted, what alarm limits are, whether a change needs saving. */
export const controlDoubts = (definition: ControllerDefinition): readonly Doubt[] => [
  ...factDoubts(definition),
  ...referenceDoubt(definition),
  ...savingDoubt(definition),
];

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
