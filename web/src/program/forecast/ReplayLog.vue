<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import { controlConfig } from '@brine/core/machines/box';
import type { Variant } from '@brine/core/record/job';
import type { Replayed } from '@brine/core/machines/simulation';
import AppButton from '../../shared/ui/AppButton.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import { core } from '../../workers/corePool.ts';
import { eventWords } from '../../shared/strip/lanes.ts';

/** A logger's file as the plant: what a control with these settings would have done, and which alarms. Open loop: the readings stay what they were. */
const props = defineProps<{ variants: readonly Variant[] }>();
const MOST = 12;
const problem = ref<string | null>(null);
const busy = ref(false);
/** Hours without a reading, said beside the result. */
const gaps = ref('');
const done = shallowRef<readonly { readonly name: string; readonly replayed: Replayed }[]>([]);

async function read(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (!file) return;
  busy.value = true;
  problem.value = null;
  done.value = [];
  try {
    const text = await file.text();
    for (const { name, values } of props.variants) {
      const config = controlConfig(values);
      if (typeof config === 'string') throw new Error(`${name}: ${config}`);
      const replayed = await core.run('replay', { text, config });
      if ('problem' in replayed) throw new Error(`${file.name}, ${replayed.field}: ${replayed.message}`);
      gaps.value = replayed.gaps;
      done.value = [...done.value, { name, replayed }];
    }
  } catch (error) {
    problem.value = (error as Error).message;
  }
  busy.value = false;
  input.value = '';
}
const hours = (seconds: number) => `${(seconds / 3600).toFixed(1)} h`;
const time = (t: number) =>
  `${t >= 86400 ? `day ${Math.floor(t / 86400) + 1}, ` : ''}${new Date(t * 1000).toISOString().slice(11, 19)}`;
const alarmsOf = (replayed: Replayed) =>
  replayed.events.filter((e) => e.kind === 'alarmCause' && e.value === true);
</script>

<template>
  <details class="border-t border-hairline pt-2" data-test="replay">
    <summary class="link py-1">Replay a logger’s file: what would these settings have done?</summary>
    <p class="hint mt-1">
      CSV with a column time (seconds or ISO 8601) and air_degC or air_degF; coil, door and input where the
      logger has them.
    </p>
    <label class="mt-2 inline-flex items-center gap-3"
      ><span class="sr-only">Logger’s file</span
      ><input type="file" accept=".csv,text/csv" data-test="replay-file" :disabled="busy" @change="read"
    /></label>
    <p v-if="busy" class="hint" role="status">Replaying …</p>
    <FormProblem :message="problem" />
    <p v-if="gaps !== '' && done.length > 0" class="mt-1 border-l-4 border-amber bg-amber-wash px-3 py-2">
      Check this, {{ gaps }}
    </p>
    <table v-if="done.length > 0" class="table-plain mt-2 max-w-3xl" data-test="replayed">
      <thead>
        <tr>
          <th>On these readings</th>
          <th v-for="run in done" :key="run.name" class="!text-right">{{ run.name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <td>Starts</td>
          <td v-for="run in done" :key="run.name" class="text-right font-mono">
            {{ run.replayed.totals.compressorStarts }}
          </td>
        </tr>
        <tr>
          <td>Compressor on</td>
          <td v-for="run in done" :key="run.name" class="text-right font-mono">
            {{ hours(run.replayed.totals.compressorSeconds) }}
          </td>
        </tr>
        <tr>
          <td>Defrosts</td>
          <td v-for="run in done" :key="run.name" class="text-right font-mono">
            {{ run.replayed.totals.defrosts }}
          </td>
        </tr>
        <tr>
          <td>Alarms</td>
          <td v-for="run in done" :key="run.name" class="text-right font-mono">
            {{
              alarmsOf(run.replayed)
                .map((e) => `${e.reason} at ${time(e.t)}`)
                .slice(0, 3)
                .join(', ') || 'none'
            }}
          </td>
        </tr>
      </tbody>
    </table>
    <AppButton v-if="done.length > 0" kind="quiet" class="mt-1" @click="done = []">Clear</AppButton>
    <ol v-if="done.length > 0" class="mt-2 text-[14px]" data-test="replay-events">
      <li
        v-for="(event, i) in done
          .at(-1)!
          .replayed.events.filter((e) => eventWords(e))
          .slice(0, MOST)"
        :key="i"
      >
        <span class="font-mono">{{ time(event.t) }}</span> {{ eventWords(event) }}
      </li>
    </ol>
  </details>
</template>
