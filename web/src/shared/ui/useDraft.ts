import { ref, watch, type Ref } from 'vue';

/** The text of a field that also follows a value. */
export interface Draft {
  readonly text: Ref<string>;
  /**
   * What stands in the field is handed on: from now on it follows the value again. False where nothing was typed since, so that leaving a
   * field after Enter does not hand on the same again.
   */
  settle(): boolean;
  /** Throws away what was typed and shows the value. */
  reset(): void;
}

/**
 * A field's text follows `shown` until somebody types in it; what was typed stays, whatever others write meanwhile, until it is handed on
 * with `settle` or given up with `reset`. With a `key` it is kept on the device as well, so that it survives a look at another page.
 */
export function useDraft(shown: () => string, key?: string): Draft {
  let followed = shown();
  const text = ref((key && sessionStorage.getItem(key)) ?? followed);
  function keep(): void {
    if (key === undefined) return;
    if (text.value === followed) sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, text.value);
  }
  watch(text, keep);
  function settle(): boolean {
    const typed = text.value !== followed;
    followed = text.value;
    keep();
    return typed;
  }
  function reset(): void {
    text.value = shown();
    settle();
  }
  watch(shown, (next) => {
    if (text.value === followed || text.value === next) reset();
  });
  return { text, settle, reset };
}
