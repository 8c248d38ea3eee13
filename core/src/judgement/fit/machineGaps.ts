import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import type { Application, SettingId } from '../../foundation/settings/index.ts';
import type { Gap } from './gap.ts';
import type { UnitNeeds } from './needs.ts';

/** What only a control made for it can do, told by a setting that it must hold. Probes and relays alone do not make one. */
const madeFor: Readonly<
  Partial<Record<Application, { readonly need: string; readonly setting: SettingId; readonly lacks: string }>>
> = {
  heatMeter: {
    need: 'heat from flow and temperatures',
    setting: 'meter.supplySlope',
    lacks: 'works out no heat and takes no sensor’s tag',
  },
  transportUnit: {
    need: 'engine and run mode',
    setting: 'transport.runMode',
    lacks: 'starts and stops no engine, and has no run mode',
  },
};

/** A machine that a control was not made for cannot be bridged. */
export function machineGaps({ unit }: UnitNeeds, definition: ControllerDefinition): readonly Gap[] {
  const wanted = madeFor[unit.application];
  if (!wanted || definition.parameters.some((p) => [p.setting ?? []].flat().includes(wanted.setting)))
    return [];
  return [{ need: wanted.need, lacks: wanted.lacks, bridge: null }];
}
