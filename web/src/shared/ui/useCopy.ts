import { useClipboard } from '@vueuse/core';
import { ref } from 'vue';

/** Copies a text for somebody; “copied” stands for a moment, and what a browser does not allow is said. */
export function useCopy() {
  const { copy: put, copied } = useClipboard({ legacy: true });
  const problem = ref<string | null>(null);
  async function copy(text: string): Promise<void> {
    problem.value = null;
    await put(text).catch(() => {
      problem.value = 'This browser does not let the page copy; mark the link and copy it';
    });
  }
  return { copy, copied, problem };
}
