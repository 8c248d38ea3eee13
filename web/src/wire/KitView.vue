<script setup lang="ts">
import { computed } from 'vue';
import { kitList, measureIds, measureNames, type KitGroup, type MeasureId } from '@brine/core/wiring/kit';
import { parseNumber } from '@brine/core/foundation/quantities';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';

const job = useJob();
const session = useSession();
const lines = computed(() =>
  kitList(job.wiring.value.plan!, job.replacement.value!, job.wiring.value.measures),
);
const titles: Readonly<Record<KitGroup, string>> = {
  safety: 'Before anything is touched',
  tools: 'Tools',
  wire: 'Wire',
  terminals: 'Terminals',
  probes: 'Probes',
  fixing: 'Fixing',
  parts: 'Parts between',
};
const groups = computed(() =>
  (Object.keys(titles) as KitGroup[])
    .map((id) => ({ id, title: titles[id], lines: lines.value.filter((l) => l.group === id) }))
    .filter((group) => group.lines.length > 0),
);
const known = computed<Readonly<Record<string, number | undefined>>>(() => {
  const { probeMetres, wireMetres, pipeMm, hole, inWater } = job.wiring.value.measures;
  return {
    probeMetres,
    wireMetres,
    pipeMm,
    holeWidthMm: hole?.widthMm,
    holeHeightMm: hole?.heightMm,
    inWater: inWater ? 1 : undefined,
  };
});
const numbers = measureIds.filter((id) => id !== 'inWater');
function measure(id: MeasureId, text: string) {
  const value = text.trim() === '' ? null : parseNumber(text);
  if (value === null && text.trim() !== '') return;
  void job.write({ kind: 'measure', measure: id, value });
}
</script>

<template>
  <div class="grid gap-6 xl:grid-cols-[minmax(0,1fr)_18rem]">
    <div class="flex flex-col gap-5">
      <section v-for="group in groups" :key="group.id" :aria-label="group.title">
        <h3>{{ group.title }}</h3>
        <ul class="mt-1 border-t border-ink">
          <li
            v-for="line in group.lines"
            :key="line.what"
            class="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 border-b border-hairline py-1.5"
          >
            <span class="font-medium">{{ line.what }}</span>
            <span class="text-right font-mono whitespace-nowrap">{{ line.amount }}</span>
            <span class="hint col-span-2">{{ line.why }}</span>
          </li>
        </ul>
      </section>
    </div>
    <section aria-label="Measured on site" class="print:hidden">
      <h3>Measured on site</h3>
      <p class="hint mt-1">What is not known is left open on the list.</p>
      <div class="mt-2 flex flex-col gap-2">
        <div v-for="id in numbers" :key="id" class="flex items-center justify-between gap-3">
          <label :for="`measure-${id}`">{{ measureNames[id] }}</label>
          <input
            :id="`measure-${id}`"
            class="w-20 text-right font-mono"
            inputmode="decimal"
            :value="known[id] ?? ''"
            :disabled="!session.mayWrite"
            @change="measure(id, ($event.target as HTMLInputElement).value)"
          />
        </div>
        <label class="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            :checked="known['inWater'] === 1"
            :disabled="!session.mayWrite"
            @change="measure('inWater', ($event.target as HTMLInputElement).checked ? '1' : '0')"
          />
          The probe stands in water
        </label>
      </div>
    </section>
  </div>
</template>
