import { onMounted, ref, shallowRef, watch } from 'vue';
import type { AuditKind, AuditLine } from '@brine/contract/routes';
import { request } from '../shared/api/client.ts';
import { useAct } from '../shared/api/useAct.ts';

/** Events, the newest first, page after page, with how many there are. */
export function useAudit() {
  const kind = ref<AuditKind | ''>('');
  const person = ref('');
  const lines = shallowRef<readonly AuditLine[]>([]);
  const total = ref(0);
  const next = ref<string | null>(null);
  const loading = ref(true);
  const { problem, act } = useAct();
  let latest = 0;

  async function load(after: string | null): Promise<void> {
    const mine = (latest += 1);
    await act(async () => {
      const answer = await request('audit', {
        query: {
          ...(kind.value !== '' && { kind: kind.value }),
          ...(person.value !== '' && { person: person.value }),
          ...(after !== null && { after }),
        },
      });
      if (mine !== latest) return;
      lines.value = after === null ? answer.lines : [...lines.value, ...answer.lines];
      ({ total: total.value, next: next.value } = answer);
    });
    loading.value = false;
  }
  watch([kind, person], () => load(null));
  onMounted(() => load(null));
  return { kind, person, lines, total, next, loading, problem, more: () => load(next.value) };
}
