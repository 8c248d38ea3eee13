import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { controlConfig, secondsOfDay, type ControlConfig } from '../box/index.ts';
import { fileProblem, isFileProblem, readHeader, type FileProblem } from '../../foundation/files/index.ts';
import { templateIds, useFactors, type BoxChoice, type DoorUse, type TemplateId } from '../box/index.ts';
import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import { readSettingsFile } from '../../foundation/settings/index.ts';
import type { EngineConfig } from '../engine/index.ts';
import type { Tank } from '../tank/index.ts';
import type { StorageLimits } from './figures.ts';
import type { OwnPlant } from './ownPlant.ts';

export const SCENARIO_FORMAT = 'brine-dial/scenario';

/** What may break, and what it does. */
export const faultKinds = [
  'deadCompressor',
  'deadHeater',
  'deadFan',
  'dirtyCondenser',
  'lowCharge',
  'airProbeOpen',
  'airProbeShort',
  'coilProbeOpen',
  'airProbeDrift',
  'doorLeftOpen',
  'powerCut',
] as const;
export type FaultKind = (typeof faultKinds)[number];

/** A fault from one second of the run to another. `amount`: K of drift or condensing rise, or the share of charge left. */
export interface Fault {
  readonly kind: FaultKind;
  readonly from: number;
  readonly to: number;
  readonly amount: number | null;
}

/** A run to be simulated. */
export interface Scenario {
  readonly config: ControlConfig;
  readonly template: TemplateId;
  readonly choice: BoxChoice;
  /** The unit's own box as it was learned, in the place of the usual one. */
  readonly own?: OwnPlant;
  /** A tank of water stands in the place of the box. */
  readonly tank?: Tank;
  /** A transport engine drives the box: it decides on cooling, heating and fan, the control on defrosts and alarms. */
  readonly engine?: EngineConfig;
  readonly doorUse: DoorUse;
  readonly faults: readonly Fault[];
  readonly seconds: number;
  /** Seconds run before the count begins, so that the box has settled. */
  readonly warmUp: number;
  /** Second of the day at which the run begins. */
  readonly startOfDay: number;
  /** Limits of the goods, °C; null where none are given. */
  readonly storage: StorageLimits;
  /** Temperature the whole box begins at, °C: a pull-down begins warm. Its usual inside temperature where absent. */
  readonly startAt?: number;
}

/** What a scenario runs on. */
export type PlantKind = 'box' | 'tank' | 'engine';

/** A box, a tank of water in its place, or an engine on a transport body. */
export const plantKindOf = ({ tank, engine }: Pick<Scenario, 'tank' | 'engine'>): PlantKind =>
  tank ? 'tank' : engine ? 'engine' : 'box';

const LONGEST_DAYS = 60;

/** Reads a `*.scenario.json`. A sentence with the field where it cannot be run: no set point, a negative size, ten years. */
export function readScenario(data: unknown): Scenario | FileProblem {
  const header = readHeader(data, SCENARIO_FORMAT, 1);
  if (isFileProblem(header)) return header;
  const {
    settings,
    plant,
    faults = [],
    hours = 24,
    warmUpHours = 24,
    start = '06:00',
    doorUse = 'normal',
    storage,
  } = header.data;
  const file = readSettingsFile({ format: 'brine-dial/settings@1', values: settings });
  if (isFileProblem(file)) return fileProblem(`settings.${file.field}`, file.message);
  const config = controlConfig(file.values);
  if (typeof config === 'string') return fileProblem('settings', config);
  const box = readPlant(plant);
  if ('problem' in box) return box;
  for (const [name, value] of [
    ['hours', hours],
    ['warmUpHours', warmUpHours],
  ] as const)
    if (!inRange(value, name === 'hours' ? 1 / 60 : 0, LONGEST_DAYS * 24))
      return fileProblem(
        name,
        `expected a number of hours up to ${LONGEST_DAYS * 24}, found ${JSON.stringify(value)}`,
      );
  if (typeof start !== 'string' || !/^([01]\d|2[0-3]):[0-5]\d$/.test(start))
    return fileProblem('start', 'expected a time of day such as "06:00"');
  if (typeof doorUse !== 'string' || !(doorUse in useFactors))
    return fileProblem('doorUse', `expected one of ${Object.keys(useFactors).join(', ')}`);
  const broken = readFaults(faults);
  if ('problem' in broken) return broken;
  return {
    config,
    ...box,
    doorUse: doorUse as DoorUse,
    faults: broken.list,
    seconds: Math.round((hours as number) * 3600),
    warmUp: Math.round((warmUpHours as number) * 3600),
    startOfDay: secondsOfDay(start),
    storage: { min: celsiusOf(storage, 'min'), max: celsiusOf(storage, 'max') },
  };
}

function readPlant(
  plant: unknown,
): { readonly template: TemplateId; readonly choice: BoxChoice } | FileProblem {
  const p = record(plant);
  if (!p || !templateIds.includes(p['template'] as TemplateId))
    return fileProblem('plant.template', `expected one of ${templateIds.join(', ')}`);
  const choice: Record<string, number> = {};
  for (const name of ['volumeFactor', 'insulationFactor', 'loadFactor'] as const) {
    if (p[name] === undefined) continue;
    if (!inRange(p[name], 0.05, 20))
      return fileProblem(
        `plant.${name}`,
        `expected a factor between 0.05 and 20, found ${JSON.stringify(p[name])}`,
      );
    choice[name] = p[name] as number;
  }
  if (p['ambient'] !== undefined) {
    const ambient = celsiusOf(p, 'ambient');
    if (ambient === null || ambient < -40 || ambient > 60)
      return fileProblem('plant.ambient', 'expected a temperature between −40 and 60 °C');
    choice['ambient'] = ambient;
  }
  if (p['humidityPercent'] !== undefined) {
    if (!inRange(p['humidityPercent'], 1, 100))
      return fileProblem('plant.humidityPercent', 'expected 1 to 100');
    choice['humidity'] = (p['humidityPercent'] as number) / 100;
  }
  return { template: p['template'] as TemplateId, choice };
}

function readFaults(list: unknown): { readonly list: readonly Fault[] } | FileProblem {
  if (!Array.isArray(list)) return fileProblem('faults', 'expected a list');
  const read: Fault[] = [];
  for (const [i, raw] of list.entries()) {
    const fault = record(raw);
    const at = `faults[${i}]`;
    if (!fault || !faultKinds.includes(fault['kind'] as FaultKind))
      return fileProblem(`${at}.kind`, `expected one of ${faultKinds.join(', ')}`);
    const { from = 0, to = LONGEST_DAYS * SECONDS_PER_DAY, amount = null } = fault;
    if (
      !inRange(from, 0, LONGEST_DAYS * SECONDS_PER_DAY) ||
      !inRange(to, from as number, LONGEST_DAYS * SECONDS_PER_DAY)
    )
      return fileProblem(at, 'expected from and to as seconds of the run, in order');
    if (amount !== null && !inRange(amount, -50, 50)) return fileProblem(`${at}.amount`, 'expected a number');
    read.push({
      kind: fault['kind'] as FaultKind,
      from: from as number,
      to: to as number,
      amount: amount as number | null,
    });
  }
  return { list: read };
}

function celsiusOf(from: unknown, name: string): number | null {
  const value = record(from)?.[name];
  return isQuantity(value) && (value.unit === 'degC' || value.unit === 'degF') ? baseValue(value) : null;
}

function record(value: unknown): Readonly<Record<string, unknown>> | null {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
    ? (value as Record<string, unknown>)
    : null;
}

function inRange(value: unknown, min: number, max: number): boolean {
  return typeof value === 'number' && Number.isFinite(value) && value >= min && value <= max;
}
