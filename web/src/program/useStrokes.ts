import { computed, readonly, ref, watch } from 'vue';
import {
  afterKeying,
  CannotPlan,
  machineOf,
  panelWords,
  strokesFor,
  strokesOut,
  strokesUnseen,
  strokeWords,
  type PlanStep,
  type StrokeWords,
  type Wish,
} from '@brine/core/controllers/panel';
import { knownCodes, wishesAtCabinet, type ProgramRow } from '@brine/core/record/job';
import { mainMenuOf, type CodeValue } from '@brine/core/controllers/definitions';
import { useJob } from '../shared/job/useJob.ts';
import type { Cabinet } from './useCabinet.ts';

/** A line of strokes as it stands on the card. */
export interface StrokeLine extends StrokeWords {
  /** What the display shows after it; null where that goes without saying. */
  readonly shows: string | null;
  /** The display reaches the code here: it is drawn. */
  readonly reached: boolean;
  readonly say: string | null;
}

/** The strokes of the code one stands at, from where the display stands now; and the way out when all is settled. */
export function useStrokes(cabinet: Cabinet) {
  const job = useJob();
  const machine = computed(() => (job.replacement.value ? machineOf(job.replacement.value) : null));
  /** Where the display stands: a code of the menu, or null for the standard display. */
  const from = ref<string | null>(null);
  /** Values that the display showed on the way, of codes not settled yet. */
  const shown = ref<ReadonlyMap<string, CodeValue>>(new Map());
  /** The code whose value the display shows right now, open to be turned. */
  const inEdit = ref<string | null>(null);
  /** What was read from this very control. */
  const read = computed(() => knownCodes(job.state.value, job.program.value.found));
  const keyed = computed<readonly Wish[]>(() => {
    const { current, rows } = cabinet;
    // Keyed in once more, a code is turned as if it were not; what its display showed instead is where the turning begins.
    return wishesAtCabinet(rows.value, current.value?.state === 'keyed' ? current.value.code : null);
  });
  const present = computed(() =>
    machine.value
      ? afterKeying(machine.value, new Map([...read.value, ...shown.value]), keyed.value)
      : new Map<string, CodeValue>(),
  );
  /** Whether anybody has seen the value of a code on this control: a booklet's factory value is a guess. */
  const isSeen = ({ code, state }: ProgramRow) =>
    read.value.has(code) || shown.value.has(code) || state === 'showsElse';

  // Going back and forth in the list moves nothing at the cabinet; settling a code does.
  const endsOf = new Map<string, string | null>();
  const planned = computed(() => {
    const row = cabinet.current.value;
    if (!machine.value || !row) return null;
    return attempt(() => {
      const { steps, ends, turns } = (isSeen(row) ? strokesFor : strokesUnseen)(
        machine.value!,
        present.value,
        { code: row.code, value: row.value },
        from.value,
      );
      // Where the display will stand once this code is settled; kept, since the plan is for the next code by then.
      endsOf.set(row.code, ends);
      // The value stands on the display already: what leads there is behind.
      return inEdit.value === row.code && turns ? steps.slice(turns.from) : steps;
    });
  });
  watch(cabinet.lastSettled, (code) => {
    from.value = code !== null && endsOf.has(code) ? endsOf.get(code)! : code;
    inEdit.value = null;
  });
  const out = computed(() =>
    machine.value && from.value !== null
      ? attempt(() => strokesOut(machine.value!, present.value, from.value!))
      : null,
  );
  const lines = computed(() => linesOf(planned.value?.steps ?? []));
  const outLines = computed(() => linesOf(out.value?.steps ?? []));
  const problem = computed(() => planned.value?.problem ?? null);
  const timeOut = computed(() =>
    machine.value ? (mainMenuOf(machine.value.definition)?.timeOut?.seconds ?? null) : null,
  );

  /** What the menu's closing by itself does: on some panels it drops everything keyed since the last save. */
  const timeOutWords = computed(() =>
    job.replacement.value ? (panelWords(job.replacement.value)?.timeOut ?? '') : '',
  );

  function linesOf(steps: readonly PlanStep[]): readonly StrokeLine[] {
    const row = cabinet.current.value;
    const name = machine.value?.panel.display?.text ? row?.parameter.name : row?.code;
    const reached = steps.findIndex((s) => s.shows === name);
    return steps.map((step, i): StrokeLine => {
      const words = strokeWords(machine.value!.panel, step);
      const takes = i === steps.length - 1 && i > 0 && step.shows === name && reached < i;
      return {
        ...words,
        after: takes ? 'takes it' : words.after,
        shows:
          takes || words.after.startsWith('until') || step.shows === 'reading' || step.shows === ''
            ? null
            : step.shows,
        reached: i === reached && !takes,
        say: step.say ?? null,
      };
    });
  }

  /** Says where the display of the control stands: the strokes begin there. */
  function standAt(code: string | null): void {
    from.value = code;
    inEdit.value = null;
  }

  /** Says what value the display shows of a code, open to be turned: the strokes go on from there. */
  function showsValue(code: string, value: CodeValue): void {
    shown.value = new Map(shown.value).set(code, value);
    from.value = code;
    inEdit.value = code;
  }

  return {
    from: readonly(from),
    standAt,
    showsValue,
    lines,
    outLines,
    problem,
    timeOut,
    timeOutWords,
    hasPanel: computed(() => machine.value !== null),
  };
}

export type Strokes = ReturnType<typeof useStrokes>;

function attempt(plan: () => readonly PlanStep[]): {
  readonly steps: readonly PlanStep[];
  readonly problem: string | null;
} {
  try {
    return { steps: plan(), problem: null };
  } catch (error) {
    if (error instanceof CannotPlan) return { steps: [], problem: error.message };
    throw error;
  }
}
