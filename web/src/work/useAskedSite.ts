import { onMounted, shallowRef, type ShallowRef } from 'vue';
import { useRoute } from 'vue-router';
import type { Site } from '@brine/contract/routes';
import { request } from '../shared/api/client.ts';

/** The site that the address asks for, once it is there; null stands for every site. */
export function useAskedSite(): ShallowRef<Site | null> {
  const route = useRoute();
  const site = shallowRef<Site | null>(null);
  onMounted(async () => {
    const { site: id } = route.query;
    // Without the answer it has to be chosen.
    if (typeof id === 'string')
      site.value = (await request('site', { params: { id } }).catch(() => null))?.site ?? null;
  });
  return site;
}
