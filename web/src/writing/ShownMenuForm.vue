<script setup lang="ts">
import { computed } from 'vue';
import type { ShowingFault, ShownMenu } from '@brine/core/controllers/showing';
import type { MenuAnswers } from '@brine/core/controllers/showing';
import AppButton from '../shared/ui/AppButton.vue';
import type { LiveWriting } from './useWriting.ts';
import type { WrittenMenu } from './writing.ts';
import ActRecorder from './keys/ActRecorder.vue';
import SecondCode from './SecondCode.vue';

/** One menu: which value is set, the keys for it, what no key press shows, and whether a panel came of it. */
const props = defineProps<{
  live: LiveWriting;
  menu: WrittenMenu;
  result: ShownMenu | ShowingFault;
  alone: boolean;
}>();
const emit = defineEmits<{ change: [menu: WrittenMenu]; remove: [] }>();
const change = (part: Partial<WrittenMenu>) => emit('change', { ...props.menu, ...part });
const show = (part: Partial<WrittenMenu['demonstration']>) =>
  change({ demonstration: { ...props.menu.demonstration, ...part } });
const answer = (part: Partial<MenuAnswers>) => change({ answers: { ...props.menu.answers, ...part } });
const value = (event: Event) => (event.target as HTMLInputElement).value;
const parameters = computed(() =>
  props.live.draft.value.definition.parameters.filter(({ encoding }) => encoding.type !== 'reading'),
);
const keys = computed(() => props.live.writing.value.showing.keys);
/** The key nobody has to be asked about: what the steps showed already. */
const menu = computed(() => ('menu' in props.result ? props.result.menu : null));
const unwritten = computed(() => props.menu.demonstration.steps.filter(({ shows }) => shows === '').length);
</script>

<template>
  <section class="border-t border-ink pt-4" :aria-label="menu?.id ?? props.menu.name">
    <div v-if="!alone" class="mb-3 flex flex-wrap items-end gap-4">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Menu</span
        ><input
          class="w-40"
          maxlength="40"
          :value="props.menu.name"
          @change="change({ name: value($event) })"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Holds the codes from</span
        ><select :value="props.menu.from ?? ''" @change="change({ from: value($event) || null })">
          <option value="">the first</option>
          <option v-for="p in parameters" :key="p.code" :value="p.code">{{ p.code }}</option>
        </select></label
      >
      <label class="flex flex-col gap-1"
        ><span class="field-label">to</span
        ><select :value="props.menu.to ?? ''" @change="change({ to: value($event) || null })">
          <option value="">the last</option>
          <option v-for="p in parameters" :key="p.code" :value="p.code">{{ p.code }}</option>
        </select></label
      >
      <AppButton kind="quiet" @click="emit('remove')">Remove this menu</AppButton>
    </div>
    <div class="flex flex-wrap items-end gap-4">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Set one value at the real control:</span
        ><select
          class="max-w-72"
          :value="props.menu.demonstration.code"
          data-test="show-code"
          @change="show({ code: value($event) })"
        >
          <option value="" disabled>choose a code</option>
          <option v-for="p in parameters" :key="p.code" :value="p.code">{{ p.code }} {{ p.name }}</option>
        </select></label
      >
      <label class="flex flex-col gap-1"
        ><span class="field-label">to</span
        ><input
          class="w-24"
          :value="props.menu.demonstration.value"
          data-test="show-value"
          @change="show({ value: value($event).trim() })"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Access codes, none where it asks for none</span
        ><input
          class="w-40"
          :value="props.menu.answers.accessCodes.join(', ')"
          data-test="show-access"
          @change="answer({ accessCodes: value($event).match(/\d+/g) ?? [] })"
      /></label>
    </div>
    <p class="hint mt-3 max-w-3xl">
      Begin at the normal display. Press each key here as you press it there, and write down what the display
      shows then, until the normal display is back. Choose a code that is not the first of the menu, and
      change it by more than one step.
    </p>
    <div class="mt-3 grid gap-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]">
      <ActRecorder
        :keys="keys"
        :steps="props.menu.demonstration.steps"
        :wrong="'step' in result ? result.step : null"
        @change="show({ steps: $event })"
      />
      <div class="flex flex-col gap-4">
        <fieldset class="flex flex-col gap-3">
          <legend class="field-label">What no key press shows</legend>
          <label v-if="!menu || menu.move?.next"
            ><span class="text-[14px] text-soft">The key that goes back through the list</span>
            <select
              class="w-full"
              :value="(menu?.move?.previous ?? props.menu.answers.previous) || ''"
              @change="answer({ previous: value($event) || null })"
            >
              <option value="">none</option>
              <option v-for="k in keys" :key="k.id" :value="k.id">{{ k.label }}</option>
            </select></label
          >
          <label
            ><span class="text-[14px] text-soft">The key that raises a value</span>
            <select
              class="w-full"
              :value="menu?.edit?.more ?? props.menu.answers.more ?? ''"
              @change="answer({ more: value($event) || null })"
            >
              <option value="">none</option>
              <option v-for="k in keys" :key="k.id" :value="k.id">{{ k.label }}</option>
            </select></label
          >
          <label
            ><span class="text-[14px] text-soft">The key that lowers a value</span>
            <select
              class="w-full"
              :value="menu?.edit?.less ?? props.menu.answers.less ?? ''"
              data-test="show-less"
              @change="answer({ less: value($event) || null })"
            >
              <option value="">none</option>
              <option v-for="k in keys" :key="k.id" :value="k.id">{{ k.label }}</option>
            </select></label
          >
          <label
            ><span class="text-[14px] text-soft">Closes by itself after, s (0: never)</span>
            <input
              type="number"
              min="0"
              max="3600"
              class="w-full"
              :value="props.menu.answers.timeOutSeconds"
              @change="answer({ timeOutSeconds: Math.max(0, Number(value($event)) || 0) })"
          /></label>
          <label
            ><span class="text-[14px] text-soft">What it keeps then</span>
            <select
              class="w-full"
              :value="props.menu.answers.keeps"
              @change="
                answer({
                  keeps: value($event) as MenuAnswers['keeps'],
                  stores: value($event) === 'nothing' ? 'leaving' : 'taken',
                })
              "
            >
              <option value="taken">values that were taken</option>
              <option value="edit">the value on the display too</option>
              <option value="nothing">nothing</option>
            </select></label
          >
        </fieldset>
        <div
          class="border-l-4 px-3 py-2"
          :class="menu ? 'border-ok bg-band' : 'border-amber bg-amber-wash'"
          role="status"
          data-test="show-result"
        >
          <template v-if="unwritten > 0"
            >{{ unwritten === 1 ? 'One step waits' : `${unwritten} steps wait` }} for what the display
            shows.</template
          >
          <template v-else-if="'problem' in result">{{ result.problem }}</template>
          <template v-else
            >✓ Played back: the panel built from these steps shows the same at each of them.</template
          >
        </div>
        <SecondCode v-if="menu && unwritten === 0" :live="live" :menu="props.menu" />
      </div>
    </div>
  </section>
</template>
