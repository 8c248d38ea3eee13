import { onScopeDispose, ref, shallowRef, watch } from 'vue';
import { call, messageOf } from '../api/client.ts';

/** A list of the API with its search text and the archive switch; asked anew a moment after the last key. */
export function useSearchList<Item>(path: string, field: string, first = '') {
  const search = ref(first);
  const archived = ref(false);
  const items = shallowRef<readonly Item[]>([]);
  const problem = ref<string | null>(null);
  const loading = ref(true);
  let latest = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function reload(): Promise<void> {
    const mine = (latest += 1);
    try {
      const query = new URLSearchParams({
        search: search.value.slice(0, 100),
        archived: String(archived.value),
      });
      const answer = await call<Record<string, readonly Item[]>>('GET', `${path}?${query}`);
      if (mine !== latest) return;
      items.value = answer[field]!;
      problem.value = null;
    } catch (error) {
      if (mine === latest) problem.value = messageOf(error);
    } finally {
      loading.value = false;
    }
  }

  watch([search, archived], () => {
    clearTimeout(timer);
    timer = setTimeout(() => void reload(), 200);
  });
  onScopeDispose(() => clearTimeout(timer));
  void reload();
  return { search, archived, items, problem, loading, reload };
}
