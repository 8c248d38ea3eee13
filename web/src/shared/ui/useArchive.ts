import { ref } from 'vue';
import type { ApiError } from '../api/client.ts';
import { messageOf, request } from '../api/client.ts';

/** Puts things into the archive or takes them back; the last step can be undone instead of asked for twice. */
export function useArchive(kind: 'changeJob' | 'changeSite' | 'changeUnit', reload: () => Promise<void>) {
  const undo = ref<{ words: string; run: () => Promise<void> } | null>(null);
  const problem = ref<string | null>(null);

  async function setArchived(
    item: { id: string; version: number },
    archived: boolean,
    name: string,
  ): Promise<void> {
    try {
      await change(item.id, item.version, archived);
      problem.value = null;
      undo.value = {
        words: archived ? `${name} is in the archive.` : `${name} is back.`,
        run: async () => {
          undo.value = null;
          await change(item.id, item.version + 1, !archived).catch(
            (error: ApiError) => (problem.value = error.message),
          );
          await reload();
        },
      };
    } catch (error) {
      problem.value = messageOf(error);
    }
    await reload();
  }

  const change = (id: string, version: number, archived: boolean) =>
    request(kind, { params: { id }, body: { archived, version } });
  return { setArchived, undo, problem };
}
