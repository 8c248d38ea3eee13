import { EPSILON } from '../../foundation/limits/index.ts';
import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import { sentence } from '../../foundation/sentences/index.ts';
import type { SettingValue, SettingValues } from '../../foundation/settings/index.ts';
import {
  celsiusOf,
  placeBand,
  placementOf,
  switchingBand,
  written,
} from '../../foundation/regulation/index.ts';
import type { Check } from './finding.ts';

/** One stage that heats while the other cools: where the air stands between both cut-outs each undoes the other. */
export const stagesFight: Check = ({ values }) => {
  const second = secondBand(values);
  const first = switchingBand(values);
  if (!first || !second) return [];
  const firstHeats = values['regulation.action'] === 'heat';
  if (firstHeats === second.heats) return [];
  const heatsTo = firstHeats ? first.cutOut : second.cutOut;
  const coolsTo = firstHeats ? second.cutOut : first.cutOut;
  if (heatsTo <= coolsTo + EPSILON) return [];
  return [
    {
      code: 'stagesFight',
      severity: 'error',
      settings: ['stage2.setpoint', 'stage2.offset', 'stage2.differential', 'regulation.setpoint'].filter(
        (id) => id in values,
      ),
      message: sentence`One stage heats up to ${written(heatsTo, first.unit)} while the other cools down to ${written(coolsTo, first.unit)}: between them both run against each other. Part them by a dead band.`,
      numbers: { heatsTo, coolsTo },
    },
  ];
};

/** Where the second stage stops, °C, and whether it heats; null without one. */
function secondBand(values: SettingValues): { readonly cutOut: number; readonly heats: boolean } | null {
  if (values['stage2.function'] !== 'thermostat') return null;
  // By a probe of its own it regulates another place.
  if (values['stage2.probe'] === 'second') return null;
  const first = celsiusOf(values['regulation.setpoint']);
  const point =
    values['stage2.reference'] !== 'relative'
      ? celsiusOf(values['stage2.setpoint'])
      : first === null
        ? null
        : first + kelvinsOf(values['stage2.offset']);
  if (point === null) return null;
  const heats = values['stage2.action'] === 'heat';
  const placement = values['stage2.differentialPlacement'] ?? values['regulation.differentialPlacement'];
  const width = kelvinsOf(values['stage2.differential']);
  return { cutOut: placeBand(point, width, placementOf(placement), heats).cutOut, heats };
}

const kelvinsOf = (value: SettingValue | undefined): number => (isQuantity(value) ? baseValue(value) : 0);
