<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter, RouterLink } from 'vue-router';
import type { Unit } from '@brine/contract/routes';
import { messageOf, request } from '../../shared/api/client.ts';
import FormProblem from '../../shared/ui/FormProblem.vue';
import BesideTable from './BesideTable.vue';
import SideHead from './SideHead.vue';
import { useSide } from './useSide.ts';

/** The controls of two units of one site side by side. */
const props = defineProps<{ id: string }>();
const route = useRoute();
const router = useRouter();
const other = computed(() => (typeof route.query['with'] === 'string' ? route.query['with'] : ''));
const left = useSide(computed(() => props.id));
const right = useSide(other);
const units = shallowRef<readonly Unit[]>([]);
const problem = ref<string | null>(null);
watch(
  () => left.unit.value?.siteId,
  async (site) => {
    if (site === undefined) return;
    try {
      units.value = (await request('units', { query: { site } })).units;
    } catch (error) {
      problem.value = messageOf(error);
    }
  },
  { immediate: true },
);
const others = computed(() => units.value.filter((unit) => unit.id !== props.id));
const nameOf = (unit: Unit | null) => [unit?.tag, unit?.name].filter(Boolean).join(' ');
const names = computed(() => [nameOf(left.unit.value), nameOf(right.unit.value)] as const);
const pick = (event: Event) =>
  router.replace({ query: { with: (event.target as HTMLSelectElement).value || undefined } });
</script>

<template>
  <section class="mx-auto w-full max-w-6xl px-4 py-5 sm:px-6" data-test="beside-page">
    <h1>Side by side</h1>
    <p class="text-soft">
      {{ left.unit.value?.siteName }}
    </p>
    <FormProblem :message="problem" />
    <div class="mt-4 grid gap-x-10 gap-y-5 md:grid-cols-2">
      <SideHead :side="left" data-test="side-left">
        <h2 class="min-h-10 content-center">
          <RouterLink v-if="left.unit.value" class="hover:underline" :to="`/units/${id}`">{{
            names[0]
          }}</RouterLink>
        </h2>
      </SideHead>
      <div v-if="left.unit.value" class="flex min-w-0 flex-col gap-1">
        <label class="flex max-w-sm flex-col gap-1"
          ><span class="sr-only">The other unit</span>
          <select :value="other" data-test="beside-other" @change="pick">
            <option value="">Choose the other unit …</option>
            <option v-for="unit in others" :key="unit.id" :value="unit.id">{{ nameOf(unit) }}</option>
          </select></label
        >
        <p v-if="units.length > 0 && others.length === 0" class="text-soft">
          No other unit stands on this site.
        </p>
        <SideHead v-if="other" :side="right" data-test="side-right" />
      </div>
    </div>
    <BesideTable
      v-if="left.control.value && right.control.value"
      class="mt-6"
      :left="left.control.value"
      :right="right.control.value"
      :names="names"
    />
  </section>
</template>
