<script setup lang="ts">
import { computed, nextTick, ref, toRef, watch } from 'vue';
import type { Circuit } from '@brine/core/wiring/circuit';
import { useDisplay } from '../shared/display/displayStore.ts';
import { useJob } from '../shared/job/useJob.ts';
import AppButton from '../shared/ui/AppButton.vue';
import SegmentedControl from '../shared/ui/SegmentedControl.vue';
import { standaloneSvg } from '../shared/ui/exportDrawing.ts';
import { saveFile } from '../shared/ui/saveFile.ts';
import DiagramBox from './DiagramBox.vue';
import DiagramWire from './DiagramWire.vue';
import WireLabel from './WireLabel.vue';
import WireFacts from './WireFacts.vue';
import { diagramOf } from './diagram.ts';
import { livenessOf } from './liveness.ts';
import { stateWords } from './terminalWords.ts';
import { useLayout } from './useLayout.ts';
import { useBoxPlaces } from './useBoxPlaces.ts';
import { useDrawing } from './useDrawing.ts';

const props = defineProps<{
  circuit: Circuit;
  shown: readonly string[];
  wired: ReadonlySet<string>;
  tasks: readonly string[];
}>();
const emit = defineEmits<{ select: [wires: readonly string[]] }>();
const state = defineModel<string>('state', { required: true });
const job = useJob();
const display = useDisplay();
const diagram = computed(() => diagramOf(props.circuit));
const { laidOut, problem } = useLayout(diagram);
const live = computed(() => livenessOf(props.circuit, state.value));
const states = computed(() =>
  Object.keys(props.circuit.states).map((id) => ({ id, name: stateWords(id).replace('Live, o', 'O') })),
);
const svg = ref<SVGSVGElement | null>(null);
const frame = ref<HTMLElement | null>(null);
/** Smaller than this its words cannot be read: on a phone, at arm's length, it is pushed sideways instead. */
const least = matchMedia('(max-width: 767px)').matches ? 1 : 0.68;
/** 0 fits the width, but never so far that the words cannot be read. */
const scale = ref(0);
const shownWidth = computed(() => {
  const room = frame.value?.clientWidth ?? 800;
  const fit = Math.max(least, Math.min(1, room / size.value.width));
  return Math.round(size.value.width * (scale.value === 0 ? fit : scale.value));
});
const ratio = computed(() => size.value.width / shownWidth.value);
const zoom = (by: number) =>
  (scale.value = Math.min(2, Math.max(0.4, (scale.value || 1 / ratio.value) * by)));
const { moved, offset, dragStart, dragOn, dragEnd, nudge, reset } = useBoxPlaces(job.id, ratio);
const { boxes, wires, labels, size, portAt } = useDrawing({
  diagram,
  laidOut,
  live,
  dark: computed(() => display.theme === 'box'),
  picked: toRef(props, 'shown'),
  open: computed(() => new Set(props.tasks.filter((id) => !props.wired.has(id)))),
  offset,
});
/** Where the drawing is wider than its frame it opens at the control: all wires lead there. */
watch([frame, laidOut, shownWidth], async () => {
  await nextTick();
  const control = boxes.value.find(({ box }) => box.kind === 'control');
  if (frame.value && control && frame.value.scrollLeft === 0)
    frame.value.scrollLeft =
      (control.x + control.box.width / 2 - size.value.left) / ratio.value - frame.value.clientWidth / 2;
});
const isMoved = computed(() => Object.keys(moved.value).length > 0);

const pickedEnd = ref<string | null>(null);
function pickWire(id: string) {
  pickedEnd.value = null;
  emit('select', props.shown.length === 1 && props.shown[0] === id ? [] : [id]);
}
function pickEnd(end: string) {
  pickedEnd.value = pickedEnd.value === end ? null : end;
  const touching = diagram.value.links.filter((l) => l.from === end || l.to === end);
  emit('select', pickedEnd.value === null ? [] : touching.map((l) => l.id));
}
const save = () => saveFile('wiring.svg', new Blob([standaloneSvg(svg.value!)], { type: 'image/svg+xml' }));
const print = () => window.print();
</script>

<template>
  <div class="flex flex-col gap-3">
    <div class="flex flex-wrap items-center gap-2 max-md:gap-1 print:hidden">
      <SegmentedControl v-model="state" class="lg:hidden" label="State shown" :options="states" />
      <span class="flex-1"></span>
      <AppButton aria-label="Smaller" @click="zoom(0.85)">−</AppButton>
      <AppButton aria-label="Larger" @click="zoom(1.18)">+</AppButton>
      <AppButton @click="scale = 0">Fit</AppButton>
      <AppButton v-if="isMoved" class="max-md:hidden" @click="reset">Lay out again</AppButton>
      <AppButton class="max-md:hidden" data-test="save-svg" @click="save">SVG</AppButton>
      <AppButton class="max-md:hidden" @click="print">Print</AppButton>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-else-if="!laidOut" class="hint" role="status">Laying out the drawing …</p>
    <p v-if="live.restless" class="problem" role="alert">
      In this state two parts switch each other without end.
    </p>
    <div ref="frame" class="overflow-x-auto">
      <svg
        v-if="laidOut"
        ref="svg"
        :width="shownWidth"
        :viewBox="`${size.left} ${size.top} ${size.width} ${size.height}`"
        role="group"
        aria-label="Wiring diagram"
        data-test="diagram"
        font-family="Barlow, sans-serif"
        class="touch-pan-x touch-pan-y select-none"
      >
        <DiagramWire
          v-for="wire in wires"
          :key="wire.link.id"
          :link="wire.link"
          :bends="wire.bends"
          :words="wire.words"
          :colour="wire.colour"
          :live="wire.live"
          :picked="wire.picked"
          :open="wire.open"
          @pick="pickWire(wire.link.id)"
        />
        <WireLabel v-for="{ id, ...label } in labels" :key="id" v-bind="label" />
        <DiagramBox
          v-for="item in boxes"
          :key="item.box.id"
          v-bind="item"
          :port-at="portAt"
          :live="live.live"
          :picked-end="pickedEnd"
          @drag-start="(event) => dragStart(item.box.id, event)"
          @drag-on="dragOn"
          @drag-end="dragEnd"
          @nudge="(x, y) => nudge(item.box.id, x, y)"
          @pick="pickEnd"
        />
      </svg>
    </div>
    <WireFacts :circuit="circuit" :shown="shown" :end="pickedEnd" :live="live" :state="state" />
  </div>
</template>
