import {
  meaningOf,
  readTypedCode,
  sameCodeValue,
  settingsOfCodes,
  type CodeValue,
  type ControllerDefinition,
  type Parameter,
} from '../../controllers/definitions/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { Entry, PinnedDefinition } from '../entries/index.ts';
import type { JobState } from '../fold/index.ts';
import type { Program } from '../job/index.ts';

/** How a value is known: keyed in and seen, seen as something else, set by a preset that was keyed, read and left. */
export type HowKnown = 'keyed' | 'shown' | 'preset' | 'read';

/** A code of which somebody saw what it holds. */
export interface KnownCode {
  readonly code: string;
  readonly parameter: Parameter;
  readonly settings: readonly SettingId[];
  /** What stands in it, as the control itself writes it. */
  readonly value: CodeValue;
  readonly how: HowKnown;
  /** When it was seen, by the clock of the device, ISO 8601. */
  readonly since: string;
  /** Who saw it. */
  readonly by: string;
}

/** What of a job’s control is known to be in the unit, and what is only planned. */
export interface InUnit {
  readonly known: readonly KnownCode[];
  /** What the known codes alone set; nothing of the plan, and nothing the booklet merely implies. */
  readonly settings: SettingValues;
  /** Codes of the menu whose planned value nobody has seen in the unit. */
  readonly planned: readonly string[];
}

interface Seen {
  readonly entry: Entry;
  readonly value: CodeValue;
  readonly how: HowKnown;
}

/**
 * What is in the unit: values that somebody keyed in and saw, saw as something else, or read from a control that stays. A plan that was changed after a code was keyed
 * leaves the old value in the unit until the new one is keyed.
 *
 * @param pins the old and the new control of the job; read values count where they are the same definition
 */
export function inUnitOf(
  state: JobState,
  program: Pick<Program, 'rows' | 'display'>,
  control: ControllerDefinition | null,
  pins: { readonly old: PinnedDefinition | null; readonly replacement: PinnedDefinition | null },
): InUnit {
  if (!control) return { known: [], settings: {}, planned: [] };
  const stays = pins.old !== null && pins.old.hash === pins.replacement?.hash;
  const display = program.display ?? { unit: 'degC' as const, decimal: false };
  const parameters = new Map(control.parameters.map((p) => [p.code, p]));
  const seen = new Map<string, Seen>();
  const see = (code: string, entry: Entry, value: CodeValue | null, how: HowKnown) => {
    if (value !== null && parameters.has(code)) seen.set(code, { entry, value, how });
  };
  const heads = [...state.registers.values()].map((list) => list.at(-1)!.entry);
  if (stays)
    for (const entry of heads)
      if (entry.body.kind === 'found')
        see(entry.body.code, entry, typed(entry.body.code, entry.body.value ?? ''), 'read');
  for (const entry of heads) {
    const { body } = entry;
    if (body.kind !== 'keyed') continue;
    if (body.state === 'keyed') see(body.code, entry, body.value, 'keyed');
    if (body.state === 'showsElse') see(body.code, entry, typed(body.code, body.shown ?? ''), 'shown');
  }
  for (const row of program.rows) {
    if (row.state !== 'byPreset' || seen.has(row.code)) continue;
    const preset = program.rows.find((r) => r.parameter.encoding.type === 'preset' && r.chosen);
    const keyed = preset && seen.get(preset.code);
    if (keyed?.how === 'keyed' && sameCodeValue(keyed.value, preset!.value))
      see(row.code, keyed.entry, row.value, 'preset');
  }

  /** What the display showed, as a value of its code; as it was written where it is none. */
  function typed(code: string, shown: string): CodeValue | null {
    const parameter = parameters.get(code);
    const read = parameter && readTypedCode(control!, parameter, shown, display);
    return read && 'value' in read ? read.value : shown.trim() === '' ? null : shown.trim();
  }

  const known = control.parameters.flatMap((parameter): KnownCode[] => {
    const one = seen.get(parameter.code);
    if (!one) return [];
    const { entry, value, how } = one;
    const settings = Object.keys(meaningOf(parameter, value, display)) as SettingId[];
    return [
      { code: parameter.code, parameter, settings, value, how, since: entry.deviceTime, by: entry.author },
    ];
  });
  const byCode = new Map(known.map((k) => [k.code, k.value]));
  // What the booklet only implies nobody has seen.
  const { implied: _implied, ...stated } = control;
  return {
    known,
    settings: settingsOfCodes(stated, byCode, display),
    planned: program.rows
      .filter((row) => row.state !== 'skipped')
      .filter((row) => !byCode.has(row.code) || !sameCodeValue(byCode.get(row.code)!, row.value))
      .map((row) => row.code),
  };
}
