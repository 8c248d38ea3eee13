import {
  parameterOf,
  sameCodeValue,
  type ChoiceEncoding,
  type CodeValues,
  type ControllerDefinition,
} from '../../controllers/definitions/index.ts';
import type { SettingId, SettingValue } from '../../foundation/settings/index.ts';
import { benchConfig, type Bath, type HandAct, type Trial } from './bench.ts';
import { codeOf, tryValues } from './benchCodes.ts';
import type { Doubt } from './doubt.ts';

/** When the second thing is done: by then the probe reads the first, s. */
const THEN = 60;
const AFTER = 30;
/** A control is through its own start by then, and takes a key, s. */
const TAKES_KEYS = 10;

const air = (at: number, bath: Bath): HandAct => ({ at, does: { kind: 'air', bath } });
const coil = (at: number, bath: Bath): HandAct => ({ at, does: { kind: 'coil', bath } });
const all: readonly Bath[] = ['iceAndSalt', 'iceWater', 'room', 'hand', 'hotWater'];

/** What hands do, from the power on: one bath, one after another, a defrost by hand, the door. */
function scripts(
  definition: ControllerDefinition,
  baths: readonly Bath[],
  isLong: boolean,
): readonly (readonly HandAct[])[] {
  const door = (definition.inputs ?? []).some(({ roles }) => roles?.some((role) => /door/i.test(role)));
  const contact = (definition.inputs ?? []).some(({ roles }) => roles?.some((role) => /alarm/i.test(role)));
  const [there, back] = [THEN, 2 * THEN];
  const defrost: HandAct = { at: TAKES_KEYS, does: { kind: 'defrost' } };
  const simple: readonly (readonly HandAct[])[] = [
    ...baths.map((one) => [air(0, one)]),
    ...baths.flatMap((one) => baths.filter((two) => two !== one).map((two) => [air(0, one), air(THEN, two)])),
    ...baths.map((one) => [air(0, one), defrost]),
    [air(0, 'iceWater'), coil(0, 'iceWater'), defrost],
    [air(0, 'hand'), coil(0, 'hand'), defrost],
  ];
  if (isLong) return simple;
  return [
    ...simple,
    ...(['iceWater', 'hand'] as const).flatMap((a) =>
      (['iceWater', 'hand'] as const).map((c) => [air(0, a), coil(0, c)]),
    ),
    // Made to run, stopped, and made to call again.
    [air(0, 'hand'), air(there, 'iceWater'), air(back, 'hand')],
    [air(0, 'iceWater'), air(there, 'hand'), air(back, 'iceWater')],
    ...(['iceWater', 'hand'] as const).flatMap((a) =>
      (['iceWater', 'hand'] as const).map((c) => [air(0, a), coil(0, c), defrost]),
    ),
    // A coil that is warmed ends what is ended by it.
    [air(0, 'hand'), coil(0, 'iceWater'), defrost, coil(TAKES_KEYS + THEN, 'hand')],
    ...(['iceWater', 'hand'] as const).map((one): readonly HandAct[] => [
      air(0, one),
      { at: AFTER, does: { kind: 'wire', pulled: true } },
    ]),
    ...(door
      ? (['iceWater', 'hand'] as const).map((a): readonly HandAct[] => [
          air(0, a),
          { at: AFTER, does: { kind: 'door', open: true } },
        ])
      : []),
    ...(contact ? [[air(0, 'hand'), { at: AFTER, does: { kind: 'input', closed: true } } as const]] : []),
  ];
}

/** Codes that are worth turning for a doubt, beside the doubtful one. */
function knobs(doubt: Doubt, definition: ControllerDefinition): readonly string[] {
  const band = ['regulation.setpoint', 'regulation.differential'] as const;
  const helps =
    doubt.setting === 'regulation.differentialPlacement' || doubt.setting === 'regulation.differential'
      ? band
      : doubt.setting === 'defrost.initiation'
        ? (['defrost.interval'] as const)
        : [];
  const codes = helps.flatMap((id) => codeOf(definition, id)?.code ?? []);
  return [...new Set([...(doubt.code === null ? [] : [doubt.code]), ...codes])];
}

/** What another code must be set to before one is looked at at all, where this control has it. */
const wants: readonly {
  readonly of: RegExp;
  readonly setting: SettingId;
  readonly to: readonly SettingValue[];
}[] = [
  { of: /^compressor\.fault(On|Off)Time$/, setting: 'compressor.onProbeFault', to: ['dutyCycle'] },
  { of: /^fans\.rest(On|Off)Time$/, setting: 'fans.whileCompressorOff', to: ['cycle'] },
  { of: /^fans\.(?!control)/, setting: 'fans.control', to: ['controlled'] },
  { of: /^fans\.runOnTime$/, setting: 'fans.whileCompressorOff', to: ['stop'] },
  { of: /^stage2\.(?!function)/, setting: 'stage2.function', to: ['thermostat'] },
  { of: /^defrost\.endTemperature$/, setting: 'defrost.termination', to: ['temperature'] },
  { of: /^defrost\.(?!method)/, setting: 'defrost.method', to: ['electric', 'offCycle'] },
];

/** Codes that are keyed so that a doubt shows, beyond what they stand at. */
function wanted(doubt: Doubt, definition: ControllerDefinition, standing: CodeValues): Trial['keyed'] {
  const { setting } = doubt;
  if (setting === null) return [];
  return wants
    .filter(({ of }) => of.test(setting))
    .flatMap((want) => {
      const parameter = definition.parameters.find(
        (one) => one.setting === want.setting && one.encoding.type === 'choice',
      );
      if (parameter?.encoding.type !== 'choice' || parameter.code === doubt.code) return [];
      const option = want.to.flatMap(
        (means) => (parameter.encoding as ChoiceEncoding).options.find((one) => one.means === means) ?? [],
      )[0];
      const stands = standing.get(parameter.code);
      return option && (stands === undefined || !sameCodeValue(stands, option.value))
        ? [{ code: parameter.code, value: option.value }]
        : [];
    });
}

/** Where hours are looked at, only so many values of a code are: the smallest. */
const FEW = 3;

/** Ways to key the codes that are worth turning: every value of one, and of two together. */
function keyings(
  doubt: Doubt,
  definition: ControllerDefinition,
  standing: CodeValues,
  isLong: boolean,
): readonly Trial['keyed'][] {
  let ways: readonly Trial['keyed'][] = [[]];
  for (const code of knobs(doubt, definition)) {
    const values = tryValues(definition, parameterOf(definition, code)!, standing).slice(
      0,
      isLong ? FEW : undefined,
    );
    ways = ways.flatMap((way) => values.map((value) => [...way, { code, value }]));
  }
  const before = wanted(doubt, definition, standing);
  return before.length === 0 ? ways : [...ways, ...ways.map((way) => [...before, ...way])];
}

/** Every trial that is looked at for a doubt: fewer baths where two codes are turned, or hours are looked at. */
export function trialsFor(doubt: Doubt, standing: CodeValues, isLong: boolean): readonly Trial[] {
  const { definition } = doubt.meanings[0]!;
  const isTwo = knobs(doubt, definition).length > 1;
  const acts = scripts(
    definition,
    isLong ? ['iceWater', 'hand'] : isTwo ? ['iceWater', 'hand', 'room'] : all,
    isLong,
  );
  return keyings(doubt, definition, standing, isLong).flatMap((keyed) =>
    acts.map((some) => ({ keyed, acts: some })),
  );
}

/** Controls under each meaning with a trial's codes keyed; null where one of them makes none, or all of them are the same control. */
export function configsFor(doubt: Doubt, standing: CodeValues, { keyed }: Pick<Trial, 'keyed'>) {
  const codes = new Map([...standing, ...keyed.map(({ code, value }) => [code, value] as const)]);
  const configs = doubt.meanings.map(({ definition }) => benchConfig(definition, codes));
  if (configs.some((one) => one === null)) return null;
  const marks = new Set(configs.map((one) => JSON.stringify(one)));
  return marks.size < 2 ? null : (configs as readonly NonNullable<(typeof configs)[0]>[]);
}
