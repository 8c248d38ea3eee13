import { ref, shallowRef } from 'vue';
import type { BusLink } from '@brine/contract/routes';
import { request } from '../shared/api/client.ts';

/** The links of a site: programs on site that hold lines which the server cannot reach. */
export function useLinks(site: string) {
  const links = shallowRef<readonly BusLink[]>([]);
  /** How the newest one is started: its token is told once. */
  const start = ref<string | null>(null);

  const load = async () => {
    ({ links: links.value } = await request('busLinks', { params: { id: site } }));
  };
  async function make(name: string): Promise<string> {
    const { link, token } = await request('createBusLink', { params: { id: site }, body: { name } });
    start.value = `npx brine link --server ${location.origin} --token ${token}`;
    await load();
    return link.id;
  }
  async function end(id: string): Promise<void> {
    await request('endBusLink', { params: { id } });
    await load();
  }
  return { links, start, load, make, end };
}
