import { computed, onScopeDispose, shallowRef } from 'vue';

/** Something `/` can jump to: a code, a meaning, a unit or a page. */
export interface JumpTarget {
  readonly id: string;
  readonly title: string;
  readonly detail: string;
  /** Further words it is found by. */
  readonly words: string;
  go(): void;
}

const sources = shallowRef<readonly (() => readonly JumpTarget[])[]>([]);

/** Everything the open pages offer. */
export const jumpTargets = computed(() => sources.value.flatMap((targets) => targets()));

/** Offers targets for as long as the component lives. */
export function useJumpTargets(make: () => readonly JumpTarget[]): void {
  const made = computed(make);
  const targets = () => made.value;
  sources.value = [...sources.value, targets];
  onScopeDispose(() => {
    sources.value = sources.value.filter((other) => other !== targets);
  });
}

/** Targets that hold every typed word, those whose title begins with the text first. */
export function findTargets(targets: readonly JumpTarget[], text: string, most = 12): readonly JumpTarget[] {
  const typed = text.trim().toLowerCase();
  const words = typed.split(/\s+/).filter((word) => word !== '');
  const holding = targets.filter((target) => {
    const all = `${target.title} ${target.detail} ${target.words}`.toLowerCase();
    return words.every((word) => all.includes(word));
  });
  const begins = (target: JumpTarget) => (target.title.toLowerCase().startsWith(typed) ? 0 : 1);
  return [...holding].sort((a, b) => begins(a) - begins(b)).slice(0, most);
}
