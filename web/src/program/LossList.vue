<script setup lang="ts">
import { computed } from 'vue';
import type { Loss } from './useCompare.ts';

/** What the new control cannot hold: what protects compressor or goods first and loud, the rest in one line. */
const props = defineProps<{ losses: readonly Loss[] }>();
const of = { plan: 'planned', old: 'of the old control', both: 'planned, and of the old control' } as const;
const grave = computed(() => props.losses.filter((l) => l.grave));
const others = computed(() => props.losses.filter((l) => !l.grave));
</script>

<template>
  <section v-if="losses.length > 0" aria-label="Lost" data-test="losses">
    <ul v-if="grave.length > 0" class="flex flex-col gap-1.5">
      <li
        v-for="l in grave"
        :key="l.setting"
        class="border-l-4 border-alarm bg-alarm-wash px-3 py-2.5 text-[17px]"
        data-test="grave-loss"
      >
        <strong class="font-semibold">✗ “{{ l.label }}” protects compressor or product, and is lost:</strong>
        {{ l.reason }} <span class="text-[14px] text-soft">({{ of[l.of] }})</span>
      </li>
    </ul>
    <p v-if="others.length > 0" class="mt-2 text-[14px]">
      <strong class="font-semibold"
        >{{ grave.length > 0 ? 'Also lost' : 'This control cannot hold' }}:
      </strong>
      <template v-for="(l, i) in others" :key="l.setting"
        ><template v-if="i > 0">; </template><span :title="l.reason">{{ l.label.toLowerCase() }}</span>
        <span class="text-soft">{{ ` (${of[l.of]})` }}</span></template
      >.
    </p>
  </section>
</template>
