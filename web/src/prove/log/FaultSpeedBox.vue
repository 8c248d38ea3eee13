<script setup lang="ts">
import { shallowRef, watch, computed } from 'vue';
import { triedWords, type FaultSpeed } from '@brine/core/judgement/condenserFans';
import type { Log } from '@brine/core/logs/reading';
import { isQuantity, quantity } from '@brine/core/foundation/quantities';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';

/** The speed condenser fans should hold when their probe fails, from a normal week’s log. */
const props = defineProps<{ log: Log }>();
const job = useJob();
const session = useSession();
const told = shallowRef<FaultSpeed | string | null>(null);
const { start, problem } = latestRun();
watch(
  () => props.log,
  (log) =>
    start(async ({ signal, isCurrent }) => {
      const result = await core.run('faultSpeed', { log }, { signal });
      if (isCurrent()) told.value = result;
    }),
  { immediate: true },
);
const speed = computed(() => (typeof told.value === 'object' ? told.value : null));
const set = computed(() => {
  const value = job.program.value.inForce['condenser.probeFaultOutput'];
  return isQuantity(value) ? value.value : null;
});
const round = (n: number) => `${Math.round(n)} %`;
const figures = computed(() => {
  const f = speed.value;
  return f
    ? [
        [f.onlyWhileRunning ? 'Mean while a compressor ran' : 'Mean', `${f.mean.toFixed(1)} %`],
        ['Day, 06 to 22 / night', `${round(f.day)} / ${Number.isNaN(f.night) ? 'none' : round(f.night)}`],
        [
          'A tenth / half / nine tenths of the time below',
          `${round(f.percentiles.p10)} / ${round(f.percentiles.p50)} / ${round(f.percentiles.p90)}`,
        ],
        ['Most', round(f.most)],
        ['Span', `${f.days.toFixed(1)} days, ${f.hours.toFixed(0)} h counted`],
      ]
    : [];
});
const take = (percent: number, words: string) =>
  job.write({
    kind: 'planned',
    setting: 'condenser.probeFaultOutput',
    value: quantity(percent, '%'),
    why: `average of ${speed.value!.days.toFixed(1)} days of log, ${speed.value!.mean.toFixed(1)} %; ${words}`,
  });
</script>

<template>
  <section aria-label="Fault speed" data-test="fault-speed">
    <h3>Speed to hold when the probe fails</h3>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="typeof told === 'string'" class="mt-1">{{ told }}</p>
    <template v-if="speed">
      <p class="mt-1" data-test="fault-words">
        <strong class="font-semibold">{{ speed.advised }} %</strong>: the average of this log, in whole steps
        up.
        <template v-if="set !== null"> Planned now: {{ set }} %.</template>
      </p>
      <p
        v-for="doubt in speed.doubts"
        :key="doubt"
        class="mt-1 border-l-4 border-amber bg-amber-wash px-3 py-2 text-[14.5px]"
      >
        {{ doubt }}
      </p>
      <div class="mt-2 grid gap-x-10 gap-y-4 lg:grid-cols-2">
        <table class="table-plain self-start">
          <tbody>
            <tr v-for="[name, value] in figures" :key="name" class="[&>td]:!py-1.5">
              <td>{{ name }}</td>
              <td class="!pr-0 text-right font-mono text-[14px]">{{ value }}</td>
            </tr>
          </tbody>
        </table>
        <ul class="border-t border-ink" data-test="tried-speeds">
          <li
            v-for="t in speed.tried"
            :key="t.percent"
            class="flex items-center gap-3 border-b border-hairline py-1"
            :class="{ 'bg-good-wash': t.percent === speed.advised }"
          >
            <span class="flex-1"
              >{{ triedWords(t)
              }}<span class="block text-[13.5px] text-soft"
                >more than needed {{ Math.round(t.moreThanNeeded * 100) }} % of the time</span
              ></span
            >
            <span v-if="t.percent === set" class="text-good">✓ planned</span>
            <AppButton
              v-else-if="session.mayWrite"
              kind="quiet"
              :data-test="`take-${t.percent}`"
              @click="take(t.percent, triedWords(t))"
              >Plan {{ t.percent }} %</AppButton
            >
          </li>
        </ul>
      </div>
    </template>
  </section>
</template>
