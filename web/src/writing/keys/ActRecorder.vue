<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import type { PanelKey } from '@brine/core/controllers/definitions';
import { strokeSentence, type Act } from '@brine/core/controllers/panel';
import type { ShownStep } from '@brine/core/controllers/showing';
import AppButton from '../../shared/ui/AppButton.vue';
import SegmentedControl from '../../shared/ui/SegmentedControl.vue';

/** A blank panel: each key that is pressed at the real one is pressed here, and what its display shows then is written beside it. */
const props = defineProps<{
  keys: readonly PanelKey[];
  steps: readonly ShownStep[];
  /** The step that does not fit, from 0. */
  wrong?: number | null;
}>();
const emit = defineEmits<{ change: [steps: readonly ShownStep[]] }>();
type Way = 'press' | 'hold' | 'together' | 'keep';
const way = ref<Way>('press');
const ways: readonly { readonly id: Way; readonly name: string }[] = [
  { id: 'press', name: 'Press' },
  { id: 'hold', name: 'Hold' },
  { id: 'together', name: 'Two together' },
  { id: 'keep', name: 'Keep one down' },
];
const seconds = ref(5);
const first = ref<string | null>(null);
const list = ref<HTMLElement | null>(null);
/** Words for steps: labels of the keys, no menus. */
const panel = computed(() => ({ keys: props.keys, menus: [] }));
const sentence = ({ act, shows }: ShownStep) =>
  strokeSentence(panel.value, { ...act, shows: shows ?? 'the normal display' });

function press(key: string) {
  if (way.value === 'hold') return add({ action: 'hold', keys: [key], seconds: seconds.value });
  if (way.value === 'press') return add({ action: 'press', keys: [key] });
  if (first.value === null) return void (first.value = key);
  if (first.value === key) return void (first.value = null);
  if (way.value === 'keep') return add({ action: 'press', keys: [key], holding: [first.value] });
  const keys = [first.value, key];
  first.value = null;
  add({ action: 'chord', keys, ...(seconds.value > 0 && { seconds: seconds.value }) });
}
/** A display that is not written down yet is the empty text; the same key again is one more press of it. */
function add(act: Act) {
  const last = props.steps.at(-1);
  const again =
    last?.shows === '' &&
    act.action === 'press' &&
    JSON.stringify(last.act) === JSON.stringify({ ...act, ...(last.act.times && { times: last.act.times }) });
  emit(
    'change',
    again
      ? [...props.steps.slice(0, -1), { ...last, act: { ...act, times: (last.act.times ?? 1) + 1 } }]
      : [...props.steps, { act, shows: '' }],
  );
  void nextTick(() => list.value?.querySelector<HTMLInputElement>('li:last-child input')?.focus());
}
const set = (at: number, shows: string | null) =>
  emit(
    'change',
    props.steps.map((step, i) => (i === at ? { ...step, shows } : step)),
  );
const remove = (at: number) =>
  emit(
    'change',
    props.steps.filter((_, i) => i !== at),
  );
</script>

<template>
  <div data-test="recorder">
    <div class="max-w-md rounded-lg border border-edge bg-[#2a3b3e] p-4">
      <div
        class="flex h-16 items-center justify-center rounded bg-[#101c1e] font-display text-[34px] whitespace-nowrap text-[#ffb347]"
        :class="{ '!text-[22px]': (steps.at(-1)?.shows ?? '').length > 6 }"
      >
        {{ steps.length === 0 || steps.at(-1)!.shows === null ? '--.-' : steps.at(-1)!.shows || '?' }}
      </div>
      <div class="mt-3 flex flex-wrap justify-center gap-3">
        <button
          v-for="key in keys"
          :key="key.id"
          type="button"
          class="grid min-h-14 min-w-16 place-items-center rounded-md border border-b-4 border-[#0c1517] bg-[#f3f1ec] px-3 font-semibold text-[#17282b]"
          :class="{ '!border-b !bg-[#d8d3c6]': first === key.id }"
          :aria-pressed="first === key.id"
          :data-key="key.id"
          @click="press(key.id)"
        >
          {{ key.label ?? key.id }}
        </button>
      </div>
    </div>
    <div class="mt-3 flex flex-wrap items-center gap-3">
      <SegmentedControl v-model="way" label="How" :options="ways" @update:model-value="first = null" />
      <label v-if="way === 'hold' || way === 'together'" class="flex items-center gap-2"
        ><input
          v-model.number="seconds"
          type="number"
          min="0"
          max="60"
          class="w-20"
          data-test="hold-seconds"
        />
        s</label
      >
    </div>
    <div class="mt-2 flex flex-wrap gap-2">
      <AppButton kind="quiet" @click="add({ action: 'wait', seconds: Math.max(1, seconds) })"
        >Touch no key for {{ Math.max(1, seconds) }} s</AppButton
      >
      <AppButton kind="quiet" @click="add({ action: 'power', to: 'off' })">Supply off</AppButton>
      <AppButton kind="quiet" @click="add({ action: 'power', to: 'on' })">Supply on</AppButton>
    </div>
    <p v-if="first !== null" class="hint mt-1" role="status">
      {{
        way === 'keep'
          ? 'is kept down. Press the others; choose another way when you let it go.'
          : 'Now the second key.'
      }}
    </p>
    <ol ref="list" class="mt-3">
      <li
        v-for="(step, i) in steps"
        :key="i"
        class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline py-1.5"
        :class="{ 'bg-amber-wash': wrong === i }"
        :data-shown="i"
      >
        <span class="w-6 text-right text-soft">{{ i + 1 }}</span>
        <span class="min-w-40 flex-1">{{ sentence(step) }}</span>
        <label class="flex items-center gap-2 text-[14px] text-soft"
          >shows
          <input
            class="w-24 font-mono text-ink"
            maxlength="16"
            :value="step.shows ?? ''"
            :disabled="step.shows === null"
            :aria-label="`Step ${i + 1} shows`"
            autocapitalize="off"
            @change="set(i, ($event.target as HTMLInputElement).value.trim())"
        /></label>
        <label class="flex min-h-9 pointer-coarse:min-h-11 items-center gap-1.5 text-[14px]"
          ><input
            type="checkbox"
            :checked="step.shows === null"
            :aria-label="`Step ${i + 1}: normal display`"
            @change="set(i, step.shows === null ? '' : null)"
          />normal display</label
        >
        <button
          type="button"
          class="link min-h-9 pointer-coarse:min-h-11 text-[14px]"
          :aria-label="`Delete step ${i + 1}`"
          @click="remove(i)"
        >
          Delete
        </button>
      </li>
    </ol>
  </div>
</template>
