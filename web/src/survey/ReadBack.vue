<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { SheetRow } from '@brine/core/controllers/definitions';
import { choiceWords } from '@brine/core/record/handover';
import { panelWords, strokeSentence } from '@brine/core/controllers/panel';
import { useJob } from '../shared/job/useJob.ts';
import AppButton from '../shared/ui/AppButton.vue';
import { keypadOf } from '../shared/ui/keypad.ts';
import ReadMode from './ReadMode.vue';
import { useReadBack } from './useReadBack.ts';

/** The old control read code by code: strokes to the next value, a field for what the display shows. Nothing on the control is changed. */
const props = defineProps<{ sheet: readonly SheetRow[] }>();
const emit = defineEmits<{ found: [code: string, value: string] }>();
const job = useJob();
const live = useReadBack(
  () => job.old.value,
  () => props.sheet,
);
const { current, planned, from, open, codes, read, machine } = live;
const typed = ref('');
watch(
  () => current.value?.code,
  () => (typed.value = ''),
);
const lines = computed(() =>
  (planned.value.strokes?.steps ?? []).map((step, i) => ({
    words: strokeSentence(machine.value!.panel, step),
    shows: i === planned.value.strokes!.valueAt ? null : step.shows === 'reading' ? '' : step.shows,
    value: i === planned.value.strokes!.valueAt,
  })),
);
const timeOut = computed(() => (job.old.value ? (panelWords(job.old.value)?.timeOut ?? '') : ''));
const options = computed(() =>
  current.value?.encoding.type === 'choice'
    ? current.value.encoding.options.map((o) => ({
        value: String(o.value),
        words: choiceWords(current.value!, o.value),
      }))
    : null,
);
const mode = ref(false);
function take(shown = typed.value) {
  const code = current.value?.code;
  const value = shown.trim();
  if (code === undefined || value === '') return;
  live.taken(code, value);
  emit('found', code, value);
}
</script>

<template>
  <section
    class="border border-edge bg-paper px-4 py-3"
    aria-label="Read by keystrokes"
    data-test="read-back"
  >
    <div class="flex flex-wrap items-center gap-x-4">
      <p class="min-w-0 flex-1 text-[14px] text-soft" role="status">
        {{ read }} of {{ codes.length }} read. {{ timeOut }}
      </p>
      <AppButton v-if="current" data-test="read-mode" @click="mode = true">Cabinet mode</AppButton>
    </div>
    <ReadMode v-if="mode && machine" :live="live" :machine="machine" @take="take" @close="mode = false" />
    <template v-if="current">
      <h3 class="mt-1">
        <span class="font-mono">{{ current.code }}</span> {{ current.name }}
      </h3>
      <p v-if="planned.problem" class="mt-1 border-l-4 border-amber bg-amber-wash px-3 py-2">
        No keystrokes from here: {{ planned.problem }}.
      </p>
      <ol v-else class="mt-1 list-decimal pl-6">
        <li v-for="(line, i) in lines" :key="i" class="py-0.5">
          {{ line.words }}<template v-if="line.value">: <strong>the value shows</strong></template
          ><template v-else-if="line.shows"
            >: <span class="font-mono">{{ line.shows }}</span></template
          >
        </li>
        <li v-if="lines.length === 0" class="list-none">The value is on the display now.</li>
      </ol>
      <form class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="take()">
        <label class="flex flex-col gap-1"
          ><span class="field-label">It shows</span>
          <select v-if="options" v-model="typed" data-test="read-value">
            <option value="">choose</option>
            <option v-for="o in options" :key="o.value" :value="o.value">
              {{ o.value }}{{ o.words ? ` · ${o.words}` : '' }}
            </option>
          </select>
          <input
            v-else
            v-model="typed"
            class="w-28 font-mono"
            :inputmode="keypadOf(current.encoding)"
            autocomplete="off"
            data-test="read-value"
          />
        </label>
        <AppButton kind="primary" type="submit" data-test="read-next">Read, next</AppButton>
        <AppButton @click="live.skip(current.code)">Skip</AppButton>
        <label class="flex items-center gap-2 text-[14px] text-soft"
          >Display shows now
          <select
            class="!min-h-9 pointer-coarse:!min-h-11 !py-1 text-[14px]"
            :value="from ?? ''"
            @change="from = ($event.target as HTMLSelectElement).value || null"
          >
            <option value="">the standard display</option>
            <option v-for="p in codes" :key="p.code" :value="p.code">{{ p.code }}</option>
          </select>
        </label>
      </form>
    </template>
    <p v-else class="mt-1">
      {{ open.length === 0 ? 'Every code that can be in the menu is read or skipped.' : '' }}
    </p>
  </section>
</template>
