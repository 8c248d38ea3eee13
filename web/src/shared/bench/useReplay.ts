import { onScopeDispose, ref } from 'vue';
import type { Drill } from '@brine/core/practice/drills';
import type { DoneStroke, LivePanel } from './useLivePanel.ts';

const STEP_MS = 550;

/** Plays somebody's strokes on the panel again, from the drill's beginning, one after the other; can be stopped. */
export function useReplay(live: LivePanel) {
  const at = ref<number | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let ends: LivePanel['state']['value'] | null = null;

  function play(drill: Drill, strokes: readonly DoneStroke[]): void {
    if (at.value !== null) return;
    ends = live.state.value;
    live.replaying.value = true;
    live.begin(drill.begins, drill.condition);
    const step = (index: number) => {
      const stroke = strokes[index];
      if (!stroke) return stop();
      at.value = index;
      live.perform(stroke.act);
      timer = setTimeout(() => step(index + 1), stroke.act.action === 'wait' ? STEP_MS * 2 : STEP_MS);
    };
    at.value = 0;
    timer = setTimeout(() => step(0), STEP_MS);
  }

  /** Ends it: the panel stands again as it stood before. */
  function stop(): void {
    clearTimeout(timer);
    if (at.value === null) return;
    at.value = null;
    if (ends) live.state.value = ends;
    live.replaying.value = false;
    live.perform({ action: 'wait', seconds: 0 });
  }
  onScopeDispose(stop);

  return { at, play, stop };
}
