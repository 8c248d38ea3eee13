<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue';
import type { Finding } from '@brine/core/judgement/checks';
import type { UnitDescription } from '@brine/core/foundation/unit';
import { printFixed, quantity, valueIn } from '@brine/core/foundation/quantities';
import type { SettingValues } from '@brine/core/foundation/settings';
import { useDisplay } from '../display/displayStore.ts';
import { layoutFlags } from './layoutFlags.ts';
import { ruleMarks, type RuleMark } from './ruleMarks.ts';
import { ruleStretches } from './ruleStretches.ts';
import RuleFlag from './RuleFlag.vue';
import { ruleScale } from './scaleOf.ts';

const props = defineProps<{
  values: SettingValues;
  findings: readonly Finding[];
  unit: UnitDescription | null;
  editable: boolean;
}>();
const emit = defineEmits<{ change: [values: SettingValues] }>();

/** Flags that are moved by finger stand further apart, and are larger. */
const touch = matchMedia('(pointer: coarse)').matches;
const ROW = touch ? 48 : 24;
const LETTER = 7;
const display = useDisplay();
const frame = useTemplateRef<HTMLElement>('frame');
const width = ref(1200);
const observer = new ResizeObserver(([entry]) => entry && (width.value = entry.contentRect.width));
onMounted(() => frame.value && observer.observe(frame.value));
onBeforeUnmount(() => observer.disconnect());

const inUnit = (celsius: number) => valueIn(quantity(celsius, 'degC'), display.unit);
const inCelsius = (shown: number) => valueIn(quantity(shown, display.unit), 'degC');
const marks = computed(() => ruleMarks(props.values, props.findings, props.unit?.application));
const stretches = computed(() => ruleStretches(props.values, props.unit));
/** The scale stands still while a flag is dragged: nothing jumps while you aim at it. */
const held = ref<ReturnType<typeof ruleScale> | null>(null);
const scale = computed(() => {
  const ends = stretches.value.flatMap((s) => [s.from, s.to]).filter(Number.isFinite);
  return ruleScale([...marks.value.map((m) => m.celsius), ...ends], display.unit, width.value);
});
const live = computed(() => held.value ?? scale.value);
const dragged = ref<{ id: string; celsius: number } | null>(null);
const celsiusOfMark = (mark: RuleMark) =>
  dragged.value?.id === mark.id ? dragged.value.celsius : mark.celsius;
const text = (mark: RuleMark) =>
  printFixed(
    inUnit(celsiusOfMark(mark)),
    display.unit === 'degF' && Number.isInteger(Math.round(inUnit(celsiusOfMark(mark)) * 10) / 10) ? 0 : 1,
  );

const flags = computed(() => {
  const sized = marks.value.map((mark) => {
    const letters = mark.label.length + text(mark).length + (mark.problem ? 2 : 0);
    return {
      id: mark.id,
      x: live.value(inUnit(celsiusOfMark(mark))),
      width: letters * LETTER + 26,
      side: mark.side,
    };
  });
  const byId = new Map(marks.value.map((mark) => [mark.id, mark]));
  return layoutFlags(sized, width.value).map((flag) => ({ ...flag, mark: byId.get(flag.id)! }));
});
const height = computed(() => (Math.max(0, ...flags.value.map((f) => f.row)) + 1) * ROW + 8);
const ticks = computed(() =>
  live.value.ticks(width.value > 700 ? 60 : 30).map((t) => ({ t, x: live.value(t) })),
);
const labels = computed(() =>
  live.value
    .ticks(width.value > 700 ? 12 : 5)
    .map((t) => ({ text: String(t).replace('-', '−'), x: live.value(t) })),
);
const clipped = (celsius: number) =>
  Math.min(
    Math.max(Number.isFinite(celsius) ? live.value(inUnit(celsius)) : celsius < 0 ? 0 : width.value, 0),
    width.value,
  );
const bars = computed(() =>
  stretches.value.map((s) => ({
    ...s,
    left: clipped(s.from),
    width: Math.max(clipped(s.to) - clipped(s.from), 2),
  })),
);
/** A range of less is a single point, K. */
const SAME_K = 0.05;
const legend = computed(() =>
  stretches.value
    .filter((s) => s.kind !== 'band')
    .map((s) =>
      s.kind === 'user'
        ? s.to - s.from < SAME_K
          ? `User cannot turn it: ${printFixed(inUnit(s.to), 0)}`
          : `${s.label} from ${printFixed(inUnit(s.from), 0)} to ${printFixed(inUnit(s.to), 0)}`
        : `${s.label} than ${printFixed(inUnit(s.kind === 'tooWarm' ? s.from : s.to), 1)}`,
    ),
);
const look = { user: 'user-range', band: 'bg-cold', tooWarm: 'hatch-warm', tooCold: 'hatch-cold' } as const;

function move(mark: RuleMark, shown: number, done: boolean) {
  const celsius = inCelsius(shown);
  if (!done) {
    held.value ??= scale.value;
    dragged.value = { id: mark.id, celsius };
    return;
  }
  held.value = null;
  dragged.value = null;
  emit('change', mark.move(celsius, display.unit));
}
</script>

<template>
  <section aria-label="The rule" class="px-4 pt-3 pb-2 sm:px-10" data-test="rule">
    <div ref="frame" class="relative select-none">
      <div class="relative" :style="{ height: `${height}px` }">
        <RuleFlag
          v-for="flag in flags"
          :key="flag.id"
          :mark="flag.mark"
          :text="text(flag.mark)"
          :shown="inUnit(celsiusOfMark(flag.mark))"
          :x="flag.x"
          :left="flag.left"
          :width="flag.width"
          :top="height - (flag.row + 1) * ROW - 6"
          :foot="height"
          :tall="touch ? 44 : 21"
          :editable="editable"
          :per-pixel="1 / (live(1) - live(0))"
          @move="(shown, done) => move(flag.mark, shown, done)"
          @cancel="((dragged = null), (held = null))"
        />
      </div>
      <div class="relative h-3.5 border-t-2 border-ink bg-sheet">
        <span
          v-for="bar in bars"
          :key="bar.id"
          class="absolute top-0 h-full"
          :class="look[bar.kind]"
          :style="{ left: `${bar.left}px`, width: `${bar.width}px` }"
        ></span>
      </div>
      <svg class="block w-full overflow-visible" :height="30" :viewBox="`0 0 ${width} 30`" aria-hidden="true">
        <line
          v-for="tick in ticks"
          :key="tick.t"
          :x1="tick.x"
          :x2="tick.x"
          y1="0"
          y2="5"
          stroke="var(--color-edge)"
        />
        <g v-for="label in labels" :key="label.text">
          <line :x1="label.x" :x2="label.x" y1="0" y2="10" stroke="var(--color-ink)" stroke-width="1.5" />
          <text :x="label.x" y="25" text-anchor="middle" class="fill-ink font-mono text-[13px]">
            {{ label.text }}
          </text>
        </g>
      </svg>
    </div>
    <p class="mt-1 flex flex-wrap gap-x-8 text-[13.5px] text-soft">
      <span v-for="line in legend" :key="line">{{ line }} {{ display.symbol }}</span>
      <span v-if="editable" class="ml-auto hidden md:inline"
        >Drag a flag, step it with the arrow keys, or type a number on it.</span
      >
    </p>
  </section>
</template>

<style scoped>
.user-range {
  top: auto !important;
  bottom: 0;
  height: 5px;
  background: var(--color-soft);
}
.hatch-warm {
  background: repeating-linear-gradient(
    135deg,
    var(--color-alarm-wash) 0 5px,
    color-mix(in srgb, var(--color-alarm) 45%, transparent) 5px 6.5px
  );
}
.hatch-cold {
  background: repeating-linear-gradient(
    45deg,
    var(--color-sheet) 0 5px,
    color-mix(in srgb, var(--color-cold) 55%, transparent) 5px 6.5px
  );
}
</style>
