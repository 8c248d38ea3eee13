<script setup lang="ts">
import { computed } from 'vue';
import { printNumber, quantity } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useJob } from '../../shared/job/useJob.ts';

const job = useJob();
const display = useDisplay();
const list = computed(() => job.proving.value.calibrations);
</script>

<template>
  <section v-if="list.length > 0" aria-label="Calibrations" data-test="calibrations">
    <h3>Kept with this job</h3>
    <ul class="mt-1">
      <li v-for="c in list" :key="c.id" class="border-b border-hairline py-2 text-[14.5px]">
        <strong class="font-semibold">{{ c.date }}, {{ c.probe }}</strong>
        <template v-if="c.code"
          >:
          <span class="font-mono"
            >{{ c.code }} {{ printNumber(c.before ?? 0, 2) }} → {{ printNumber(c.after ?? 0, 2) }}
            {{ c.unit }}</span
          ></template
        >
        <span class="block text-soft">
          {{
            c.points
              .map(
                (p) =>
                  `read ${display.show(quantity(p.reading, 'degC'))} at ${display.show(quantity(p.reference, 'degC'))}`,
              )
              .join('; ')
          }}; {{ c.reference.name }}{{ c.reference.serial ? `, ${c.reference.serial}` : '' }}; next
          {{ c.nextDue }}
        </span>
      </li>
    </ul>
  </section>
</template>
