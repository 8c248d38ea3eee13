import { onScopeDispose, ref, type Ref } from 'vue';

/** One key of this page, with what it does. */
export interface KeyBinding {
  readonly key: string;
  readonly label: string;
  readonly does: string;
  run(event: KeyboardEvent): void;
}

const bindings: Ref<readonly KeyBinding[]> = ref([]);

/** Keys of the pages that are open now, for the list that `?` shows. */
export const currentKeys = bindings;

/** Adds keys for as long as the component lives. Keys do nothing while somebody types in a field. */
export function useKeys(keys: readonly KeyBinding[]): void {
  bindings.value = [...bindings.value, ...keys];
  onScopeDispose(() => {
    bindings.value = bindings.value.filter((binding) => !keys.includes(binding));
  });
}

/** Runs the binding a key event belongs to: the one added last wins. */
export function handleKey(event: KeyboardEvent): void {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target))
    return;
  if (isPressed(event) || isAsking()) return;
  const binding = [...bindings.value].reverse().find((b) => b.key === event.key);
  if (!binding) return;
  event.preventDefault();
  binding.run(event);
}

/** Enter and Space press the button that has the focus; they mean nothing else there. */
const isPressed = ({ key, target }: KeyboardEvent): boolean =>
  ['Enter', ' '].includes(key) &&
  target instanceof Element &&
  target.closest('button, a[href], summary, [role="button"]') !== null;

/** True while a dialog asks for something: the page behind it waits. */
const isAsking = (): boolean => document.querySelector('[role="dialog"][data-headlessui-state]') !== null;

/** True for fields that take text. */
export function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (
    target.isContentEditable ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
  )
    return true;
  return target instanceof HTMLInputElement && !['checkbox', 'radio', 'button'].includes(target.type);
}
