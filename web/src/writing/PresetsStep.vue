<script setup lang="ts">
import { computed } from 'vue';
import type { WrittenPreset } from '@brine/core/controllers/suggest';
import AppButton from '../shared/ui/AppButton.vue';
import type { LiveWriting } from './useWriting.ts';

/** Sets of values that the control brings with it, one of which is picked first. */
const props = defineProps<{ live: LiveWriting }>();
const list = computed(() => props.live.writing.value.presets);
const parameters = computed(() => props.live.draft.value.definition.parameters);
const set = (presets: readonly WrittenPreset[]) => props.live.change({ presets });
const change = (at: number, part: Partial<WrittenPreset>) =>
  set(list.value.map((one, i) => (i === at ? { ...one, ...part } : one)));
const value = (event: Event) => (event.target as HTMLInputElement).value;
/** Codes that a preset may set: not the one that picks it. */
const held = computed(() =>
  parameters.value.filter(
    ({ code, encoding }) => encoding.type !== 'reading' && code !== props.live.writing.value.presetCode,
  ),
);
function setValue(at: number, code: string, text: string) {
  const { [code]: _, ...others } = list.value[at]!.values;
  change(at, { values: text.trim() === '' ? others : { ...others, [code]: text.trim() } });
}
const standardOf = (code: string) => {
  const encoding = parameters.value.find((p) => p.code === code)?.encoding;
  return encoding && 'default' in encoding ? String(encoding.default) : '';
};
</script>

<template>
  <div data-test="presets">
    <p class="hint max-w-3xl">
      A control may bring sets of values with it, such as cooler and freezer. The one that is picked sets the
      starting values of all other codes. Skip this step where it has none.
    </p>
    <div class="mt-3 flex flex-wrap items-end gap-4">
      <label class="flex flex-col gap-1"
        ><span class="field-label">The code that picks one</span
        ><select
          class="max-w-72"
          :value="live.writing.value.presetCode ?? ''"
          data-test="preset-code"
          @change="live.change({ presetCode: value($event) || null })"
        >
          <option value="">none</option>
          <option v-for="p in parameters" :key="p.code" :value="p.code">{{ p.code }} {{ p.name }}</option>
        </select></label
      >
      <AppButton
        data-test="add-preset"
        @click="set([...list, { id: String(list.length), name: '', values: {} }])"
        >Add a preset</AppButton
      >
    </div>
    <ul
      v-if="live.preset.value.problems.length > 0"
      class="mt-3 border-l-4 border-amber bg-amber-wash px-3 py-2"
    >
      <li v-for="problem in live.preset.value.problems" :key="problem">{{ problem }}.</li>
    </ul>
    <div v-if="list.length > 0" class="mt-4 overflow-x-auto">
      <table class="table-plain !w-auto">
        <thead>
          <tr>
            <th>Code</th>
            <th class="text-right">Factory</th>
            <th v-for="(one, i) in list" :key="i">
              <label class="flex flex-col text-[13px] font-normal text-soft"
                >shows
                <input
                  class="w-20 font-mono text-ink"
                  maxlength="12"
                  :value="one.id"
                  data-test="preset-id"
                  @change="change(i, { id: value($event).trim() })"
              /></label>
              <label class="flex flex-col text-[13px] font-normal text-soft"
                >name
                <input
                  class="w-28 text-ink"
                  maxlength="60"
                  :value="one.name"
                  data-test="preset-name"
                  @change="change(i, { name: value($event) })"
              /></label>
              <button
                type="button"
                class="link min-h-9 pointer-coarse:min-h-11 text-[13px] font-normal"
                @click="set(list.filter((_, n) => n !== i))"
              >
                Remove
              </button>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in held" :key="p.code">
            <td>
              <span class="font-mono font-semibold">{{ p.code }}</span> {{ p.name }}
            </td>
            <td class="text-right font-mono text-soft">{{ standardOf(p.code) }}</td>
            <td v-for="(one, i) in list" :key="i">
              <input
                class="!min-h-8 pointer-coarse:!min-h-11 w-20 font-mono"
                :value="one.values[p.code] ?? ''"
                :placeholder="standardOf(p.code)"
                :aria-label="`${p.code} in ${one.name || one.id}`"
                @change="setValue(i, p.code, value($event))"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
