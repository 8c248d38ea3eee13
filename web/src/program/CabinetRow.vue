<script setup lang="ts">
import { useDisplay } from '../shared/display/displayStore.ts';
import { computed } from 'vue';
import type { DisplayState } from '@brine/core/controllers/definitions';
import { printShown } from '@brine/core/record/handover';
import type { ProgramRow } from '@brine/core/record/job';

const reader = useDisplay();
const props = defineProps<{ row: ProgramRow; display: DisplayState; current: boolean; mayWrite: boolean }>();
const emit = defineEmits<{ choose: []; tick: [] }>();
/** What nobody keyed, in words. */
const busWords = {
  written: { said: 'written over the bus', below: 'Written over the bus and read back.' },
  stood: {
    said: 'stood there already, read over the bus',
    below: 'Read over the bus: it stood there already.',
  },
} as const;
const mark = computed(
  () =>
    ({ open: props.row.undecided ? '?' : '', keyed: '✓', showsElse: '≠', skipped: '–', byPreset: 'P' })[
      props.row.state
    ],
);
const said = computed(
  () =>
    ({
      open: props.row.undecided ? 'not decided' : 'not keyed in',
      keyed: props.row.overBus ? busWords[props.row.overBus].said : 'keyed in',
      showsElse: `shows ${props.row.shown ?? ''}`,
      skipped: 'skipped',
      byPreset: 'set by the preset',
    })[props.row.state],
);
const box = computed(
  () =>
    ({
      open: 'border-brine',
      keyed: 'border-brine bg-brine text-on-brine',
      showsElse: 'border-alarm bg-alarm text-on-flag',
      skipped: 'border-soft bg-soft text-paper',
      byPreset: 'border-edge text-soft',
    })[props.row.state],
);
const below = computed(() => {
  if (props.row.state === 'showsElse') return `The display showed ${props.row.shown}.`;
  if (props.row.state === 'skipped') return `Skipped: ${props.row.why || 'no reason given'}.`;
  if (props.row.overBus && !props.current) return busWords[props.row.overBus].below;
  return props.current
    ? reader.words(props.row.reason ?? props.row.note)
    : props.row.undecided
      ? 'not planned yet: decide first'
      : props.row.status === 'exact'
        ? ''
        : props.row.note;
});
</script>

<template>
  <tr
    :data-code="row.code"
    :data-state="row.state"
    :class="{ 'bg-amber-wash': current, 'text-soft': row.status === 'default' && !current }"
    :aria-current="current"
    @click="emit('choose')"
  >
    <td class="!pl-1.5">
      <button
        type="button"
        class="grid size-6 place-items-center rounded-md border-[1.5px] text-[15px] leading-none font-bold pointer-coarse:size-11"
        :class="box"
        :disabled="!mayWrite"
        :aria-label="`${row.code}: ${said}`"
        @click.stop="emit('tick')"
      >
        {{ mark }}
      </button>
    </td>
    <td class="font-mono text-[16px] font-semibold">{{ row.code }}</td>
    <td>
      <span :class="{ 'font-semibold': current }">{{ row.parameter.name }}</span><span
        v-if="below"
        class="block max-w-xl text-[13.5px] text-soft"
        >{{ below }}</span
      ><span v-if="current && row.parameter.note" class="block text-[13.5px] text-soft">{{
        row.parameter.note
      }}</span>
    </td>
    <td class="text-right font-mono text-soft">
      <span
        v-if="row.differs"
        class="mr-2 font-sans text-[12.5px] text-ink"
        title="differs from what was found"
        >differs</span
      >{{ row.found === null ? '' : printShown(row.parameter, row.found, display) }}
    </td>
    <td class="text-right font-mono text-[15.5px] font-semibold">
      {{ printShown(row.parameter, row.value, display) }}
    </td>
  </tr>
</template>
