import { SECONDS_PER_DAY } from '../../../foundation/limits/index.ts';
import { panelAtRest, type Machine, type PanelState } from '../../../controllers/panel/index.ts';
import { controlConfig } from '../../../machines/box/index.ts';
import { encode } from '../../../controllers/translate/index.ts';
import { settingsOfCodes, type CodeValue } from '../../../controllers/definitions/index.ts';
import { quantity, difference, differenceIn } from '../../../foundation/quantities/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import type { Fault, FaultKind } from '../../../machines/simulation/index.ts';
import type { Chance } from '../drill.ts';
import { templateFor, unitBehind, type UnitBehind } from '../unitBehind.ts';
import { shuffled } from './values.ts';

/** Why a box does not cool: what is broken or set wrong, in words for a list, and what would have shown it. */
export interface WarmCause {
  readonly id: string;
  readonly name: string;
  readonly shownBy: string;
  readonly fault?: FaultKind;
  readonly amount?: number;
  /** A setting somebody changed; the box is warm because of it. */
  readonly change?: (values: SettingValues) => SettingValues;
  readonly standby?: true;
}

const warmer = (values: SettingValues, kelvins: number): SettingValues => {
  const point = values['regulation.setpoint'];
  if (typeof point !== 'object' || !('unit' in point)) return {};
  const by = differenceIn(difference(kelvins, 'K'), point.unit === 'degF' ? 'deltaF' : 'K');
  return { 'regulation.setpoint': quantity(Math.round(point.value + by), point.unit) };
};

export const warmCauses: readonly WarmCause[] = [
  {
    id: 'deadCompressor',
    name: 'The compressor does not run, though the control calls it',
    shownBy: 'relay on, compressor silent, coil as warm as the air',
    fault: 'deadCompressor',
  },
  {
    id: 'lowCharge',
    name: 'Too little refrigerant',
    shownBy: 'it runs all the time, the coil is only a little colder than the air, and there is little ice',
    fault: 'lowCharge',
    amount: 0.25,
  },
  {
    id: 'deadFan',
    name: 'The evaporator fan is stopped',
    shownBy: 'relay on, fan stopped, coil far colder than the air',
    fault: 'deadFan',
  },
  {
    id: 'doorOpen',
    name: 'The door does not shut',
    shownBy: 'door open, and ice grows quickly',
    fault: 'doorLeftOpen',
  },
  {
    id: 'probeOpen',
    name: 'The air probe is open',
    shownBy: 'no number on the display and its alarm',
    fault: 'airProbeOpen',
  },
  {
    id: 'setWarm',
    name: 'Somebody turned the set point up',
    shownBy: 'everything runs, and the set point in the menu is far above what this box needs',
    change: (v) => warmer(v, 9),
  },
  {
    id: 'standby',
    name: 'The control is switched to standby',
    shownBy: 'every relay off and the standby sign on the front',
    standby: true,
  },
];

/** An exercise: a panel with a unit behind it that is too warm, and causes to choose from. */
export interface WhyWarm {
  readonly state: PanelState;
  readonly unit: UnitBehind;
  readonly cause: WarmCause;
  readonly options: readonly WarmCause[];
  /** Where this box belongs, °C: what it is set to when nothing is wrong. */
  readonly belongsAt: number;
}

/** Hours the fault has stood when the technician comes. */
const STOOD_H = 8;
const OPTIONS = 5;
/** A box that warmed less than this is no complaint, K. */
const COMPLAINT = 3;

/** A warm box by chance: a cause that this control can have and that really warms its box. Null where nothing is behind the panel. */
export function whyWarmDrill(machine: Machine, chance: Chance): WhyWarm | null {
  const { definition } = machine;
  const sound = panelAtRest(machine);
  if (!unitBehind(definition, sound)) return null;
  const values = settingsOfCodes(definition, sound.memory);
  for (const cause of shuffled(warmCauses, chance)) {
    const made = makeWarm(machine, sound, values, cause);
    if (!made) continue;
    const others = shuffled(
      warmCauses.filter((other) => other !== cause),
      chance,
    ).slice(0, OPTIONS - 1);
    return { ...made, cause, options: shuffled([cause, ...others], chance) };
  }
  return null;
}

/** The panel and the unit after the cause has stood for hours; null where this control cannot have it, or where the box bears it. */
export function makeWarm(
  machine: Machine,
  sound: PanelState,
  values: SettingValues,
  cause: WarmCause,
): Pick<WhyWarm, 'state' | 'unit' | 'belongsAt'> | null {
  const { definition } = machine;
  const change = cause.change?.(values);
  const memory = change ? withChange(machine, sound, change) : sound.memory;
  if (!memory) return null;
  if (cause.standby && !machine.panel.deeds?.some((deed) => deed.does === 'standbyOn')) return null;
  const faults: readonly Fault[] = cause.fault
    ? [{ kind: cause.fault, from: 0, to: 90 * SECONDS_PER_DAY, amount: cause.amount ?? null }]
    : [];
  const begun: PanelState = { ...sound, memory, deeds: [] };
  // The box is the one that fits the sound settings, whatever was changed.
  const config = controlConfig(values);
  if (typeof config === 'string') return null;
  const unit = unitBehind(definition, begun, faults, templateFor(config, definition));
  if (!unit) return null;
  const before = unit.atTheUnit.air;
  const left = unit.pass(cause.standby ? { ...begun, deeds: ['standbyOn'] } : begun, STOOD_H * 3600);
  if (unit.atTheUnit.air < before + COMPLAINT) return null;
  return { state: { ...left, deeds: cause.standby ? ['standbyOn'] : [] }, unit, belongsAt: before };
}

/** Memory with settings changed, in the control's own codes; null where it has no code for them. */
function withChange(
  machine: Machine,
  sound: PanelState,
  change: SettingValues,
): ReadonlyMap<string, CodeValue> | null {
  const rows = encode(change, machine.definition).rows.filter(
    (row) =>
      row.code !== null && row.status !== 'default' && [row.setting ?? []].flat().some((id) => id in change),
  );
  if (rows.length === 0) return null;
  return new Map([...sound.memory, ...rows.map((row) => [row.code!, row.value as CodeValue] as const)]);
}
