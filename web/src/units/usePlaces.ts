import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import type { Site, Unit } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import { cutText } from '../shared/ui/cutText.ts';

const LONGEST_SEARCH = 100;
const REST_MS = 200;

/** A site with its units; the site itself is not known where only its units were kept on this device. */
export interface Place {
  readonly id: string;
  readonly name: string;
  readonly site: Site | null;
  readonly units: readonly Unit[];
}

/** Sites with their units, page after page, with how many there are; asked anew a moment after the last key. */
export function usePlaces(first: string) {
  const search = ref(first);
  const archived = ref(false);
  const sites = shallowRef<readonly Site[]>([]);
  const units = shallowRef<readonly Unit[]>([]);
  const total = ref(0);
  const problem = ref<string | null>(null);
  const loading = ref(true);
  let latest = 0;
  /** Where the page after those that are here starts. */
  let next: string | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function load(after: string | null): Promise<void> {
    const mine = (latest += 1);
    try {
      const answer = await request('places', {
        query: {
          search: cutText(search.value, LONGEST_SEARCH),
          archived: archived.value,
          ...(after !== null && { after }),
        },
      });
      if (mine !== latest) return;
      sites.value = after === null ? answer.sites : [...sites.value, ...answer.sites];
      units.value = after === null ? answer.units : [...units.value, ...answer.units];
      total.value = answer.total;
      // An answer kept before lists had cursors has none.
      next = (answer as { readonly next?: string | null }).next ?? null;
      problem.value = null;
    } catch (error) {
      if (mine === latest) problem.value = messageOf(error);
    } finally {
      loading.value = false;
    }
  }
  const reload = () => load(null);
  watch([search, archived], () => {
    clearTimeout(timer);
    timer = setTimeout(() => void reload(), REST_MS);
  });
  onScopeDispose(() => clearTimeout(timer));
  void reload();

  const places = computed<readonly Place[]>(() => {
    const there = new Map<string, { site: Site | null; name: string; units: Unit[] }>(
      sites.value.map((site) => [site.id, { site, name: site.name, units: [] }]),
    );
    for (const unit of units.value) {
      if (!there.has(unit.siteId)) there.set(unit.siteId, { site: null, name: unit.siteName, units: [] });
      there.get(unit.siteId)!.units.push(unit);
    }
    return [...there].map(([id, place]) => ({ id, ...place })).sort((a, b) => a.name.localeCompare(b.name));
  });
  const sitesLeft = computed(() => Math.max(0, total.value - sites.value.length));
  return { search, archived, places, total, sitesLeft, problem, loading, reload, more: () => load(next) };
}
