import { LONGEST_CODE, LONGEST_TEXT } from '@brine/contract/lengths';
import { cutText } from '../shared/ui/cutText.ts';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { defaultDecision, type ProgramRow } from '@brine/core/record/job';
import { looksLike, type CodeValue, type Parameter } from '@brine/core/controllers/definitions';
import { setsDisplay } from '@brine/core/controllers/panel';
import { useJob } from '../shared/job/useJob.ts';

/** Keying in, one code after the other: where one stands, and what one says of it. */
export function useCabinet() {
  const job = useJob();
  const route = useRoute();
  /** In menu order, but what sets the display comes first: every other number is shown in it. */
  const rows = computed(() => {
    const first = (row: ProgramRow) => (setsDisplay(row.parameter) ? 0 : 1);
    return [...job.program.value.rows].sort((a, b) => first(a) - first(b));
  });
  const currentCode = ref<string | null>(
    typeof route.query['code'] === 'string' ? route.query['code'] : null,
  );
  const current = computed<ProgramRow | null>(
    () =>
      rows.value.find((row) => row.code === currentCode.value) ??
      rows.value.find((row) => row.state === 'open') ??
      rows.value[0] ??
      null,
  );
  /** The last code settled on this page: there the display of the control stands now. */
  const lastSettled = ref<string | null>(null);
  const index = computed(() => rows.value.findIndex((row) => row.code === current.value?.code));
  const settled = computed(() => rows.value.filter((row) => row.state !== 'open').length);
  const allDone = computed(() => rows.value.length > 0 && settled.value === rows.value.length);

  watch(
    () => route.query['code'],
    (code) => typeof code === 'string' && (currentCode.value = code),
  );

  function move(by: number): void {
    const next = rows.value[Math.min(Math.max(index.value + by, 0), rows.value.length - 1)];
    if (next) currentCode.value = next.code;
  }

  /** On to the next open code after this one, else the first open one, else stay. */
  function advance(): void {
    const open = (row: ProgramRow) => row.state === 'open' && row.code !== current.value?.code;
    const next = rows.value.slice(index.value + 1).find(open) ?? rows.value.find(open);
    if (next) currentCode.value = next.code;
  }

  async function say(
    row: ProgramRow,
    state: 'keyed' | 'showsElse' | 'skipped' | null,
    more: { shown?: string; why?: string } = {},
  ): Promise<void> {
    await job.write({ kind: 'keyed', code: row.code, state, value: row.value, ...more });
    if (state === 'keyed' || state === 'showsElse') lastSettled.value = row.code;
  }

  async function keyedIn(row = current.value): Promise<void> {
    if (!row || row.undecided) return;
    currentCode.value = row.code;
    await say(row, 'keyed');
    advance();
  }

  async function showsElse(shown: string, row = current.value): Promise<void> {
    if (!row || shown.trim() === '') return;
    await say(row, 'showsElse', { shown: cutText(shown.trim(), LONGEST_CODE) });
    advance();
  }

  /** The display shows a value that may stay: from now on that is what the code is to be set to, and it is. */
  async function leaveAt(value: CodeValue, row = current.value): Promise<void> {
    if (!row) return;
    currentCode.value = row.code;
    await job.write(
      { kind: 'plannedCode', code: row.code, value, why: 'shown by the control and left so' },
      { kind: 'keyed', code: row.code, state: 'keyed', value },
    );
    lastSettled.value = row.code;
    advance();
  }

  async function skip(why: string, row = current.value): Promise<void> {
    if (!row) return;
    await say(row, 'skipped', { why: cutText(why.trim(), LONGEST_TEXT) });
    advance();
  }

  /** Takes a tick back. */
  async function reopen(row: ProgramRow): Promise<void> {
    currentCode.value = row.code;
    await say(row, null);
  }

  /** Decides that a code nobody planned stays at the control's own default: now it may be keyed in. */
  async function leaveAtDefault(row: ProgramRow): Promise<void> {
    currentCode.value = row.code;
    await job.write(defaultDecision(row));
  }

  function goTo(code: string): void {
    currentCode.value = code;
  }

  return {
    rows,
    current,
    index,
    settled,
    lastSettled,
    allDone,
    move,
    keyedIn,
    showsElse,
    leaveAt,
    skip,
    reopen,
    leaveAtDefault,
    alike: computed(() =>
      job.replacement.value ? looksLike(job.replacement.value) : new Map<string, readonly Parameter[]>(),
    ),
    goTo,
  };
}

export type Cabinet = ReturnType<typeof useCabinet>;
