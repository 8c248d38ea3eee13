import { valueIn } from '@brine/core/foundation/quantities';
import { celsiusOf, switchingBand } from '@brine/core/foundation/regulation';
import type { SettingValues } from '@brine/core/foundation/settings';
import { goodsOf, type UnitDescription } from '@brine/core/foundation/unit';
import { secondStage } from './secondStage.ts';

/** A stretch below the line: what the user may turn, where the goods must not stand. */
export interface RuleStretch {
  readonly id: string;
  readonly label: string;
  readonly from: number;
  readonly to: number;
  readonly kind: 'user' | 'band' | 'tooWarm' | 'tooCold';
}

/** Stretches below the line, in °C. */
export function ruleStretches(values: SettingValues, unit: UnitDescription | null): readonly RuleStretch[] {
  const stretches: RuleStretch[] = [];
  const band = switchingBand(values);
  const [from, to] = [
    celsiusOf(values['regulation.setpointMin']),
    celsiusOf(values['regulation.setpointMax']),
  ];
  if (from !== null && to !== null && to >= from)
    stretches.push({ id: 'user', label: 'User may turn it', from, to, kind: 'user' });
  if (band)
    stretches.push({
      id: 'band',
      label: 'Working band',
      from: Math.min(band.cutOut, band.cutIn),
      to: Math.max(band.cutOut, band.cutIn),
      kind: 'band',
    });
  const second = secondStage(values)?.band;
  if (second)
    stretches.push({
      id: 'band2',
      label: second.heat ? 'Heating band' : 'Second band',
      from: Math.min(second.on, second.off),
      to: Math.max(second.on, second.off),
      kind: 'band',
    });
  const goods = unit && goodsOf(unit);
  if (goods?.max)
    stretches.push({
      id: 'tooWarm',
      label: `${goods.name}: not warmer`,
      from: valueIn(goods.max.value, 'degC'),
      to: Number.POSITIVE_INFINITY,
      kind: 'tooWarm',
    });
  if (goods?.min)
    stretches.push({
      id: 'tooCold',
      label: `${goods.name}: not colder`,
      from: Number.NEGATIVE_INFINITY,
      to: valueIn(goods.min.value, 'degC'),
      kind: 'tooCold',
    });
  return stretches;
}
