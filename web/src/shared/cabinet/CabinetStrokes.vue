<script setup lang="ts">
import { ref, watch } from 'vue';
import type { CabinetStroke } from './cabinetStroke.ts';

/** The strokes at arm's length: the one to do is bright, those done fade. A touch on one says that it and those above are done. */
const props = defineProps<{ lines: readonly CabinetStroke[] }>();
defineEmits<{ pressed: [] }>();
const done = ref(0);
watch(
  () => props.lines.map((line) => `${line.before}${line.keys.join()}${line.after}`).join('|'),
  () => (done.value = 0),
);
</script>

<template>
  <ol data-test="strokes">
    <li v-for="(line, i) in lines" :key="i">
      <button
        type="button"
        class="flex min-h-13 w-full items-center gap-3 py-0.5 text-left text-[19px]"
        :class="i < done ? 'opacity-45' : ''"
        :aria-pressed="i < done"
        @click="
          done = i < done ? i : i + 1;
          $emit('pressed');
        "
      >
        <span v-if="line.before" class="text-soft">{{ line.before }}</span>
        <kbd
          v-for="key in line.keys"
          :key="key"
          class="inline-grid min-h-11 min-w-12 shrink-0 place-items-center rounded-md border-2 border-b-4 px-2 font-sans text-[18px] font-semibold"
          :class="i === done ? 'border-ink bg-sheet' : 'border-edge'"
          >{{ key }}</kbd
        >
        <span class="min-w-0 flex-1" :class="{ 'font-medium': i === done }">{{ line.after }}</span>
        <span v-if="line.shows !== null" class="font-mono text-[19px] whitespace-nowrap text-soft">{{
          line.shows
        }}</span>
      </button>
      <p v-if="line.say" class="-mt-1 mb-1 text-[15px] text-soft">{{ line.say }}</p>
    </li>
  </ol>
</template>
