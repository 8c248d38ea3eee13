import {
  meaningOf,
  sameCodeValue,
  scaleOf,
  type CodeValue,
  type ControllerDefinition,
} from '../../controllers/definitions/index.ts';
import { encode } from '../../controllers/translate/index.ts';
import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValue } from '../../foundation/settings/index.ts';
import type { Movable } from '../../judgement/leaving/index.ts';
import type { Program, ProgramRow } from './program.ts';

/** Values that a proof may borrow. */
const lendable = ['regulation.setpoint', 'alarms.delay', 'alarms.powerOnExclusion'] as const;

/** The code of a setting alone, a number: null where this control has none, or hides it. */
const rowOf = (program: Program, setting: SettingId): ProgramRow | null =>
  program.rows.find(
    ({ settings, parameter }) =>
      settings.length === 1 && settings[0] === setting && parameter.encoding.type === 'number',
  ) ?? null;

/** Values of the new control that can be moved for a while, and between what: by the scale of their code, and by the user's limits of the set point. */
export function movableOf(program: Program): readonly Movable[] {
  const { display, inForce } = program;
  if (!display) return [];
  return lendable.flatMap((setting): readonly Movable[] => {
    const row = rowOf(program, setting);
    const encoding = row?.parameter.encoding;
    if (!row || encoding?.type !== 'number') return [];
    const scale = scaleOf(encoding, display);
    const ends = [scale.min, scale.max].flatMap((end) => {
      const value = meaningOf(row.parameter, end, display)[setting];
      return isQuantity(value) ? [baseValue(value)] : [];
    });
    if (ends.length < 2) return [];
    const user = (['regulation.setpointMin', 'regulation.setpointMax'] as const).map((id) => {
      const value = setting === 'regulation.setpoint' ? inForce[id] : undefined;
      return isQuantity(value) ? baseValue(value) : null;
    });
    const least = Math.max(Math.min(...ends), user[0] ?? -Infinity);
    const most = Math.min(Math.max(...ends), user[1] ?? Infinity);
    return least < most ? [{ setting, least, most }] : [];
  });
}

/** What a setting that is moved for a while is keyed as, beside what stands in the plan; null where this control has no code for it. */
export function movedCode(
  program: Program,
  definition: ControllerDefinition,
  setting: SettingId,
  to: SettingValue,
): { readonly row: ProgramRow; readonly value: CodeValue } | null {
  const row = rowOf(program, setting);
  if (!row) return null;
  const { all } = encode({ ...program.inForce, [setting]: to }, definition);
  const moved = all.find(({ code }) => code === row.code)?.value;
  const isKeyed = typeof moved === 'number' || typeof moved === 'string';
  return !isKeyed || sameCodeValue(moved, row.value) ? null : { row, value: moved };
}
