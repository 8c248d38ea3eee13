import { isCombined, settingsOf, type ControllerDefinition } from '../definitions/index.ts';
import type { SettingId, SettingValue, SettingValues } from '../../foundation/settings/index.ts';

/** A fact that no code of a control says, taken from the codes it has; a person confirms or changes it. */
export interface Implied {
  readonly setting: SettingId;
  readonly value: SettingValue;
  readonly because: string;
  /** The codes leave it open and this is only the usual way: it is asked by itself, not confirmed with the rest. */
  readonly ask: boolean;
}

/** What is known of a control when its facts are deduced: settings that codes hold or that are fixed already, and duties of its relays. */
interface Known {
  has(...ids: readonly SettingId[]): boolean;
  /** The code that holds a setting, as it is named in a reason. */
  row(...ids: readonly SettingId[]): string;
  drives(duty: string): boolean;
  /** False where nobody stated the relays yet. */
  readonly relaysStated: boolean;
  readonly coilProbe: boolean;
}

interface Rule {
  readonly setting: SettingId;
  readonly value: SettingValue;
  /** Only the usual way, see {@link Implied.ask}. */
  readonly ask?: true;
  readonly when: (known: Known) => string | null;
}

const defrostRows: readonly SettingId[] = [
  'defrost.interval',
  'defrost.clockTimes',
  'defrost.demandTemperatureDifference',
  'defrost.maxDuration',
  'defrost.endTemperature',
  'defrost.drainTime',
  'defrost.atPowerOn',
];
const fanRows: readonly SettingId[] = [
  'fans.whileCompressorOff',
  'fans.restOnTime',
  'fans.restOffTime',
  'fans.runOnTime',
  'fans.whileDefrost',
  'fans.stopCoilTemperature',
  'fans.coilDifferential',
  'fans.delayAfterDrain',
  'fans.restartCoilTemperature',
  'fans.whileDoorOpen',
];
const coilRows: readonly SettingId[] = [
  'defrost.endTemperature',
  'defrost.manualMaxCoilTemperature',
  'defrost.demandTemperatureDifference',
  'fans.stopCoilTemperature',
  'fans.restartCoilTemperature',
  'probes.coilOffset',
];
const boxRows: readonly SettingId[] = ['compressor.minOffTime', 'compressor.powerOnDelay', ...defrostRows];
const stageRows: readonly SettingId[] = ['stage2.setpoint', 'stage2.offset', 'stage2.differential'];

/**
 * The rules, in order: of one setting the first that holds counts. All are common practice of how such controls are built, never more than what a person is
 * asked to confirm.
 */
const rules: readonly Rule[] = [
  {
    setting: 'regulation.action',
    value: 'cool',
    when: (k) =>
      k.has(...boxRows) ? `${k.row(...boxRows)} belongs to a compressor, and no code chooses heating` : null,
  },
  {
    setting: 'regulation.differentialPlacement',
    value: 'setpointIsCutOut',
    ask: true,
    when: (k) =>
      k.has('regulation.setpoint') && k.has('regulation.differential')
        ? 'No code says where the differential lies; most controls cool down to the set point and start again a differential above it. Try it on the display'
        : null,
  },
  {
    setting: 'defrost.initiation',
    value: 'clock',
    when: (k) =>
      k.has('defrost.clockTimes') && !k.has('defrost.interval')
        ? `${k.row('defrost.clockTimes')} gives times of day, and there is no time between defrosts`
        : null,
  },
  {
    setting: 'defrost.initiation',
    value: 'interval',
    when: (k) =>
      k.has('defrost.interval')
        ? `${k.row('defrost.interval')} gives the time between defrosts, and no code says what is counted`
        : null,
  },
  {
    setting: 'defrost.initiation',
    value: 'demand',
    when: (k) =>
      k.has('defrost.demandTemperatureDifference')
        ? `${k.row('defrost.demandTemperatureDifference')} starts a defrost by the difference from air to coil, and there is no time between defrosts`
        : null,
  },
  {
    setting: 'defrost.termination',
    value: 'temperature',
    when: (k) =>
      k.has('defrost.endTemperature')
        ? `${k.row('defrost.endTemperature')} gives the coil temperature that ends a defrost`
        : null,
  },
  {
    setting: 'defrost.termination',
    value: 'time',
    when: (k) =>
      k.has('defrost.maxDuration')
        ? `${k.row('defrost.maxDuration')} gives the length of a defrost, and no code gives a temperature that ends it`
        : null,
  },
  {
    setting: 'defrost.method',
    value: 'electric',
    ask: true,
    when: (k) =>
      k.drives('defrost') ? 'A relay drives the defrost; with a hot-gas valve on it, change this' : null,
  },
  {
    setting: 'defrost.method',
    value: 'offCycle',
    when: (k) =>
      k.relaysStated && k.has(...defrostRows)
        ? 'It counts defrosts, and no relay drives a heater or a valve'
        : null,
  },
  {
    setting: 'defrost.method',
    value: 'electric',
    ask: true,
    when: (k) =>
      k.has('defrost.endTemperature') &&
      k.has('defrost.interval', 'defrost.maxDuration', 'defrost.clockTimes')
        ? `${k.row('defrost.endTemperature')} ends a defrost by the coil, as heated ones do; with hot gas, or with air alone, change this`
        : null,
  },
  {
    setting: 'defrost.method',
    value: 'offCycle',
    ask: true,
    when: (k) =>
      k.has('defrost.interval', 'defrost.clockTimes')
        ? `${k.row('defrost.interval', 'defrost.clockTimes')} starts defrosts that only time ends, as they are where the air of the box clears the coil; with a heater, change this`
        : null,
  },
  {
    setting: 'defrost.method',
    value: 'none',
    when: (k) =>
      k.has('regulation.setpoint') && !k.has(...defrostRows) ? 'No code has to do with a defrost' : null,
  },
  {
    setting: 'probes.coilPresent',
    value: true,
    when: (k) =>
      k.coilProbe
        ? 'It has an input for a coil probe'
        : k.has(...coilRows)
          ? `${k.row(...coilRows)} goes by the coil's temperature`
          : null,
  },
  {
    setting: 'probes.coilPresent',
    value: false,
    when: (k) => (k.has('regulation.setpoint') ? 'No code goes by a coil probe' : null),
  },
  {
    setting: 'fans.control',
    value: 'controlled',
    when: (k) =>
      k.drives('fan')
        ? 'A relay drives the fan'
        : k.has(...fanRows)
          ? `${k.row(...fanRows)} switches the fan`
          : null,
  },
  {
    setting: 'fans.control',
    value: 'always',
    when: (k) => (k.has('regulation.setpoint') ? 'No code and no relay has to do with the fan' : null),
  },
  {
    setting: 'fans.whileDefrost',
    value: 'run',
    when: (k) =>
      k.relaysStated && !k.drives('defrost') && k.has(...defrostRows) && k.has(...fanRows)
        ? 'No relay drives a heater or a valve: the air of the box clears the coil, and the fan moves it'
        : null,
  },
  {
    setting: 'fans.whileDefrost',
    value: 'stop',
    when: (k) =>
      k.has(...fanRows) && k.has('defrost.endTemperature')
        ? 'No code says what the fan does in a defrost that a coil temperature ends; it stops on nearly every control'
        : null,
  },
  {
    setting: 'alarms.reference',
    value: 'relative',
    when: (k) =>
      k.has('alarms.highOffset', 'alarms.lowOffset')
        ? `${k.row('alarms.highOffset', 'alarms.lowOffset')} gives the limit as a distance from the set point`
        : null,
  },
  {
    setting: 'alarms.reference',
    value: 'absolute',
    when: (k) =>
      k.has('alarms.highTemperature', 'alarms.lowTemperature')
        ? `${k.row('alarms.highTemperature', 'alarms.lowTemperature')} gives the limit as a temperature`
        : null,
  },
  {
    setting: 'alarms.reference',
    value: 'none',
    when: (k) =>
      k.has('regulation.setpoint') ? 'No code gives a temperature limit: it raises no such alarm' : null,
  },
  {
    setting: 'stage2.function',
    value: 'thermostat',
    when: (k) => (k.has(...stageRows) ? `${k.row(...stageRows)} belongs to a second stage` : null),
  },
  {
    setting: 'stage2.reference',
    value: 'absolute',
    when: (k) =>
      k.has('stage2.setpoint') ? `${k.row('stage2.setpoint')} gives its set point as a temperature` : null,
  },
  {
    setting: 'stage2.reference',
    value: 'relative',
    when: (k) =>
      k.has('stage2.offset') ? `${k.row('stage2.offset')} gives its distance from the first set point` : null,
  },
  {
    setting: 'compressor.onProbeFault',
    value: 'dutyCycle',
    when: (k) =>
      k.has('compressor.faultOnTime', 'compressor.faultOffTime')
        ? `${k.row('compressor.faultOnTime', 'compressor.faultOffTime')} gives times of running and resting with a failed probe`
        : null,
  },
  {
    setting: 'compressor.onProbeFault',
    value: 'stop',
    ask: true,
    when: (k) =>
      k.has('regulation.setpoint') && k.has(...boxRows)
        ? 'No code says what the compressor does while the air probe is failed; most controls without such a code stop it. Pull the probe off and see'
        : null,
  },
];

/** Facts that follow from the codes, relays and probes a control has, for settings that neither a code nor its `fixed` says. In the order of the rules. */
export function impliedBy(definition: ControllerDefinition): readonly Implied[] {
  const held = new Map<SettingId, string>();
  for (const parameter of definition.parameters) {
    const { encoding } = parameter;
    const meant =
      encoding.type === 'choice'
        ? encoding.options.flatMap((o) => (isCombined(o.means) ? (Object.keys(o.means) as SettingId[]) : []))
        : [];
    for (const id of [...settingsOf(parameter), ...meant])
      if (!held.has(id)) held.set(id, `${parameter.code}, ${parameter.name},`);
  }
  const duties = (definition.relays ?? []).map((relay) => relay.drives);
  const known: Known = {
    has: (...ids) => ids.some((id) => held.has(id)),
    row: (...ids) => held.get(ids.find((id) => held.has(id))!) ?? '',
    drives: (duty) => duties.includes(duty),
    relaysStated: definition.relays !== undefined,
    coilProbe: definition.probes?.some((probe) => probe.role === 'coil') ?? false,
  };
  const said = new Set<SettingId>([...held.keys(), ...(Object.keys(definition.fixed ?? {}) as SettingId[])]);
  const implied: Implied[] = [];
  for (const { setting, value, ask, when } of rules) {
    if (said.has(setting)) continue;
    const because = when(known);
    if (because === null) continue;
    said.add(setting);
    implied.push({ setting, value, because, ask: ask ?? false });
  }
  return implied;
}

/**
 * The definition with what is implied taken as built in, so that a control whose booklet leaves it out still does what its codes are there for. `known`: what
 * the unit says of facts that the codes leave open, such as how its coil is cleared.
 */
export function withImplied(
  definition: ControllerDefinition,
  known: SettingValues = {},
): ControllerDefinition {
  const implied = impliedBy(definition);
  if (implied.length === 0) return definition;
  return {
    ...definition,
    fixed: {
      ...Object.fromEntries(
        implied.map((i) => [i.setting, (i.ask ? known[i.setting] : undefined) ?? i.value]),
      ),
      ...definition.fixed,
    },
  };
}
