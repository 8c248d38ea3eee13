import { inWords, joinSentences, type Sentence } from '../../foundation/sentences/index.ts';
import { check, type Finding } from '../../judgement/checks/index.ts';
import { plan, type PlannedValue } from '../../judgement/plan/index.ts';
import type { Sides, UnitDescription } from '../../foundation/unit/index.ts';
import { encode, type LostSetting, type RowStatus } from '../../controllers/translate/index.ts';
import {
  parameterOf,
  sameCodeValue,
  settingsOfCodes,
  type CodeValue,
  type ControllerDefinition,
  type Decoded,
  type DisplayState,
  type Parameter,
} from '../../controllers/definitions/index.ts';
import {
  isSettingId,
  settingOf,
  type SettingId,
  type SettingValue,
  type SettingValues,
} from '../../foundation/settings/index.ts';
import { asOneRelayFans } from '../../judgement/condenserFans/index.ts';
import { allStanding, type JobState } from '../fold/index.ts';
import type { EntryBody } from '../entries/index.ts';
import { foundMeaning, unitOf } from './survey.ts';

/** A planned value with what the technician made of it. */
export interface ChosenValue {
  readonly setting: SettingId;
  readonly value: SettingValue;
  /** The plan's own value where it was changed; null where the plan has none. */
  readonly planned: SettingValue | null;
  readonly changed: boolean;
  readonly why: string | null;
  readonly advice: PlannedValue | null;
}

/** How far a code is at the cabinet. */
export type KeyState = 'open' | 'keyed' | 'showsElse' | 'skipped';

/** One code of the new control: what it is to be set to and why, what was found, and whether it is keyed in. */
export interface ProgramRow {
  readonly code: string;
  readonly parameter: Parameter;
  readonly settings: readonly SettingId[];
  readonly value: CodeValue;
  readonly status: Exclude<RowStatus, 'fixed'>;
  readonly note: string;
  readonly reason: Sentence | null;
  /** The old control's meaning in this code, where it had one. */
  readonly found: CodeValue | null;
  readonly differs: boolean;
  readonly state: KeyState;
  readonly shown: string | null;
  readonly why: string | null;
  /** Where the value comes from. */
  readonly source: ValueSource;
  /** What the plan makes of this code, whatever was chosen instead; null where the plan has nothing to say. */
  readonly planned: CodeValue | null;
  /** True where it fell to this control's own default and nobody has decided on that: it is not keyed in before. */
  readonly undecided: boolean;
}

/** Where a code's value comes from: the plan, the old control, a preset, the control's own default, or somebody's hand. */
export type ValueSource = 'plan' | 'old' | 'preset' | 'default' | 'hand';

/** Everything the Program station shows, computed from the stream. */
export interface Program {
  readonly unit: UnitDescription | null;
  readonly found: Decoded | null;
  readonly chosen: readonly ChosenValue[];
  readonly values: SettingValues;
  /** What the new control will really do: read back from its own codes, rounding and all; the values chosen where there is none yet. */
  readonly inForce: SettingValues;
  readonly findings: readonly Finding[];
  readonly rows: readonly ProgramRow[];
  readonly fixed: readonly { readonly setting: SettingId; readonly value: SettingValue }[];
  readonly lost: readonly LostSetting[];
  readonly display: DisplayState | null;
}

export interface ProgramInput {
  readonly state: JobState;
  readonly name: string;
  readonly old: ControllerDefinition | null;
  readonly replacement: ControllerDefinition | null;
  readonly companyDefaults: Sides;
}

/** Plan, changes, and the same in the new control's codes with what was keyed in. */
export function programOf(input: ProgramInput): Program {
  const surveyed = unitOf(input.state, input.name, input.companyDefaults);
  const unit = surveyed && withInputs(surveyed, input.replacement);
  const found = foundMeaning(input.state, input.old);
  const chosen = chosenValues(input.state, unit);
  const values = Object.fromEntries(chosen.map((c) => [c.setting, c.value])) as SettingValues;
  const target = input.replacement;
  if (!target)
    return {
      unit,
      found,
      chosen,
      values,
      inForce: values,
      findings: check(values, unit, found?.values ?? null),
      rows: [],
      fixed: [],
      lost: [],
      display: null,
    };
  const encoded = encode(asOneRelayFans(values, unit, target), target);
  const asFound = found ? encode(found.values, target).rows : [];
  const overrides = new Map(
    allStanding(input.state, 'plannedCode').flatMap((o) =>
      o.value === null ? [] : [[o.code, o.value] as const],
    ),
  );
  const keyed = new Map(allStanding(input.state, 'keyed').map((k) => [k.code, k]));
  const rows = encoded.rows.flatMap((row): ProgramRow[] => {
    const parameter = row.code === null ? undefined : parameterOf(target, row.code);
    if (!parameter) return [];
    const settings: readonly SettingId[] = [row.setting ?? []].flat();
    const override = overrides.get(parameter.code);
    const value = override ?? (row.value as CodeValue);
    const before = asFound.find((f) => f.code === parameter.code && f.status !== 'default');
    const mark = keyed.get(parameter.code);
    // A value changed after it was keyed in has to be keyed in again.
    const current = mark && mark.state !== null && sameCodeValue(mark.value, value) ? mark : null;
    const source = sourceOf(override, row, before?.value as CodeValue | undefined, target, parameter.code);
    return [
      {
        code: parameter.code,
        parameter,
        settings,
        value,
        status: override === undefined ? (row.status as ProgramRow['status']) : 'exact',
        note: override === undefined ? row.note : sourceNotes[source],
        reason: override === undefined ? reasonFor(settings, chosen) : null,
        source,
        planned: row.status === 'default' ? null : (row.value as CodeValue),
        undecided: row.status === 'default' && override === undefined && current === null,
        found: before ? (before.value as CodeValue) : null,
        differs: before ? !sameCodeValue(before.value as CodeValue, value) : false,
        state: current?.state ?? 'open',
        shown: current?.shown ?? null,
        why: current?.why ?? null,
      },
    ];
  });
  const inForce = settingsOfCodes(target, new Map(rows.map((row) => [row.code, row.value])), encoded.display);
  const fixed = encoded.rows.flatMap((row) =>
    row.status === 'fixed' ? [{ setting: row.setting as SettingId, value: row.value }] : [],
  );
  return {
    unit,
    found,
    chosen,
    values,
    inForce,
    findings: check(inForce, unit, found?.values ?? null),
    rows,
    fixed,
    lost: encoded.lost,
    display: encoded.display,
  };
}

/** The unit with what its new control can be told by wire. */
function withInputs(unit: UnitDescription, control: ControllerDefinition | null): UnitDescription {
  const quietInput = control?.inputs?.some((input) => input.roles?.includes('quiet')) ?? false;
  return quietInput ? { ...unit, quietInput } : unit;
}

/** The entry that leaves an undecided code at the control's own default. */
export function defaultDecision(row: ProgramRow): EntryBody {
  return { kind: 'plannedCode', code: row.code, value: row.value };
}

const sourceNotes: Readonly<Record<ValueSource, string>> = {
  plan: '',
  old: 'copied from the old control',
  preset: 'taken from a preset of this control',
  default: 'left at the default of this control: decided',
  hand: 'typed by hand for this control alone',
};

/** What was chosen for a code says by its value where it comes from; the old control counts before a preset. */
function sourceOf(
  override: CodeValue | undefined,
  row: { readonly status: RowStatus; readonly value: unknown },
  copied: CodeValue | undefined,
  target: ControllerDefinition,
  code: string,
): ValueSource {
  if (override === undefined) return row.status === 'default' ? 'default' : 'plan';
  const is = (value: unknown) => value !== undefined && sameCodeValue(value as CodeValue, override);
  if (is(copied)) return 'old';
  if (is(row.value)) return row.status === 'default' ? 'default' : 'plan';
  return target.presets?.some((preset) => is(preset.values[code])) ? 'preset' : 'hand';
}

function chosenValues(state: JobState, unit: UnitDescription | null): readonly ChosenValue[] {
  const advised = unit ? plan(unit).settings : [];
  const changes = new Map(
    allStanding(state, 'planned').flatMap((p) =>
      p.value === null || !isSettingId(p.setting) ? [] : [[p.setting, p] as const],
    ),
  );
  const planned = advised.map((advice): ChosenValue => {
    const change = changes.get(advice.setting);
    return {
      setting: advice.setting,
      value: change?.value ?? advice.value,
      planned: change ? advice.value : null,
      changed: change !== undefined,
      why: change?.why ?? null,
      advice,
    };
  });
  const extra = [...changes.values()]
    .filter((change) => !advised.some((advice) => advice.setting === change.setting))
    .map((change): ChosenValue => ({
      setting: change.setting,
      value: change.value!,
      planned: null,
      changed: true,
      why: change.why ?? null,
      advice: null,
    }));
  return [...planned, ...extra];
}

function reasonFor(settings: readonly SettingId[], chosen: readonly ChosenValue[]): Sentence | null {
  const mine = chosen.filter((c) => settings.includes(c.setting));
  if (mine.length === 0) return null;
  const reasons = mine.map((c) =>
    c.changed ? (c.why ?? `${settingOf(c.setting).label} was changed by hand.`) : c.advice!.reason,
  );
  const words = reasons.map((reason) => inWords(reason));
  return joinSentences(
    reasons.filter((_, i) => words.indexOf(words[i]!) === i),
    ' ',
  );
}
