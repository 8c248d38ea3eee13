import {
  isFreezer,
  isHeated,
  isMachine,
  settingOf,
  soundRange,
  type SettingValues,
} from '../../foundation/settings/index.ts';
import { goodsOf } from '../../foundation/unit/index.ts';
import { sideOf } from '../../foundation/unit/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { planAlarms } from './alarms.ts';
import { planBand } from './band.ts';
import { planCondenser } from './condenser.ts';
import { planCompressor } from './compressor.ts';
import { planDefrost } from './defrost.ts';
import { planHeatMeter } from './heatMeter.ts';
import { planStages } from './stages.ts';
import { planFans } from './fans.ts';
import { planTransport } from './transport.ts';
import { planPanelAndProbes } from './panelAndProbes.ts';
import type { Draft, PlanBasis, PlannedValue } from './planned.ts';

/** What a unit needs, each value with its reason. */
export interface Plan {
  readonly settings: readonly PlannedValue[];
}

/**
 * Plans every kind of unit from what the unit is, what it holds, and the schools taken. Computed from the
 * goods' limit downward: limit − margin = cut-in, cut-in − differential = cut-out, for what keeps warm upward from the coldest allowed; alarms outside that band. Whole degrees of the
 * display. Sources: limits as named in `goods.ts`; the rest common practice.
 */
export function plan(unit: UnitDescription): Plan {
  const basis = basisOf(unit);
  const drafts = isMachine(unit.application)
    ? [
        ...(unit.application === 'heatMeter' ? planHeatMeter() : planCondenser(basis)),
        ...planPanelAndProbes(basis),
      ]
    : [
        ...planBand(basis),
        ...planStages(basis),
        ...planCompressor(basis),
        ...planDefrost(basis),
        ...planFans(basis),
        ...planAlarms(basis),
        ...planTransport(basis),
        ...planPanelAndProbes(basis),
      ];
  return { settings: drafts.map((draft) => complete(draft, basis)) };
}

/** The plan as a set of values. */
export function valuesOf(planned: Plan): SettingValues {
  return Object.fromEntries(planned.settings.map(({ setting, value }) => [setting, value]));
}

/** What the rules work from, defaults filled in. */
export function basisOf(unit: UnitDescription): PlanBasis {
  return {
    unit,
    application: unit.application,
    goods: goodsOf(unit),
    // A transport unit carries what it is loaded with.
    freezer: isFreezer(unit.application) || (unit.application === 'transportUnit' && goodsOf(unit).frozen),
    heated: isHeated(unit.application),
    coilProbe: unit.probes.includes('coil'),
    fahrenheit: (unit.displayUnit ?? 'celsius') === 'fahrenheit',
    side: (id) => sideOf(id, unit.schools, unit.companyDefaults),
  };
}

function complete(draft: Draft, basis: PlanBasis): PlannedValue {
  return {
    setting: draft.setting,
    value: draft.value,
    reason: draft.reason,
    school: draft.school ? { id: draft.school, side: basis.side(draft.school) } : null,
    range: soundRange(settingOf(draft.setting), basis.application),
  };
}
