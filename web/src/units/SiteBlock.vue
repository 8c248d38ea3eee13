<script setup lang="ts">
import { computed } from 'vue';
import type { Site, Unit } from '@brine/contract/routes';
import { useSession } from '../shared/session/sessionStore.ts';

const props = defineProps<{ name: string; site: Site | null; units: readonly Unit[] }>();
defineEmits<{
  edit: [];
  labels: [];
  lines: [];
  archive: [];
  addUnit: [];
  editUnit: [unit: Unit];
  archiveUnit: [unit: Unit];
}>();
const session = useSession();
const place = computed(() => [props.site?.place, props.site?.note].filter(Boolean).join(' · '));
</script>

<template>
  <section :aria-label="name">
    <div class="flex flex-wrap items-baseline gap-x-3 border-b border-ink pb-1">
      <h2 class="text-[16px]">{{ name }}</h2>
      <span class="hint order-last min-w-0 basis-full">{{ place }}</span>
      <span v-if="session.mayWrite && site" class="ml-auto flex gap-3 text-[14px]">
        <button
          v-if="!site.archived && units.length > 0"
          type="button"
          class="link"
          title="Labels with the codes of all units here, on a sheet of stickers"
          data-test="site-labels"
          @click="$emit('labels')"
        >
          Labels
        </button>
        <RouterLink
          v-if="!site.archived && units.length > 0"
          class="link"
          :to="{ path: '/work', query: { site: site.id } }"
          title="A report for the customer, and the sheet of every unit here as one file"
          >Report, sheets</RouterLink
        >
        <button
          v-if="session.isLead && !site.archived"
          type="button"
          class="link"
          title="Addresses over which the controls here are read and written"
          data-test="site-lines"
          @click="$emit('lines')"
        >
          Lines
        </button>
        <button type="button" class="link" @click="$emit('edit')">Edit</button>
        <button type="button" class="link" @click="$emit('archive')">
          {{ site.archived ? 'Restore' : 'Archive' }}
        </button>
      </span>
    </div>
    <ul>
      <li
        v-for="unit in units"
        :key="unit.id"
        class="relative grid grid-cols-[4rem_minmax(0,1fr)] items-baseline gap-x-3 border-b border-hairline py-1.5 sm:grid-cols-[4rem_minmax(0,1fr)_auto]"
      >
        <span class="font-mono text-soft">{{ unit.tag }}</span>
        <span
          ><RouterLink
            class="text-brine after:absolute after:inset-0 hover:underline"
            :to="`/units/${unit.id}`"
            title="Everything done on this unit"
            >{{ unit.name }}</RouterLink
          ><span class="hint block">{{ unit.plate }}</span></span
        >
        <span class="relative z-10 flex flex-wrap gap-3 text-[14px] max-sm:col-start-2"
          ><RouterLink class="link" :to="{ path: '/jobs', query: { search: unit.name } }">Jobs</RouterLink
          ><template v-if="session.mayWrite"
            ><button type="button" class="link" @click="$emit('editUnit', unit)">Edit</button
            ><button type="button" class="link" @click="$emit('archiveUnit', unit)">
              {{ unit.archived ? 'Restore' : 'Archive' }}
            </button></template
          ></span
        >
      </li>
    </ul>
    <button
      v-if="session.mayWrite && site && !site.archived"
      type="button"
      class="link mt-1.5 text-[14px]"
      data-test="add-unit"
      @click="$emit('addUnit')"
    >
      Add a unit
    </button>
  </section>
</template>
