import type { SettingId } from '../../foundation/settings/index.ts';

/** Losses that hurt a compressor or the goods, said first and loudest: rest, probe failure, alarms. */
const dangerous: readonly RegExp[] = [
  /^compressor\.(minOffTime|powerOnDelay|minStartInterval|minOnTime)$/,
  /^compressor\.(onProbeFault|faultOnTime|faultOffTime)$/,
  /^alarms\.(reference|highTemperature|highOffset|lowTemperature|lowOffset|delay|inputAction)$/,
  /^alarms\./,
];

/** True for a setting that protects the compressor or the goods: its loss must be decided on, not passed over. */
export function isDangerousLoss(id: SettingId): boolean {
  return dangerous.slice(0, GRAVE).some((pattern) => pattern.test(id));
}

/** The first patterns are grave; the last only says that other alarm settings come before the rest. */
const GRAVE = 3;

/** Puts dangerous losses first, the rest in the order given. */
export function dangerFirst<Lost extends { readonly setting: SettingId }>(
  losses: readonly Lost[],
): readonly Lost[] {
  const rank = (id: SettingId) => {
    const at = dangerous.findIndex((pattern) => pattern.test(id));
    return at === -1 ? dangerous.length : at;
  };
  return [...losses].sort((a, b) => rank(a.setting) - rank(b.setting));
}
