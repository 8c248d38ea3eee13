<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { panelWords, type Machine } from '@brine/core/controllers/panel';
import { choiceWords } from '@brine/core/record/handover';
import AnswerButton from '../shared/cabinet/AnswerButton.vue';
import CabinetFrame from '../shared/cabinet/CabinetFrame.vue';
import { readingLines } from '../shared/cabinet/cabinetStroke.ts';
import CabinetStrokes from '../shared/cabinet/CabinetStrokes.vue';
import ShownValue from '../shared/cabinet/ShownValue.vue';
import { useJob } from '../shared/job/useJob.ts';
import ModalDialog from '../shared/ui/ModalDialog.vue';
import type { LiveReading } from './useReadBack.ts';

/** Reading the old control at the cabinet: the strokes above, what the display shows typed below. Nothing on the control is changed. */
const props = defineProps<{ live: LiveReading; machine: Machine }>();
const emit = defineEmits<{ take: [shown: string]; close: [] }>();
const job = useJob();
const current = computed(() => props.live.current.value);
const typed = ref('');
const elsewhere = ref(false);
watch(
  () => current.value?.code,
  () => (typed.value = ''),
);
const unit = computed(() => [job.job.value?.unit.tag, job.job.value?.unit.name].filter(Boolean).join(' '));
const place = computed(() => `${props.live.read.value} of ${props.live.codes.value.length} read`);
const ticks = computed(() =>
  props.live.codes.value.map(({ code }) => ({
    id: code,
    look: code === current.value?.code ? 'bg-amber' : props.live.isRead(code) ? 'bg-drip' : 'bg-hairline',
  })),
);
const lines = computed(() => {
  const { strokes } = props.live.planned.value;
  return strokes ? readingLines(props.machine.panel, strokes) : [];
});
const options = computed(() =>
  current.value?.encoding.type === 'choice'
    ? current.value.encoding.options.map(({ value }) => ({
        value: String(value),
        words: choiceWords(current.value!, value),
      }))
    : null,
);
const timeOut = computed(() => panelWords(props.machine.definition)?.timeOut ?? '');
const take = (shown = typed.value) => shown.trim() !== '' && emit('take', shown);
function standAt(code: string | null) {
  const { from } = props.live;
  from.value = code;
  elsewhere.value = false;
}
</script>

<template>
  <CabinetFrame label="Read at the cabinet" :unit="unit" :place="place" :ticks="ticks" @close="emit('close')">
    <template v-if="current">
      <h2 class="text-[30px] leading-tight">{{ current.name }}</h2>
      <p class="mt-0.5 text-[18px]">
        Read <span class="font-mono font-semibold">{{ current.code }}</span>; change nothing.
      </p>
      <p v-if="live.planned.value.problem" class="mt-2 border-l-4 border-amber bg-amber-wash px-3 py-2">
        No strokes from here: {{ live.planned.value.problem }}.
      </p>
      <CabinetStrokes class="mt-2" :lines="lines" />
      <p v-if="lines.length === 0 && !live.planned.value.problem" class="mt-2 text-[18px]">
        The value is on the display now.
      </p>
      <p class="mt-2 text-[15px] text-soft">{{ timeOut }}</p>
    </template>
    <h2 v-else class="text-[30px] leading-tight">Every code that can be in the menu is read or skipped</h2>
    <template #side>
      <AnswerButton v-if="current" data-test="read-skip" @click="live.skip(current.code)"
        >Skip it</AnswerButton
      >
      <AnswerButton @click="elsewhere = true">It stands elsewhere</AnswerButton>
    </template>
    <template #main>
      <div v-if="current && options" class="flex flex-col overflow-auto bg-band">
        <button
          v-for="option in options"
          :key="option.value"
          type="button"
          class="min-h-14 border-t border-edge px-4 text-left text-[18px]"
          :data-option="option.value"
          @click="take(option.value)"
        >
          <span class="font-mono font-semibold">{{ option.value }}</span> {{ option.words }}
        </button>
      </div>
      <ShownValue
        v-else-if="current"
        v-model="typed"
        words="Read, next"
        data-test="mode-value"
        keypad="decimal"
        @shown="take()"
      />
      <AnswerButton v-else kind="main" @click="emit('close')"
        ><span class="text-[22px] font-semibold">Done</span></AnswerButton
      >
    </template>
    <ModalDialog :open="elsewhere" title="Where does the display stand?" @close="elsewhere = false">
      <ul class="max-h-[60vh] overflow-auto">
        <li>
          <button type="button" class="min-h-12 w-full text-left text-[17px]" @click="standAt(null)">
            The standard display
          </button>
        </li>
        <li v-for="p in live.codes.value" :key="p.code" class="border-t border-hairline">
          <button type="button" class="min-h-12 w-full text-left text-[17px]" @click="standAt(p.code)">
            <span class="font-mono font-semibold">{{ p.code }}</span> {{ p.name }}
          </button>
        </li>
      </ul>
    </ModalDialog>
  </CabinetFrame>
</template>
