<script setup lang="ts">
import { computed } from 'vue';
import AppButton from '../ui/AppButton.vue';
import type { LivePanel } from './useLivePanel.ts';

/** What somebody who walks round the unit sees, and how fast its time goes. */
const props = defineProps<{ live: LivePanel }>();
const seen = computed(() => props.live.seen.value);
const lines = computed(() => {
  if (!seen.value) return [];
  const { unit, relays } = seen.value;
  const of = (relay: boolean, does: boolean, works: string, rests: string) =>
    `${relay ? 'relay on' : 'relay off'}; ${does ? works : rests}`;
  return [
    ['Compressor', of(relays.compressor, unit.compressor, 'it runs', 'silent')],
    ['Evaporator fan', of(relays.fan, unit.fan, 'it turns', 'it stands')],
    ['Defrost heater', of(relays.defrost, unit.heater, 'warm', 'cold')],
    ['Door', unit.doorOpen ? 'open' : 'shut'],
    ['Coil', unit.iceGrams < 30 ? 'clear' : `${unit.iceGrams} g of ice`],
  ] as const;
});
const paces = [1, 60, 600] as const;
const go = (event: Event) => props.live.goFaster(Number((event.target as HTMLSelectElement).value));
</script>

<template>
  <section class="mx-auto mt-4 max-w-md" aria-label="At the unit" data-test="unit-behind">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h3>At the unit</h3>
      <label v-if="seen" class="text-[14px]"
        >Time goes
        <select
          :value="live.pace.value"
          class="!min-h-9 pointer-coarse:!min-h-11 !py-1"
          data-test="pace"
          @change="go"
        >
          <option v-for="n in paces" :key="n" :value="n">
            {{ n === 1 ? 'as it is' : `${n} times faster` }}
          </option>
        </select>
      </label>
    </div>
    <dl v-if="seen" class="mt-1 border-t border-ink">
      <div
        v-for="[what, how] in lines"
        :key="what"
        class="flex justify-between gap-4 border-b border-hairline py-1.5"
      >
        <dt>{{ what }}</dt>
        <dd class="text-right text-soft">{{ how }}</dd>
      </div>
    </dl>
    <AppButton v-else kind="quiet" data-test="attach" @click="live.attach(true)"
      >Put a unit behind the panel</AppButton
    >
  </section>
</template>
