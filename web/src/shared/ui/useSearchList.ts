import { onScopeDispose, ref, shallowRef, watch } from 'vue';
import { cutText } from './cutText.ts';
import { messageOf, request, type Answered } from '../api/client.ts';

/** Routes that answer with a list of their own name. */
type Listed = 'sites' | 'units';
const LONGEST_SEARCH = 100;

/** A list of the API with its search text and the archive switch; asked anew a moment after the last key. */
export function useSearchList<List extends Listed>(list: List, first = '') {
  type Item = Answered<List>[List & keyof Answered<List>] extends readonly (infer One)[] ? One : never;
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
      const query = { search: cutText(search.value, LONGEST_SEARCH), archived: archived.value };
      const answer = (await request(list as 'sites', { query })) as unknown as Record<List, readonly Item[]>;
      if (mine !== latest) return;
      items.value = answer[list];
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
