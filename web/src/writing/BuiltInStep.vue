<script setup lang="ts">
import { computed } from 'vue';
import type { Implied } from '@brine/core/controllers/builtIn';
import { settingOf, type SettingId, type SettingValue } from '@brine/core/foundation/settings';
import AskHere from './asking/AskHere.vue';
import AppButton from '../shared/ui/AppButton.vue';
import type { LiveWriting } from './useWriting.ts';

/** What the control does that no code says: deduced from its codes and connections, confirmed or changed by a person. */
const props = defineProps<{ live: LiveWriting }>();
const decided = computed(() => props.live.writing.value.builtIn);
const lines = computed(() =>
  props.live.implied.value.map((fact) => ({
    ...fact,
    label: settingOf(fact.setting).label,
    meaning: settingOf(fact.setting).meaning,
    said: fact.setting in decided.value,
    now: fact.setting in decided.value ? decided.value[fact.setting]! : fact.value,
    options: optionsOf(fact),
  })),
);
const doubtsOf = (setting: SettingId) =>
  props.live.doubts.value.filter(({ kind, setting: of }) => kind === 'fact' && of === setting);
const open = computed(() => lines.value.filter((line) => !line.said));
/** What follows from the codes; the rest has to be looked at by itself. */
const sure = computed(() => open.value.filter((line) => !line.ask));

function optionsOf({ setting }: Implied): readonly { readonly value: string; readonly name: string }[] {
  const { kind, choices, choiceLabels } = settingOf(setting);
  return kind === 'flag'
    ? [
        { value: 'true', name: 'yes' },
        { value: 'false', name: 'no' },
      ]
    : (choices ?? []).map((value) => ({ value, name: choiceLabels?.[value] ?? value }));
}
const read = (id: SettingId, text: string): SettingValue | null =>
  text === '' ? null : settingOf(id).kind === 'flag' ? text === 'true' : text;
const confirm = (facts: readonly Implied[]) =>
  props.live.sayBuiltIn(Object.fromEntries(facts.map((fact) => [fact.setting, fact.value])));
</script>

<template>
  <div data-test="built-in">
    <p class="hint max-w-3xl">
      No code of this control says these. They follow from the codes and connections it has; confirm each, or
      change it after the booklet. What stays open is taken as deduced, and said to be.
    </p>
    <p v-if="lines.length === 0" class="mt-4">
      {{
        live.used.value.length === 0
          ? 'Paste the table first.'
          : 'Its codes say everything: nothing has to be deduced.'
      }}
    </p>
    <template v-else>
      <AppButton
        v-if="sure.length > 0"
        class="mt-3"
        kind="primary"
        data-test="confirm-all"
        @click="confirm(sure)"
        >These {{ sure.length }} are right</AppButton
      >
      <ul class="mt-3">
        <li
          v-for="line in lines"
          :key="line.setting"
          class="grid gap-x-6 gap-y-1 border-b border-hairline py-2.5 sm:grid-cols-[minmax(0,1fr)_17rem_8rem]"
          :class="{ 'bg-amber-wash': !line.said && line.ask }"
          :data-implied="line.setting"
        >
          <div>
            <abbr :title="line.meaning" class="font-medium no-underline">{{ line.label }}</abbr>
            <p class="text-[14px] text-soft">{{ line.because }}.</p>
            <AskHere :doubts="doubtsOf(line.setting)" :live="live" />
          </div>
          <select
            class="w-full self-start"
            :value="line.now === null ? '' : String(line.now)"
            :aria-label="line.label"
            @change="
              live.sayBuiltIn({
                [line.setting]: read(line.setting, ($event.target as HTMLSelectElement).value),
              })
            "
          >
            <option v-for="o in line.options" :key="o.value" :value="o.value">{{ o.name }}</option>
            <option value="">not stated</option>
          </select>
          <p class="self-start text-[14px]">
            <span v-if="line.said">✓ {{ line.now === null ? 'left open' : 'confirmed' }}</span>
            <button
              v-else
              type="button"
              class="link min-h-9 pointer-coarse:min-h-11"
              data-test="it-is-so"
              @click="confirm([line])"
            >
              It is so
            </button>
          </p>
        </li>
      </ul>
    </template>
  </div>
</template>
