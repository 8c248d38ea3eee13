<script setup lang="ts">
import { computed, ref } from 'vue';
import { CannotPlan, planKeys, strokeSentence, type PlanStep } from '@brine/core/controllers/panel';
import type { LiveWriting } from './useWriting.ts';
import type { WrittenMenu } from './writing.ts';
import { codesOf } from './shownPanel.ts';

/** The panel that was built, tried on a second code: its key presses are planned, to be done at the real one. */
const props = defineProps<{ live: LiveWriting; menu: WrittenMenu }>();
const parameters = computed(() => {
  const { definition } = props.live.draft.value;
  const held = codesOf(definition, props.menu);
  return definition.parameters.filter(
    ({ code, encoding }) =>
      encoding.type !== 'reading' && code !== props.menu.demonstration.code && (held?.includes(code) ?? true),
  );
});
const code = ref('');
const value = ref('');
const chosen = computed(
  () => code.value || parameters.value.at(Math.floor(parameters.value.length / 2))?.code || '',
);
/** One step from where it stands. */
const proposed = computed(() => {
  const encoding = parameters.value.find((p) => p.code === chosen.value)?.encoding;
  if (encoding?.type === 'choice')
    return String(encoding.options.find((o) => o.value !== encoding.default)?.value ?? '');
  if (encoding?.type !== 'number') return '';
  const step =
    typeof encoding.resolution === 'object' ? encoding.resolution.without : (encoding.resolution ?? 1);
  const next =
    encoding.default + 2 * step <= encoding.max ? encoding.default + 2 * step : encoding.default - 2 * step;
  return String(Number(next.toFixed(4)));
});
const wished = computed(() => value.value.trim() || proposed.value);
const plan = computed<{ readonly steps: readonly PlanStep[] } | { readonly problem: string }>(() => {
  const { machine } = props.live;
  if (!machine.value || chosen.value === '') return { problem: 'Put the rows right first.' };
  try {
    return planKeys(machine.value, new Map(), [{ code: chosen.value, value: wished.value }]);
  } catch (error) {
    if (error instanceof CannotPlan) return { problem: error.message };
    throw error;
  }
});
</script>

<template>
  <div data-test="second-code">
    <p class="field-label">Try it on a second code</p>
    <div class="mt-1 flex flex-wrap items-end gap-3">
      <select
        :value="chosen"
        aria-label="Second code"
        @change="((code = ($event.target as HTMLSelectElement).value), (value = ''))"
      >
        <option v-for="p in parameters" :key="p.code" :value="p.code">{{ p.code }} {{ p.name }}</option>
      </select>
      <label class="flex items-center gap-2"
        >to <input v-model="value" class="w-20" :placeholder="proposed" aria-label="Value of the second code"
      /></label>
    </div>
    <p v-if="'problem' in plan" class="problem mt-2">{{ plan.problem }}</p>
    <template v-else>
      <p class="hint mt-2">
        From its factory value. Do these at the real control. Where its display shows something else, add the
        steps above that differ, or say how the menu closes.
      </p>
      <ol class="mt-1 list-decimal pl-6 text-[14px]">
        <li v-for="(step, i) in plan.steps" :key="i">
          {{ strokeSentence(live.panel.value!, step) }}:
          <span class="font-mono">{{
            step.shows === 'reading' ? 'normal display' : step.shows || 'dark'
          }}</span>
        </li>
      </ol>
    </template>
  </div>
</template>
