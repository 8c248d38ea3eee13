<script setup lang="ts">
import { computed, ref } from 'vue';
import type { UnitDescription } from '@brine/core/foundation/unit';
import type { Predicted } from '@brine/core/machines/identification';
import type { Variant } from '@brine/core/record/job';
import OwnFigures from '../../shared/ownBox/OwnFigures.vue';
import OwnVariant from './OwnVariant.vue';

/** What the unit's own box says of its coming days under each set of values. */
const props = defineProps<{ unit: UnitDescription; variants: readonly Variant[] }>();
const said = ref<ReadonlyMap<string, Predicted>>(new Map());
const keep = (id: string, predicted: Predicted) => (said.value = new Map(said.value).set(id, predicted));
const columns = computed(() =>
  props.variants.flatMap(({ id, name }) => {
    const predicted = said.value.get(id);
    return predicted ? [{ id, name, predicted }] : [];
  }),
);
</script>

<template>
  <div class="flex flex-col gap-2" data-test="own-forecast">
    <OwnVariant
      v-for="variant in variants"
      :key="variant.id"
      :unit="unit"
      :variant="variant"
      @predicted="(found) => keep(variant.id, found)"
    />
    <div v-if="columns.length > 0" class="max-w-3xl overflow-x-auto">
      <OwnFigures :columns="columns" />
    </div>
  </div>
</template>
