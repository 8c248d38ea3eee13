<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { JobPicture } from '@brine/core/record/job';
import AppButton from '../shared/ui/AppButton.vue';

const props = defineProps<{
  picture: JobPicture;
  wires: readonly { readonly id: string; readonly words: string }[];
  editable: boolean;
  source: (id: string) => Promise<string>;
  shown?: readonly string[];
}>();
const emit = defineEmits<{ change: [picture: JobPicture] }>();
const url = ref('');
watch(
  () => props.picture.id,
  async (id) => {
    const found = await props.source(id);
    // Another one may have been turned to meanwhile.
    if (id === props.picture.id) url.value = found;
  },
  { immediate: true },
);
/** A mark on its way: placed, its wire not chosen yet. */
const fresh = ref<{ x: number; y: number } | null>(null);
const marks = computed(() =>
  props.picture.points.map((point, i) => ({
    ...point,
    number: i + 1,
    words: props.wires.find((w) => w.id === point.wire)?.words ?? point.text ?? '',
    style: { left: `${point.x * 100}%`, top: `${point.y * 100}%` },
    lit: point.wire !== null && (props.shown ?? []).includes(point.wire),
  })),
);
const freshStyle = computed(() =>
  fresh.value ? { left: `${fresh.value.x * 100}%`, top: `${fresh.value.y * 100}%` } : {},
);
const caption = computed(() => props.picture.caption || 'Picture of the cabinet');
function place(event: MouseEvent) {
  if (!props.editable) return;
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
  fresh.value = {
    x: Math.min(1, Math.max(0, (event.clientX - box.left) / box.width)),
    y: Math.min(1, Math.max(0, (event.clientY - box.top) / box.height)),
  };
}
const change = (changes: Partial<JobPicture>) => emit('change', { ...props.picture, ...changes });
function tie(wire: string) {
  if (!fresh.value) return;
  change({ points: [...props.picture.points, { ...fresh.value, wire: wire || null, text: '' }] });
  fresh.value = null;
}
const drop = (at: number) => change({ points: props.picture.points.filter((_, i) => i !== at) });
</script>

<template>
  <li :data-picture="picture.id">
    <div class="relative w-full border border-edge" @click="place">
      <img
        v-if="url"
        :src="url"
        :alt="caption"
        :width="picture.width"
        :height="picture.height"
        class="block h-auto w-full"
      />
      <span
        v-for="mark in marks"
        :key="mark.number"
        class="absolute grid size-6 -translate-x-1/2 -translate-y-1/2 place-items-center rounded-full border-2 border-white text-[12px] font-semibold"
        :class="mark.lit ? 'bg-amber text-[#17282b]' : 'bg-[#0f4c4a] text-white'"
        :style="mark.style"
        >{{ mark.number }}</span
      >
      <span
        v-if="fresh"
        class="absolute size-6 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-white bg-amber"
        :style="freshStyle"
      ></span>
    </div>
    <label v-if="fresh" class="mt-1 flex flex-wrap items-center gap-2"
      >Which wire is it?
      <select data-test="mark-wire" @change="tie(($event.target as HTMLSelectElement).value)">
        <option value="">choose a wire</option>
        <option v-for="wire in wires" :key="wire.id" :value="wire.id">{{ wire.words }}</option>
      </select>
      <AppButton kind="quiet" @click="fresh = null">No mark</AppButton>
    </label>
    <ol v-if="marks.length > 0" class="mt-1 flex flex-wrap gap-x-4">
      <li v-for="mark in marks" :key="mark.number" class="flex items-center gap-1">
        <strong class="font-semibold">{{ mark.number }}</strong> {{ mark.words }}
        <AppButton
          v-if="editable"
          kind="quiet"
          class="!min-h-6 !px-1"
          :aria-label="`Take mark ${mark.number} off`"
          @click="drop(mark.number - 1)"
          >✕</AppButton
        >
      </li>
    </ol>
    <div v-if="editable" class="mt-1 flex items-center gap-2">
      <input
        class="min-w-0 flex-1"
        maxlength="120"
        placeholder="What it shows"
        aria-label="What the picture shows"
        :value="picture.caption"
        @change="change({ caption: ($event.target as HTMLInputElement).value })"
      />
      <AppButton kind="quiet" class="!px-1.5" @click="change({ gone: true })">Remove</AppButton>
    </div>
    <p v-else class="hint">{{ picture.caption }}</p>
  </li>
</template>
