import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { CannotPlan, strokeSentence, type Machine } from '@brine/core/controllers/panel';
import {
  afterClearing,
  bestWay,
  countStrokes,
  makeDrill,
  markDrill,
  nextHint,
  type Drill,
  type DrillKind,
  type PracticeKind,
  type Mark,
  type Notebook,
} from '@brine/core/practice/drills';
import type { LivePanel } from './useLivePanel.ts';

/** A finished drill, as it is kept. */
export interface DrillResult {
  readonly drill: PracticeKind;
  readonly passed: boolean;
  readonly seconds: number;
  readonly strokes: number;
  readonly fewest: number;
  readonly hints: number;
}

/** An exercise on a live panel: what is asked, the time, hints, the notebook, the mark. `finished` is told of each one. */
export function useDrill(machine: Machine, live: LivePanel, finished: (result: DrillResult) => void) {
  const drill = shallowRef<Drill | null>(null);
  const mark = shallowRef<Mark | null>(null);
  const notebook = shallowRef<Notebook>({ written: [], lost: [] });
  const seconds = ref(0);
  const hints = ref<readonly string[]>([]);
  const hinted = ref(0);
  let began = 0;
  const clock = setInterval(() => {
    if (drill.value && !mark.value) seconds.value = Math.floor((performance.now() - began) / 1000);
  }, 500);
  onScopeDispose(() => clearInterval(clock));

  watch(live.state, (after, before) => {
    if (drill.value && !mark.value && !live.replaying.value)
      notebook.value = afterClearing(before.condition, after.condition, notebook.value);
  });

  function start(kind: DrillKind): void {
    if (live.replaying.value) return;
    const made = makeDrill(machine, kind, Math.random);
    live.begin(made.begins, made.condition);
    drill.value = made;
    mark.value = null;
    notebook.value = { written: [], lost: [] };
    hints.value = [];
    hinted.value = 0;
    seconds.value = 0;
    began = performance.now();
  }

  function writeDown(code: string): void {
    const typed = code.trim();
    if (typed === '' || notebook.value.written.includes(typed)) return;
    notebook.value = { ...notebook.value, written: [...notebook.value.written, typed] };
  }
  function strikeOut(code: string): void {
    notebook.value = { ...notebook.value, written: notebook.value.written.filter((c) => c !== code) };
  }

  const fewest = computed(() => (drill.value ? countStrokes(bestWay(machine, drill.value)) : 0));

  function finish(): void {
    if (!drill.value || mark.value || live.replaying.value) return;
    mark.value = markDrill(drill.value, live.state.value, notebook.value);
    hints.value = [];
    finished({
      drill: drill.value.kind,
      passed: mark.value.passed,
      seconds: seconds.value,
      strokes: live.strokes.value.length,
      fewest: fewest.value,
      hints: hinted.value,
    });
  }

  function hint(): void {
    hinted.value += 1;
    try {
      const next = nextHint(machine, drill.value!, live.state.value, notebook.value);
      hints.value =
        'say' in next ? [next.say] : next.steps.map((step) => strokeSentence(machine.panel, step));
    } catch (error) {
      if (!(error instanceof CannotPlan)) throw error;
      hints.value = [error.message];
    }
  }

  return { drill, mark, notebook, seconds, hints, hinted, fewest, start, finish, hint, writeDown, strikeOut };
}

export type LiveDrill = ReturnType<typeof useDrill>;
