<script setup lang="ts">
import { computed, toRef } from 'vue';
import { schools } from '@brine/core/foundation/unit';
import type { ChosenValue } from '@brine/core/record/job';
import { isQuantity, printFor, quantity, valueIn } from '@brine/core/foundation/quantities';
import { sameValue, settingOf, type SettingValue } from '@brine/core/foundation/settings';
import { useDisplay } from '../shared/display/displayStore.ts';
import { fanSettingOf } from '@brine/core/judgement/condenserFans';
import { useJob } from '../shared/job/useJob.ts';
import { keypadOfKind } from '../shared/ui/keypad.ts';
import { useDraft } from '../shared/ui/useDraft.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import { useSettingInput } from './useSettingInput.ts';

const props = defineProps<{ chosen: ChosenValue }>();
const job = useJob();
const session = useSession();
const display = useDisplay();
const setting = computed(() => settingOf(props.chosen.setting));
const write = (value: SettingValue | null, why?: string) =>
  void job.write({
    kind: 'planned',
    setting: props.chosen.setting,
    value,
    ...(why !== undefined && { why }),
  });
const { text, problem, symbol, commit } = useSettingInput(
  props.chosen.setting,
  toRef(() => props.chosen.value),
  toRef(() => display.unit),
  (value) => write(value),
);
const choices = computed(() => {
  if (setting.value.kind === 'flag')
    return [
      { value: 'true', name: 'yes' },
      { value: 'false', name: 'no' },
    ];
  return (
    setting.value.choices?.map((value) => ({ value, name: setting.value.choiceLabels?.[value] ?? value })) ??
    null
  );
});
/** What the control makes of it, where that is another value. */
const held = computed(() => {
  const { inForce } = job.program.value;
  const value = job.replacement.value && inForce[fanSettingOf(inForce, props.chosen.setting)];
  if (value === undefined || value === null || sameValue(value, props.chosen.value)) return null;
  const { chosen } = props;
  // In the unit it was planned in: 120 s are no news beside 2 min.
  const alike =
    isQuantity(value) && isQuantity(chosen.value)
      ? quantity(valueIn(value, chosen.value.unit), chosen.value.unit)
      : value;
  const shown = display.showSetting(chosen.setting, alike);
  return shown === display.showSetting(chosen.setting, chosen.value) ? null : shown;
});
const isList = computed(() => Array.isArray(props.chosen.value));
const choose = (event: Event) => {
  const { value } = event.target as HTMLSelectElement;
  write(setting.value.kind === 'flag' ? value === 'true' : value);
};
const range = computed(() => {
  const sound = props.chosen.advice?.range;
  return sound
    ? `Usual here: ${printFor(sound.min, display.unit)} to ${printFor(sound.max, display.unit)}.`
    : '';
});
const school = computed(() =>
  props.chosen.advice?.school ? schools[props.chosen.advice.school.id].question : null,
);
const { text: why, settle: settleWhy } = useDraft(() => props.chosen.why ?? '');
function sayWhy() {
  if (settleWhy() && why.value.trim() !== (props.chosen.why ?? ''))
    write(props.chosen.value, why.value.trim());
}
</script>

<template>
  <tr
    :data-setting="chosen.setting"
    :class="{ 'bg-amber-wash/60': chosen.changed }"
    class="max-sm:grid max-sm:grid-cols-[minmax(0,1fr)_auto] max-sm:border-b max-sm:border-hairline max-sm:py-1 max-sm:[&>td]:border-0"
  >
    <td class="font-medium sm:!pl-2">
      <abbr :title="setting.meaning" class="no-underline">{{ setting.label }}</abbr>
    </td>
    <td>
      <select
        v-if="choices"
        class="w-full max-w-[17rem]"
        :value="String(chosen.value)"
        :disabled="!session.mayWrite"
        :aria-label="setting.label"
        @change="choose"
      >
        <option v-for="c in choices" :key="c.value" :value="c.value">{{ c.name }}</option>
      </select>
      <span v-else-if="isList">{{ display.showSetting(chosen.setting, chosen.value) }}</span>
      <div v-else class="flex items-center gap-2">
        <input
          v-model="text"
          class="w-20 text-right font-mono font-semibold"
          :inputmode="keypadOfKind(setting.kind)"
          :disabled="!session.mayWrite"
          :aria-label="`${setting.label} in ${symbol || 'number'}`"
          :aria-invalid="problem !== null"
          @change="commit"
          @keydown.enter="commit"
        />
        <span class="text-soft">{{ symbol }}</span>
      </div>
      <p v-if="problem" class="problem mt-1 max-w-[14rem]" role="alert">{{ problem }}</p>
    </td>
    <td class="text-[14px] max-sm:col-span-2">
      <p v-if="held" class="font-medium" data-test="held">
        {{ job.replacement.value?.family }} holds {{ held }}.
      </p>
      <template v-if="chosen.changed">
        <p>
          Changed by hand<template v-if="chosen.planned !== null"
            >; the plan says {{ display.showSetting(chosen.setting, chosen.planned) }}</template
          >.
          <button
            v-if="session.mayWrite"
            type="button"
            class="link"
            data-test="back-to-plan"
            @click="write(null)"
          >
            {{ chosen.planned === null ? 'Remove' : 'Back to the plan' }}
          </button>
        </p>
        <input
          v-model="why"
          class="mt-1 w-full max-w-md"
          :disabled="!session.mayWrite"
          placeholder="Say why: it shows beside the value"
          :aria-label="`Why ${setting.label} was changed`"
          @change="sayWhy"
        />
      </template>
      <template v-else>
        {{ display.words(chosen.advice?.reason ?? '') }}
        <span class="text-soft"
          >{{ range }}<template v-if="school"> People differ: {{ school }}</template></span
        >
      </template>
    </td>
  </tr>
</template>
