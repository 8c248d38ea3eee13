<script setup lang="ts">
import { computed } from 'vue';
import type { VisitPlan } from '@brine/core/judgement/leaving';
import { clock } from './visitWords.ts';

/** The visit as time: what hands do, and what the unit is waited for, one above the other. The list beside says the same in words. */
const props = defineProps<{ plan: VisitPlan; at: number; seconds: number }>();
const end = computed(() => Math.max(props.seconds, props.plan.leave.late, 600));
const share = (seconds: number) => `${Math.min(100, Math.max(0, (100 * seconds) / end.value))}%`;
const lanes = computed(() =>
  (['hands', 'machine'] as const).map((use) => ({
    use,
    name: use === 'hands' ? 'You' : 'The unit',
    blocks: props.plan.steps.flatMap(({ phases, proof }) =>
      phases
        .filter(({ uses }) => (use === 'hands' ? uses.includes('hands') : !uses.includes('hands')))
        .map(({ from, to }) => ({ id: `${proof.id}${from}`, from, to })),
    ),
  })),
);
const ticks = computed(() => {
  const step = [300, 600, 900, 1800, 3600, 7200].find((s) => end.value / s <= 6) ?? 14_400;
  return Array.from({ length: Math.floor(end.value / step) + 1 }, (_, i) => i * step);
});
</script>

<template>
  <div aria-hidden="true" class="text-[13px]">
    <div
      v-for="lane in lanes"
      :key="lane.use"
      class="grid grid-cols-[4rem_minmax(0,1fr)] items-center gap-x-2 py-0.5"
    >
      <span>{{ lane.name }}</span>
      <div class="relative h-5 border-b border-ink">
        <span
          v-for="block in lane.blocks"
          :key="block.id"
          class="absolute inset-y-0 border-r border-paper"
          :class="lane.use === 'hands' ? 'bg-ink' : 'visit-wait'"
          :style="{ left: share(block.from), width: share(block.to - block.from) }"
        ></span>
        <span class="absolute -inset-y-1 border-l-2 border-alarm" :style="{ left: share(seconds) }"></span>
      </div>
    </div>
    <div class="grid grid-cols-[4rem_minmax(0,1fr)] gap-x-2 text-soft">
      <span></span>
      <div class="relative h-5">
        <span
          v-for="tick in ticks"
          :key="tick"
          class="absolute -translate-x-1/2 font-mono first:translate-x-0"
          :style="{ left: share(tick) }"
          >{{ clock(at, tick) }}</span
        >
      </div>
    </div>
  </div>
</template>

<style scoped>
.visit-wait {
  background: repeating-linear-gradient(
    135deg,
    color-mix(in srgb, var(--color-cold) 30%, transparent) 0 4px,
    color-mix(in srgb, var(--color-cold) 60%, transparent) 4px 6px
  );
}
</style>
