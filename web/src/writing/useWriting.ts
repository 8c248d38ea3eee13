import { nameHere } from '../shared/mount/mount.ts';
import { computed, ref, shallowRef, watch } from 'vue';
import type { ControllerDefinition, Encoding, Panel } from '@brine/core/controllers/definitions';
import { machineOf, readController } from '@brine/core/controllers/panel';
import { impliedBy, type Implied } from '@brine/core/controllers/builtIn';
import { doubtsOf } from '@brine/core/judgement/asking';
import type { SettingId, SettingValue } from '@brine/core/foundation/settings';
import {
  choicesOf,
  connectionsOf,
  type WrittenConnections,
  draftDefinition,
  draftRegisters,
  draftRows,
  mendRows,
  panelFrom,
  panelPatterns,
  readTable,
  type Choice,
  type DraftRow,
  type Mend,
  type RowCondition,
  type SaidOfRegister,
  type WrittenRegisters,
  withPresets,
} from '@brine/core/controllers/suggest';
import { request } from '../shared/api/client.ts';
import { writtenHere } from '../shared/job/writtenHere.ts';
import { rowKeys } from './rowKeys.ts';
import { deedsOf, shownPanel } from './shownPanel.ts';
import { blank, type Writing } from './writing.ts';

export type { Writing, WrittenAlarm } from './writing.ts';

/** A row with the name under which decisions on it are kept: they follow it when lines move. */
export interface WritingRow extends DraftRow {
  readonly key: string;
  readonly decided: boolean;
  readonly omitted: boolean;
}

const KEY = nameHere('brine-writing');
/** Chosen as pattern: the panel as it was shown by its keys. */
export const SHOWN = 'shown';

/** A controller being written down: from pasted text to a definition that can be tried and saved. */
export function useWriting() {
  const writing = ref<Writing>(kept());
  watch(writing, (value) => localStorage.setItem(KEY, JSON.stringify(value)));
  const learned = shallowRef<readonly Choice[]>([]);
  void loadLearned();

  async function loadLearned(): Promise<void> {
    try {
      learned.value = (await request('meanings')).meanings;
    } catch {
      // Without the company's earlier choices the suggestions come from the words alone.
    }
  }

  const change = (part: Partial<Writing>) => (writing.value = { ...writing.value, ...part });
  const table = computed(() => readTable(writing.value.text, writing.value.roles ?? undefined));
  const keys = computed(() => rowKeys(table.value.rows));
  const rows = computed<readonly WritingRow[]>(() => {
    const { mends, settings, means, conditions, added, omitted } = writing.value;
    const byLine = new Map(
      table.value.rows.flatMap((row, i) => {
        const mend = mends[keys.value[i]!];
        return mend ? [[row.line, mend] as const] : [];
      }),
    );
    return draftRows(mendRows(table.value.rows, byLine), learned.value).map((row, i) => {
      const key = keys.value[i]!;
      const decided = key in settings;
      const setting = decided ? settings[key]! : row.setting;
      const unprinted = (added[key] ?? []).map((value) => ({ value, words: '', means: null, sure: false }));
      const choices = [...choicesOf(row, setting), ...unprinted].map((choice) => {
        const said = means[`${key}|${choice.value}`];
        return said === undefined ? choice : { ...choice, means: said, sure: true };
      });
      const condition = key in conditions ? conditions[key]! : row.condition;
      return { ...row, key, decided, setting, choices, condition, omitted: omitted.includes(key) };
    });
  });
  const used = computed(() => rows.value.filter((row) => !row.omitted));
  const pattern = computed(
    () => panelPatterns.find((p) => p.id === writing.value.pattern) ?? panelPatterns[0]!,
  );
  const draft = computed(() => {
    const family = writing.value.family.trim() || 'New control';
    const names = {
      id: idOf(family),
      family,
      version: writing.value.version.trim() || '1',
      summary: writing.value.summary.trim(),
    };
    const read = draftDefinition(names, used.value, null);
    const { notes, signs } = writing.value;
    if (Object.keys(notes).length === 0 && Object.keys(signs).length === 0) return read;
    const signed = new Map(
      used.value.flatMap(({ code, key }) => (signs[key] ? [[code, signs[key]] as const] : [])),
    );
    const noted = new Map(
      used.value.flatMap(({ code, key }) => (notes[key] ? [[code, notes[key]] as const] : [])),
    );
    const parameters = read.definition.parameters.map((one) => ({
      ...one,
      ...(noted.has(one.code) && { note: noted.get(one.code)! }),
      ...(signed.has(one.code) &&
        one.encoding.type === 'number' && { encoding: { ...one.encoding, sign: signed.get(one.code)! } }),
    }));
    return { ...read, definition: { ...read.definition, parameters } };
  });
  /** Its panel: of a pattern, or as it was shown. */
  const showing = computed(() => shownPanel(draft.value.definition, writing.value.showing));
  const isShown = computed(() => writing.value.pattern === SHOWN);
  const panel = computed<Panel | null>(() => {
    const bare = isShown.value ? showing.value.panel : panelFrom(pattern.value, writing.value.answers);
    const deeds = deedsOf(writing.value.shortcuts);
    return bare && deeds.length > 0 ? { ...bare, deeds } : bare;
  });
  const connections = computed(() => connectionsOf(writing.value.connections));
  const alarmCodes = computed(() =>
    writing.value.alarms?.map(({ code, means, severity, checks }) => ({
      code: code.trim(),
      means: means.trim(),
      severity,
      firstChecks: checks
        .split(';')
        .map((check) => check.trim())
        .filter((check) => check !== ''),
    })),
  );
  const preset = computed(() =>
    withPresets(draft.value.definition, writing.value.presets, writing.value.presetCode),
  );
  const registers = computed(() => draftRegisters(draft.value.definition, writing.value.registers));
  const connected = computed<ControllerDefinition>(() => ({
    ...preset.value.definition,
    ...(panel.value && { panel: panel.value }),
    ...connections.value.parts,
    ...(alarmCodes.value && { alarmCodes: alarmCodes.value }),
    ...(registers.value.registers.length > 0 && { registers: registers.value.registers }),
    ...(registers.value.check && { registerCheck: registers.value.check }),
  }));
  /** What its codes and connections imply; what was decided on it stands in `writing.builtIn`. */
  const implied = computed<readonly Implied[]>(() => impliedBy(connected.value));
  const written = computed<ControllerDefinition>(() => {
    const { builtIn } = writing.value;
    const deduced = new Map(implied.value.map((i) => [i.setting, i]));
    const said = (Object.entries(builtIn) as [SettingId, SettingValue | null][]).filter(([id]) =>
      deduced.has(id),
    );
    const confirmed = said.filter(([, value]) => value !== null);
    const open = implied.value.filter((i) => !(i.setting in builtIn));
    return {
      ...connected.value,
      fixed: { ...connected.value.fixed, ...Object.fromEntries(confirmed) },
      ...(confirmed.length > 0 && {
        fixedReasons: Object.fromEntries(confirmed.map(([id]) => [id, deduced.get(id)!.because])),
      }),
      ...(open.length > 0 && { implied: Object.fromEntries(open.map((i) => [i.setting, i.value])) }),
    };
  });
  const definition = computed<ControllerDefinition>(() => ({
    ...written.value,
    writing: writing.value,
  }));
  const faults = computed(() => {
    if (draft.value.definition.parameters.length === 0) return [];
    const read = readController(written.value);
    return 'faults' in read ? read.faults : [];
  });
  /** What the booklet may have left in doubt and the control itself can tell. */
  const doubts = computed(() =>
    draft.value.definition.parameters.length === 0 ? [] : doubtsOf(written.value),
  );
  const machine = computed(() =>
    faults.value.length === 0 && draft.value.definition.parameters.length > 0
      ? machineOf(written.value)
      : null,
  );

  return {
    writing,
    table,
    rows,
    used,
    pattern,
    isShown,
    showing,
    panel,
    written,
    preset,
    draft,
    connections,
    registers,
    implied,
    definition,
    faults,
    doubts,
    machine,
    change,
    mend: (key: string, part: Mend) =>
      change({ mends: { ...writing.value.mends, [key]: { ...writing.value.mends[key], ...part } } }),
    decide: (key: string, setting: SettingId | null) =>
      change({ settings: { ...writing.value.settings, [key]: setting } }),
    say: (key: string, value: string, means: string | boolean) =>
      change({ means: { ...writing.value.means, [`${key}|${value}`]: means } }),
    /** Says on which choice a row depends; null: on none. */
    depend: (key: string, condition: RowCondition | null) =>
      change({ conditions: { ...writing.value.conditions, [key]: condition } }),
    /** Says which way the numbers of a row count. */
    signAs: (key: string, encoding: Encoding | undefined) =>
      encoding?.type === 'number' &&
      change({ signs: { ...writing.value.signs, [key]: encoding.sign === -1 ? -1 : 1 } }),
    omit: (key: string, omitted: boolean) =>
      change({
        omitted: omitted ? [...writing.value.omitted, key] : writing.value.omitted.filter((k) => k !== key),
      }),
    connect: (part: Partial<WrittenConnections>) =>
      change({ connections: { ...writing.value.connections, ...part } }),
    writeRegisters: (part: Partial<WrittenRegisters>) =>
      change({ registers: { ...writing.value.registers, ...part } }),
    /** Says something of a row of the register table. */
    sayOfRegister: (key: string, part: SaidOfRegister) => {
      const { registers: before } = writing.value;
      change({
        registers: { ...before, rows: { ...before.rows, [key]: { ...before.rows[key], ...part } } },
      });
    },
    /** Says a fact that no code says; null: it is not stated. */
    sayBuiltIn: (values: Writing['builtIn']) => change({ builtIn: { ...writing.value.builtIn, ...values } }),
    /** Says whether a value stands as soon as it is taken, or once the menu was left. */
    savesOnLeaving: (saves: boolean) => {
      const { answers, showing: shown } = writing.value;
      if (!isShown.value) return change({ answers: { ...answers, keeps: saves ? 'nothing' : 'taken' } });
      const stores = saves ? 'leaving' : 'taken';
      const menus = shown.menus.map((menu) => ({ ...menu, answers: { ...menu.answers, stores } as const }));
      return change({ showing: { ...shown, menus } });
    },
    /** Takes up what a saved definition was written from. */
    takeUp: (from: Writing, version: string) => (writing.value = { ...blank, ...from, version }),
    startAnew: () => (writing.value = blank),
  };
}

export type LiveWriting = ReturnType<typeof useWriting>;

/** What a definition was written from, where it was written here. */
export function writingOf(definition: ControllerDefinition): Writing | null {
  return writtenHere(definition) ? { ...blank, ...definition.writing } : null;
}

/** An id from a name: lower case, words joined by strokes. */
export const idOf = (family: string) =>
  family
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'control';

function kept(): Writing {
  try {
    return { ...blank, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Writing>) };
  } catch {
    return blank;
  }
}
