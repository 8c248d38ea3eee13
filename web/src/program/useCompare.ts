import { computed, ref } from 'vue';
import {
  displayOf,
  scaleOf,
  settingsOf,
  type CodeValue,
  type Parameter,
} from '@brine/core/controllers/definitions';
import {
  isDangerousLoss,
  type LostSetting,
  type RowStatus,
  type TranslatedRow,
} from '@brine/core/controllers/translate';
import { printShown } from '@brine/core/record/handover';
import { foundSheet, type ProgramRow } from '@brine/core/record/job';
import { parseNumber } from '@brine/core/foundation/quantities';
import { settingOf } from '@brine/core/foundation/settings';
import { useJob } from '../shared/job/useJob.ts';

/** Where a row's value may be taken from. */
export type Source = 'plan' | 'old' | 'preset' | 'default';

/** One code of the new control beside what the old one had, with everything it could be set to. */
export interface CompareRow {
  readonly row: ProgramRow;
  readonly meaning: string;
  /** Code and value of the old control, as its own display shows it. */
  readonly old: string;
  /** The same in this control's code, how faithfully, and the sentence that says how. */
  readonly copied: {
    readonly value: CodeValue;
    readonly shown: string;
    readonly status: RowStatus;
    readonly note: string;
  } | null;
  readonly preset: CodeValue | null;
  readonly standard: CodeValue | null;
}

/** A setting that gets lost, and on which way. */
export interface Loss extends LostSetting {
  readonly label: string;
  readonly grave: boolean;
  readonly of: 'plan' | 'old' | 'both';
}

/** The old control beside the new one, row by row, and the choice of what each code is set to. */
export function useCompare() {
  const job = useJob();
  const program = computed(() => job.program.value);
  const target = computed(() => job.replacement.value);
  const presets = computed(() => target.value?.presets ?? []);
  const presetId = ref<string | null>(null);
  const preset = computed(
    () => presets.value.find((p) => p.id === presetId.value) ?? presets.value[0] ?? null,
  );
  const copied = computed(() => new Map((program.value.copy?.rows ?? []).map((row) => [row.code, row])));
  const oldSheet = computed(
    () => new Map(foundSheet(job.state.value, job.old.value).map((r) => [r.code, r.value])),
  );

  const rows = computed<readonly CompareRow[]>(() => program.value.rows.map(compared));

  function compared(row: ProgramRow): CompareRow {
    const own = copied.value.get(row.code);
    return {
      row,
      meaning: row.settings.map((id) => settingOf(id).label).join(', ') || row.parameter.name,
      old: oldValue(row),
      copied: own && own.status !== 'default' ? translated(row, own) : null,
      preset: preset.value?.values[row.code] ?? null,
      standard: standardOf(row.parameter),
    };
  }

  function translated(row: ProgramRow, { value, status, note }: TranslatedRow): CompareRow['copied'] {
    const code = value as CodeValue;
    return { value: code, shown: printShown(row.parameter, code, program.value.display!), status, note };
  }

  /** What stood in the old control for the same settings: code and value as its own display shows them. */
  function oldValue(row: ProgramRow): string {
    const old = job.old.value;
    const display = program.value.found?.display;
    if (!display || row.settings.length === 0) return '';
    // A mechanical control has no codes: its band was measured.
    if (!old)
      return row.settings.some((id) => program.value.found?.values[id] !== undefined) ? 'as measured' : '';
    return old.parameters
      .filter((p) => oldSheet.value.has(p.code) && settingsOf(p).some((id) => row.settings.includes(id)))
      .map((p) => {
        const typed = oldSheet.value.get(p.code)!;
        const number = p.encoding.type === 'number' ? parseNumber(typed) : null;
        return `${p.code} ${printShown(p, number ?? typed, display)}`;
      })
      .join(', ');
  }

  function standardOf(parameter: Parameter): CodeValue | null {
    const { encoding } = parameter;
    if (encoding.type === 'reading') return null;
    if (encoding.type !== 'number') return encoding.default;
    const values = new Map(program.value.rows.map((r) => [r.code, r.value]));
    return scaleOf(encoding, displayOf(target.value!, values)).default;
  }

  /** Losses on either way, what protects compressor or goods first. */
  const losses = computed<readonly Loss[]>(() => {
    const plan = new Map(program.value.lost.map((l) => [l.setting, l]));
    const old = new Map((program.value.copy?.lost ?? []).map((l) => [l.setting, l]));
    const all = [...new Set([...plan.keys(), ...old.keys()])].map((setting): Loss => {
      const of = plan.has(setting) ? (old.has(setting) ? 'both' : 'plan') : 'old';
      return {
        ...(plan.get(setting) ?? old.get(setting)!),
        label: settingOf(setting).label,
        grave: isDangerousLoss(setting),
        of,
      };
    });
    return all.sort((a, b) => Number(b.grave) - Number(a.grave));
  });
  /** Of these nobody stated whether the control holds them. */
  const notStated = computed(() =>
    [...new Set([...program.value.notStated, ...(program.value.copy?.notStated ?? [])])].map(
      (id) => settingOf(id).label,
    ),
  );
  const undecided = computed(() => rows.value.filter(({ row }) => row.undecided));

  /** The value a source has for a row; undefined where it has none, null where the plan's own stands. */
  function valueFrom(row: CompareRow, source: Source): CodeValue | null | undefined {
    if (source === 'plan') return row.row.planned === null ? undefined : null;
    if (source === 'old') return row.copied?.value;
    if (source === 'preset') return row.preset ?? undefined;
    return row.standard ?? undefined;
  }

  async function take(list: readonly CompareRow[], source: Source): Promise<void> {
    await job.write(
      ...list.flatMap((row) => {
        const value = valueFrom(row, source);
        return value === undefined ? [] : [{ kind: 'plannedCode' as const, code: row.row.code, value }];
      }),
    );
  }

  return { program, presets, preset, presetId, rows, losses, notStated, undecided, valueFrom, take };
}

export type Compare = ReturnType<typeof useCompare>;
