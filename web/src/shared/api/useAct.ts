import { ref } from 'vue';
import { messageOf } from './client.ts';

/** Does something at the server, and keeps the sentence of what went wrong until the next is done. */
export function useAct() {
  const problem = ref<string | null>(null);
  /** True where it was done. */
  async function act(work: () => Promise<unknown>): Promise<boolean> {
    problem.value = null;
    try {
      await work();
      return true;
    } catch (error) {
      problem.value = messageOf(error);
      return false;
    }
  }
  return { problem, act };
}
