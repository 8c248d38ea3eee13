import { isQuantity } from '../../foundation/quantities/index.ts';
import { inWords, joinSentences, sentence, type Sentence } from '../../foundation/sentences/index.ts';
import { check, type Finding } from '../../judgement/checks/index.ts';
import { plan, type PlannedValue } from '../../judgement/plan/index.ts';
import type { Sides, UnitDescription } from '../../foundation/unit/index.ts';
import { impliedBy, withImplied, withoutUnsaid, type Implied } from '../../controllers/builtIn/index.ts';
import {
  encode,
  type LostSetting,
  type RowStatus,
  type TranslatedRow,
} from '../../controllers/translate/index.ts';
import {
  displayOf,
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
  sameValue,
  settingOf,
  type SettingId,
  type SettingValue,
  type SettingValues,
} from '../../foundation/settings/index.ts';
import { asOneRelayFans, fanSettingOf } from '../../judgement/condenserFans/index.ts';
import { allStanding, type Body, type JobState } from '../fold/index.ts';
import type { EntryBody } from '../entries/index.ts';
import { foundMeaning, unitOf } from './survey.ts';
import { choicesOf, targetsOf, type CodeChoice, type Target, type ValueSource } from './targets.ts';

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

/** How far a code is at the cabinet; `byPreset`: the planned preset sets it by itself. */
export type KeyState = 'open' | 'keyed' | 'showsElse' | 'skipped' | 'byPreset';

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
  /** Where nobody keyed it: written over the control's bus and read back, or read there as it stood already. */
  readonly overBus: 'written' | 'stood' | null;
  /** Where the value comes from. */
  readonly source: ValueSource;
  /** True where somebody chose the value for this code. */
  readonly chosen: boolean;
  /** What the plan makes of this code, whatever was chosen instead; null where the plan has nothing to say. */
  readonly planned: CodeValue | null;
  /** True where it fell to this control's own default and nobody has decided on that: it is not keyed in before. */
  readonly undecided: boolean;
}

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
  /** Codes that the menu does not show for the values as they are to stand: not in force, behind another choice. */
  readonly behind: readonly Target[];
  /** What is taken to be built in since no code says it, not confirmed by anybody. */
  readonly deduced: readonly Implied[];
  readonly fixed: readonly { readonly setting: SettingId; readonly value: SettingValue }[];
  readonly lost: readonly LostSetting[];
  /** Planned values of which nobody stated whether this control holds them. */
  readonly notStated: readonly SettingId[];
  /** What the old control was set to in this control's codes; null where nothing of it was found. */
  readonly copy: CopiedProgram | null;
  readonly display: DisplayState | null;
}

export interface ProgramInput {
  readonly state: JobState;
  readonly name: string;
  readonly old: ControllerDefinition | null;
  readonly replacement: ControllerDefinition | null;
  readonly companyDefaults: Sides;
}

/** The old control's settings as they would be copied into the new one. */
export interface CopiedProgram {
  readonly rows: readonly TranslatedRow[];
  readonly lost: readonly LostSetting[];
  readonly notStated: readonly SettingId[];
}

/** Plan, changes, and the same in the new control's codes with what was keyed in. */
export function programOf(input: ProgramInput): Program {
  const surveyed = unitOf(input.state, input.name, input.companyDefaults);
  const unit = surveyed && withInputs(surveyed, input.replacement);
  const found = foundMeaning(input.state, input.old && withImplied(input.old));
  const chosen = chosenValues(input.state, unit);
  const values = Object.fromEntries(chosen.map((c) => [c.setting, c.value])) as SettingValues;
  const target = input.replacement && withImplied(input.replacement, ofTheUnit(unit));
  if (!target)
    return {
      unit,
      found,
      chosen,
      values,
      inForce: values,
      findings: check(values, unit, found?.values ?? null),
      rows: [],
      deduced: [],
      behind: [],
      fixed: [],
      lost: [],
      notStated: [],
      copy: null,
      display: null,
    };
  const choices = choicesOf(input.state, target);
  const encoded = encode({ ...asOneRelayFans(values, unit, target), ...shownBy(target, choices) }, target);
  const copy = found && encode(found.values, target);
  const copied = new Map(
    (copy?.rows ?? []).flatMap((row) =>
      row.code === null || row.status === 'default' ? [] : [[row.code, row.value as CodeValue] as const],
    ),
  );
  const targets = targetsOf(target, encoded, choices, copied);
  const keyed = new Map(allStanding(input.state, 'keyed').map((k) => [k.code, k]));
  const presetRow = targets.find((t) => t.parameter.encoding.type === 'preset' && t.chosen);
  const rows = targets
    .filter((t) => t.visible)
    // What sets most others is keyed before them.
    .sort((x, y) => Number(y === presetRow) - Number(x === presetRow))
    .map((t) => rowOf(t, keyed.get(t.parameter.code), copied.get(t.parameter.code) ?? null, chosen));
  const inEffect = targets.filter((t) => t.inEffect);
  const inForce = settingsOfCodes(
    target,
    new Map(inEffect.map((t) => [t.parameter.code, t.value])),
    encoded.display,
  );
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
    deduced: impliedBy(input.replacement).map((fact) => ({
      ...fact,
      value: target.fixed?.[fact.setting] ?? fact.value,
    })),
    behind: targets.filter((t) => !t.visible),
    ...withoutUnsaid(stillLost(encoded.lost, inForce, values), input.replacement),
    copy: copy && { rows: copy.rows, ...withoutUnsaid(copy.lost, input.replacement) },
    display: encoded.display,
  };
}

/** What the unit says of facts that a control's codes may leave open. */
const ofTheUnit = (unit: UnitDescription | null): SettingValues =>
  unit ? { 'defrost.method': unit.defrostMethod } : {};

/** The unit with what its new control can be told by wire, and what it can do at all. */
function withInputs(unit: UnitDescription, control: ControllerDefinition | null): UnitDescription {
  const quietInput = control?.inputs?.some((input) => input.roles?.includes('quiet')) ?? false;
  // A relay knows no speeds: its fans are planned on and off, whatever is usual on a drive.
  const oneRelay =
    control !== null &&
    unit.application === 'condenserFans' &&
    !control.parameters.some((p) => p.setting === 'condenser.setpoint');
  return {
    ...unit,
    ...(quietInput && { quietInput }),
    ...(oneRelay && { schools: { ...unit.schools, fanRegulation: 'onOff' } }),
  };
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

/** A code that the menu shows, with what became of it at the cabinet. */
function rowOf(
  target: Target,
  mark: Body<'keyed'> | undefined,
  found: CodeValue | null,
  chosen: readonly ChosenValue[],
): ProgramRow {
  const { parameter, value, row, source, byPreset } = target;
  const settings: readonly SettingId[] = [row.setting ?? []].flat();
  // A value changed after it was keyed in has to be keyed in again.
  const current = mark && mark.state !== null && sameCodeValue(mark.value, value) ? mark : null;
  const byItself = byPreset !== null && sameCodeValue(byPreset, value);
  const planned = !target.chosen && target.planned !== null;
  return {
    code: parameter.code,
    parameter,
    settings,
    value,
    status: target.chosen ? 'exact' : row.status,
    note: target.chosen || source === 'preset' ? sourceNotes[source] : row.note,
    reason: planned ? reasonOf(row.status, settings, chosen) : target.why,
    source,
    chosen: target.chosen,
    planned: target.planned,
    undecided: source === 'default' && !target.chosen && current === null,
    found,
    differs: found !== null && !sameCodeValue(found, value),
    state: current?.state ?? (byItself ? 'byPreset' : 'open'),
    shown: current?.shown ?? null,
    why: current?.why ?? null,
    overBus:
      current?.over !== 'bus' || current.state !== 'keyed' ? null : current.stood ? 'stood' : 'written',
  };
}

/** Whether these settings of a code hold what was chosen: by its own name, or where a relay's control keeps what is a condenser's. */
const isHeldIn = (settings: readonly SettingId[], { setting }: ChosenValue): boolean =>
  settings.includes(setting) || settings.includes(fanSettingOf({}, setting));

/** Why a code stands as it does. Of one that the control could not take the plan's reason speaks of another value: it is named. */
function reasonOf(
  status: RowStatus,
  settings: readonly SettingId[],
  chosen: readonly ChosenValue[],
): Sentence | null {
  const reason = reasonFor(settings, chosen);
  const value = chosen.find((c) => isHeldIn(settings, c))?.value;
  return reason !== null && status === 'clamped' && isQuantity(value)
    ? sentence`Planned was ${value}: ${reason}`
    : reason;
}

/** What the codes chosen by hand say of the display: every other number is written in it. */
function shownBy(target: ControllerDefinition, choices: ReadonlyMap<string, CodeChoice>): SettingValues {
  const codes = new Map(
    target.parameters.flatMap((p) => {
      const choice = setsTheDisplay(p) ? choices.get(p.code) : undefined;
      return choice ? [[p.code, choice.value] as const] : [];
    }),
  );
  const display = displayOf(target, codes);
  return {
    ...(codes.size > 0 &&
      hasCode(target, codes, 'display.unit') && {
        'display.unit': display.unit === 'degF' ? 'fahrenheit' : 'celsius',
      }),
    ...(codes.size > 0 &&
      hasCode(target, codes, 'display.decimal') && { 'display.decimal': display.decimal }),
  };
}

const setsTheDisplay = (p: Parameter) => p.setting === 'display.unit' || p.setting === 'display.decimal';
const hasCode = (target: ControllerDefinition, codes: ReadonlyMap<string, CodeValue>, id: SettingId) =>
  target.parameters.some((p) => p.setting === id && codes.has(p.code));

/** A setting without a code of its own is not lost where what is chosen by hand says the same. */
function stillLost(lost: readonly LostSetting[], inForce: SettingValues, values: SettingValues) {
  return lost.filter(({ setting }) => {
    const now = inForce[setting];
    return now === undefined || !sameValue(now, values[setting]);
  });
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
  const mine = chosen.filter((c) => isHeldIn(settings, c));
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
