<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import type { Site, Unit } from '@brine/contract/routes';
import { messageOf } from '../shared/api/client.ts';
import { useArchive } from '../shared/ui/useArchive.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import ScanButton from '../shared/scan/ScanButton.vue';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import SearchLine from '../shared/ui/SearchLine.vue';
import UndoBar from '../shared/ui/UndoBar.vue';
import { saveLabels } from './labels.ts';
import LinesDialog from './LinesDialog.vue';
import SiteDialog from './SiteDialog.vue';
import SiteBlock from './SiteBlock.vue';
import UnitDialog from './UnitDialog.vue';
import { usePlaces } from './usePlaces.ts';

const session = useSession();
const route = useRoute();
const {
  search,
  archived,
  places,
  total,
  sitesLeft,
  problem: listProblem,
  loading,
  reload,
  more,
} = usePlaces(String(route.query['search'] ?? ''));
const linesOf = shallowRef<Site | null>(null);
const siteArchive = useArchive('changeSite', reload);
const unitArchive = useArchive('changeUnit', reload);
const editing = ref<{ site: Site | null } | null>(null);
const editingUnit = ref<{ unit: Unit | null; siteId: string } | null>(null);
const labelProblem = ref<string | null>(null);
const undo = computed(() => siteArchive.undo.value ?? unitArchive.undo.value);
const problem = computed(
  () => labelProblem.value ?? listProblem.value ?? siteArchive.problem.value ?? unitArchive.problem.value,
);
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
        v-for="block in places"
        :key="block.id"
        :name="block.name"
        :site="block.site"
        :units="block.units"
        @edit="block.site && (editing = { site: block.site })"
        @archive="block.site && siteArchive.setArchived(block.site, !block.site.archived, block.name)"
        @labels="printLabels(block.units)"
        @lines="linesOf = block.site"
        @add-unit="editingUnit = { unit: null, siteId: block.id }"
        @edit-unit="(unit) => (editingUnit = { unit, siteId: block.id })"
        @archive-unit="(unit) => unitArchive.setArchived(unit, !unit.archived, unit.name)"
      />
    </div>
    <p v-if="places.length === 0 && !loading" class="mt-5">
      {{
        search
          ? `Nothing holds “${search}”.`
          : archived
            ? 'Nothing is archived.'
            : 'No sites yet. Add the first one, then its units.'
      }}
    </p>
    <p v-if="places.length > 0" class="hint mt-5 flex flex-wrap items-center gap-3" data-test="places-count">
      {{
        sitesLeft > 0 ? `${total - sitesLeft} of ${total} sites` : total === 1 ? '1 site' : `${total} sites`
      }}
      <AppButton v-if="sitesLeft > 0" data-test="more-places" @click="more">Show more</AppButton>
    </p>
    <LinesDialog v-if="linesOf" :site="linesOf" @close="linesOf = null" />
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
