<script setup lang="ts">
import { computed, ref } from 'vue';
import { settingOf } from '@brine/core/foundation/settings';
import { CLEAR, SURE, type Mend } from '@brine/core/controllers/suggest';
import type { ReadAt } from '@brine/core/controllers/pages';
import type { KeptPage } from './booklet/bookletStorage.ts';
import RowCutOut from './booklet/RowCutOut.vue';
import AskControl from './asking/AskControl.vue';
import AskToggle from './asking/AskToggle.vue';
import OptionMeanings from './OptionMeanings.vue';
import { acceptRow } from './rowsToCheck.ts';
import RowDepends from './RowDepends.vue';
import SettingSelect from './SettingSelect.vue';
import type { LiveWriting, WritingRow } from './useWriting.ts';

/** One row of the booklet: what it says, what it is taken to mean, and fields to put it right. */
const props = defineProps<{
  row: WritingRow;
  live: LiveWriting;
  open: string | null;
  /** Somebody should look at it. */
  check: boolean;
  /** Where it was read. */
  printed: { readonly page: KeptPage; readonly at: ReadAt } | null;
}>();
const mending = ref(false);
const isAsking = ref(false);
const doubts = computed(() => props.live.doubts.value.filter(({ code }) => code === props.row.code));
const problem = computed(() => props.open ?? props.row.problems.join('; '));
const shown = computed(() => mending.value || props.row.problems.length > 0 || props.open !== null);
const fields: readonly (keyof Mend)[] = ['code', 'description', 'unit', 'min', 'max', 'default'];
const labels: Readonly<Record<string, string>> = {
  code: 'Code',
  description: 'Description',
  unit: 'Unit',
  min: 'Least',
  max: 'Greatest',
  default: 'Factory',
};
const sureness = computed(() => {
  const { decided, setting, score } = props.row;
  if (decided) return 'you decided';
  if (setting === null) return 'no setting fits';
  return score >= SURE ? 'sure' : score >= CLEAR ? 'likely' : 'unsure';
});
const range = computed(() =>
  [
    props.row.min && `${props.row.min} to ${props.row.max}`,
    props.row.unit,
    props.row.default && `factory ${props.row.default}`,
  ]
    .filter(Boolean)
    .join(', '),
);
function mend(field: keyof Mend, event: Event) {
  mending.value = true;
  props.live.mend(props.row.key, { [field]: (event.target as HTMLInputElement).value.trim() });
}
</script>

<template>
  <tr v-if="printed && !row.omitted" class="max-md:block [&>td]:!border-0 [&>td]:!pb-0">
    <td colspan="6" class="max-md:block max-md:!px-0">
      <RowCutOut class="max-w-3xl" :page="printed.page" :at="printed.at" />
    </td>
  </tr>
  <tr
    class="max-md:block max-md:border-b max-md:border-edge max-md:py-2 max-md:[&>td]:block max-md:[&>td]:border-0 max-md:[&>td]:px-0 max-md:[&>td]:py-1"
    :class="{ 'opacity-55': row.omitted }"
    :data-row="row.code"
    :data-key="row.key"
    :data-check="check || undefined"
  >
    <td class="font-mono text-[13px] text-soft max-md:!hidden">{{ row.line }}</td>
    <td class="font-mono font-semibold">{{ row.code }}</td>
    <td>
      {{ row.description }}
      <span class="hint block">{{ range }}</span>
      <template v-if="!row.omitted">
        <p v-if="problem" class="problem">{{ problem }}</p>
        <div v-if="shown" class="mt-1 flex flex-wrap gap-2" data-test="mend">
          <label v-for="field in fields" :key="field" class="flex flex-col text-[13px] text-soft"
            >{{ labels[field] }}
            <input
              class="!min-h-8 pointer-coarse:!min-h-11 font-mono text-[14px] text-ink"
              :class="field === 'description' ? 'w-64' : 'w-20'"
              :value="row[field]"
              :aria-label="`${labels[field]} of line ${row.line}`"
              @change="mend(field, $event)"
            />
          </label>
        </div>
        <RowDepends v-if="shown || row.condition" :row="row" :live="live" />
        <p v-if="row.left.length > 0" class="hint">Not read: {{ row.left.join(' · ') }}</p>
      </template>
    </td>
    <td>
      <template v-if="!row.omitted">
        <SettingSelect :row="row" @choose="(setting) => live.decide(row.key, setting)" />
        <OptionMeanings
          v-if="row.choices.length > 0 && row.setting !== null"
          :row="row"
          @say="(value, means) => live.say(row.key, value, means)"
        />
        <AskControl v-if="isAsking" :doubts="doubts" :live="live" />
      </template>
    </td>
    <td class="text-[14px] whitespace-nowrap" :class="row.setting === null ? 'text-soft' : ''">
      <template v-if="!row.omitted">
        <span
          :title="row.decided || row.setting === null ? undefined : `Match ${row.score.toFixed(2)} of 1`"
          >{{ sureness }}</span
        >
        <span v-if="!row.decided && row.runnerUp" class="hint block whitespace-normal"
          >or {{ settingOf(row.runnerUp.setting).label }}</span
        >
        <button
          v-if="check && open === null && row.problems.length === 0"
          type="button"
          class="link block min-h-9 pointer-coarse:min-h-11"
          @click="acceptRow(live, row)"
        >
          it is right
        </button>
        <AskToggle v-if="row.setting !== null && (doubts.length > 0 || isAsking)" v-model="isAsking">
          ask the control
        </AskToggle>
      </template>
    </td>
    <td class="!pr-0 text-right whitespace-nowrap">
      <button v-if="!row.omitted && !shown" type="button" class="link text-[14px]" @click="mending = true">
        edit
      </button>
      <button type="button" class="link ml-3 text-[14px]" @click="live.omit(row.key, !row.omitted)">
        {{ row.omitted ? 'restore' : 'leave out' }}
      </button>
    </td>
  </tr>
</template>
