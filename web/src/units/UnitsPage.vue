<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import type { Site, Unit } from '@brine/contract/routes';
import { messageOf } from '../shared/api/client.ts';
import { useSearchList } from '../shared/ui/useSearchList.ts';
import { useArchive } from '../shared/ui/useArchive.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import ScanButton from '../shared/scan/ScanButton.vue';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import SearchLine from '../shared/ui/SearchLine.vue';
import UndoBar from '../shared/ui/UndoBar.vue';
import { saveLabels } from './labels.ts';
import SiteDialog from './SiteDialog.vue';
import SiteBlock from './SiteBlock.vue';
import UnitDialog from './UnitDialog.vue';

const session = useSession();
const sites = useSearchList('sites');
const units = useSearchList('units');
const siteArchive = useArchive('changeSite', reload);
const unitArchive = useArchive('changeUnit', reload);
const editing = ref<{ site: Site | null } | null>(null);
const editingUnit = ref<{ unit: Unit | null; siteId: string } | null>(null);
const search = computed({
  get: () => sites.search.value,
  set: (text: string) => ((sites.search.value = text), (units.search.value = text)),
});
const archived = computed({
  get: () => sites.archived.value,
  set: (on: boolean) => ((sites.archived.value = on), (units.archived.value = on)),
});
const labelProblem = ref<string | null>(null);
const undo = computed(() => siteArchive.undo.value ?? unitArchive.undo.value);
const problem = computed(
  () => labelProblem.value ?? sites.problem.value ?? siteArchive.problem.value ?? unitArchive.problem.value,
);
/** A site with its units; the site itself is not known where only its units match. */
interface Block {
  readonly id: string;
  readonly name: string;
  readonly site: Site | null;
  readonly units: Unit[];
}
const blocks = computed(() => {
  const known = new Map<string, Block>(
    sites.items.value.map((site) => [site.id, { id: site.id, name: site.name, site, units: [] }]),
  );
  for (const unit of units.items.value) {
    if (!known.has(unit.siteId))
      known.set(unit.siteId, { id: unit.siteId, name: unit.siteName, site: null, units: [] });
    known.get(unit.siteId)!.units.push(unit);
  }
  return [...known.values()].sort((a, b) => a.name.localeCompare(b.name));
});
async function reload() {
  await Promise.all([sites.reload(), units.reload()]);
}
/** Stickers of the paper that goes with the company's degrees: °F is read where Letter is bought. */
async function printLabels(list: readonly Unit[]) {
  labelProblem.value = null;
  try {
    const paper = session.company?.displayUnit === 'fahrenheit' ? 'LETTER' : 'A4';
    await saveLabels(list, paper, session.company?.name ?? '');
  } catch (error) {
    labelProblem.value = messageOf(error);
  }
}
async function saved() {
  editing.value = null;
  editingUnit.value = null;
  await reload();
}
</script>

<template>
  <section class="mx-auto w-full max-w-6xl px-4 py-5 sm:px-6">
    <div class="flex flex-wrap items-center gap-x-6 gap-y-3">
      <h1>Units by site</h1>
      <SearchLine
        v-model:search="search"
        v-model:archived="archived"
        label="Search site, unit, tag or plate"
      />
      <span class="flex-1"></span>
      <ScanButton />
      <RouterLink class="link" to="/units/review" data-test="to-review">Review every unit</RouterLink>
      <AppButton v-if="session.mayWrite" kind="primary" data-test="new-site" @click="editing = { site: null }"
        >Add a site</AppButton
      >
    </div>
    <FormProblem class="mt-3" :message="problem" />
    <UndoBar :undo="undo" />
    <div class="mt-4 grid gap-x-10 gap-y-6 md:grid-cols-2" data-test="sites">
      <SiteBlock
        v-for="block in blocks"
        :key="block.id"
        :name="block.name"
        :site="block.site"
        :units="block.units"
        @edit="block.site && (editing = { site: block.site })"
        @archive="block.site && siteArchive.setArchived(block.site, !block.site.archived, block.name)"
        @labels="printLabels(block.units)"
        @add-unit="editingUnit = { unit: null, siteId: block.id }"
        @edit-unit="(unit) => (editingUnit = { unit, siteId: block.id })"
        @archive-unit="(unit) => unitArchive.setArchived(unit, !unit.archived, unit.name)"
      />
    </div>
    <p v-if="blocks.length === 0 && !sites.loading.value" class="mt-5">
      {{
        search
          ? `Nothing holds “${search}”.`
          : archived
            ? 'Nothing is archived.'
            : 'No sites yet. Add the first one, then its units.'
      }}
    </p>
    <SiteDialog v-if="editing" :site="editing.site" @close="editing = null" @saved="saved" />
    <UnitDialog
      v-if="editingUnit"
      :unit="editingUnit.unit"
      :site-id="editingUnit.siteId"
      @close="editingUnit = null"
      @saved="saved"
    />
  </section>
</template>
