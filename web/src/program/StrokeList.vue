<script setup lang="ts">
import { computed } from 'vue';
import ControllerDisplay from './ControllerDisplay.vue';
import TimeOutCount from './TimeOutCount.vue';
import type { Cabinet } from './useCabinet.ts';
import type { Strokes } from './useStrokes.ts';

const props = defineProps<{ cabinet: Cabinet; strokes: Strokes; compact?: boolean }>();
const emit = defineEmits<{ atRest: [] }>();
const lines = computed(() =>
  props.cabinet.allDone.value ? props.strokes.outLines.value : props.strokes.lines.value,
);
const code = computed(() => props.cabinet.current.value?.code ?? '');
const from = computed({
  get: () => props.strokes.from.value ?? '',
  set: (value: string) => (value === '' ? emit('atRest') : props.strokes.standAt(value)),
});
</script>

<template>
  <section v-if="strokes.hasPanel.value" aria-label="Keystrokes" data-test="strokes">
    <p v-if="strokes.problem.value" class="border-l-4 border-amber bg-amber-wash px-3 py-2" role="status">
      No keystrokes from here: {{ strokes.problem.value }}.
    </p>
    <ol :class="compact ? 'flex flex-wrap items-center gap-x-5 gap-y-1.5' : ''">
      <li
        v-for="(line, i) in lines"
        :key="i"
        class="text-[17px]"
        :class="compact ? 'text-[15px]' : 'border-b border-hairline py-2'"
      >
        <div class="flex flex-wrap items-center gap-x-2 gap-y-1">
          <span v-if="line.before">{{ line.before }}</span>
          <kbd v-for="key in line.keys" :key="key" class="panel-key">{{ key }}</kbd>
          <span v-if="line.after">{{ line.after }}</span>
          <span v-if="line.shows !== null && !(line.reached && !compact)" class="text-soft"
            >shows <span class="ml-1 font-mono text-ink">{{ line.shows }}</span></span
          >
        </div>
        <p v-if="line.say" class="mt-1 text-[14px] text-soft">{{ line.say }}</p>
        <div v-if="line.reached && !compact" class="mt-2 flex items-end gap-4 bg-[#17282b] px-4 py-3">
          <ControllerDisplay :text="line.shows ?? code" words="the display shows this" />
        </div>
      </li>
    </ol>
    <div class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-[14px] text-soft">
      <label class="flex items-center gap-2"
        >Display shows now
        <select
          v-model="from"
          class="!min-h-9 pointer-coarse:!min-h-11 !py-1 text-[14px]"
          data-test="display-shows"
        >
          <option value="">the standard display</option>
          <option v-for="row in cabinet.rows.value" :key="row.code" :value="row.code">{{ row.code }}</option>
        </select>
      </label>
      <TimeOutCount
        v-if="strokes.timeOut.value !== null"
        :key="`${code}-${strokes.from.value}`"
        :seconds="strokes.timeOut.value"
        @closed="emit('atRest')"
      />
      <span v-if="strokes.timeOut.value !== null && !compact">{{ strokes.timeOutWords.value }}</span>
    </div>
  </section>
</template>

<style scoped>
.panel-key {
  display: inline-grid;
  min-width: 44px;
  place-items: center;
  border: 1px solid var(--color-edge);
  border-bottom-width: 3px;
  border-radius: 5px;
  background: var(--color-sheet);
  padding: 3px 10px;
  font-family: var(--font-sans);
  font-size: 15px;
  font-weight: 600;
}
</style>
