import { sameValue, type SettingId, type SettingValue } from '../../foundation/settings/index.ts';
import { settingsOf, type ControllerDefinition, type Parameter } from '../definitions/index.ts';
import { meaningOfOption } from '../definitions/index.ts';
import { sameCodeValue } from '../definitions/index.ts';

/** Parameters of a definition that speak of a setting. */
export function holdersOf(target: ControllerDefinition, id: SettingId): readonly Parameter[] {
  return target.parameters.filter((p) => settingsOf(p).includes(id));
}

/** True when some option of the definition means that value for that setting. */
export function canChoose(target: ControllerDefinition, id: SettingId, value: SettingValue): boolean {
  return holdersOf(target, id).some(
    (p) =>
      p.encoding.type === 'choice' &&
      p.encoding.options.some((o) => sameValue(meaningOfOption(p, o)[id], value)),
  );
}

/** What a definition does when nothing is chosen: its fixed behaviour, else the meaning of its default option. */
export function standingValue(target: ControllerDefinition, id: SettingId): SettingValue | undefined {
  const fixed = target.fixed?.[id];
  if (fixed !== undefined) return fixed;
  for (const p of holdersOf(target, id)) {
    if (p.encoding.type !== 'choice') continue;
    const standing = p.encoding.default;
    const option = p.encoding.options.find((o) => sameCodeValue(o.value, standing));
    const means = option && meaningOfOption(p, option)[id];
    if (means !== undefined) return means;
  }
  return undefined;
}
