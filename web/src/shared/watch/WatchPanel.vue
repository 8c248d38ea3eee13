<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { X } from '@lucide/vue';
import { stopwatch } from '../display/localTime.ts';
import { useNow } from '../job/useNow.ts';
import LampList from './LampList.vue';
import { useWatch } from './watchStore.ts';
import { whyWords } from './watchWords.ts';

/** What the camera sees and reads, with the digits framed in the picture; a touch on a lamp there adds it. */
const watching = useWatch();
const now = useNow();
const canvas = ref<HTMLCanvasElement | null>(null);
const size = ref({ width: 4, height: 3 });
const answer = computed(() => watching.answer);

function redraw() {
  const { picture } = watching;
  if (!canvas.value || picture.width === 0) return;
  if (canvas.value.width !== picture.width || canvas.value.height !== picture.height) {
    canvas.value.width = picture.width;
    canvas.value.height = picture.height;
    size.value = { width: picture.width, height: picture.height };
  }
  canvas.value.getContext('2d')?.drawImage(picture, 0, 0);
}
watch(answer, redraw, { flush: 'post' });
onMounted(redraw);

const frame = computed(() => {
  const corners = answer.value?.corners;
  if (!corners) return '';
  const points: string[] = [];
  for (let i = 0; i < corners.length; i += 2) points.push(`${corners[i]},${corners[i + 1]}`);
  return points.join(' ');
});
const words = computed(() => {
  if (watching.state === 'starting') return 'Opening the camera …';
  if (answer.value === null) return 'Looking for the display …';
  if (answer.value.text !== null) return '';
  return answer.value.why ? whyWords[answer.value.why] : 'Reading …';
});
/** The face has capitals and a few signs. */
const shown = computed(() => answer.value?.text?.toUpperCase() ?? '');
const since = computed(() => {
  const last = watching.texts.at(-1);
  return last && last.text === answer.value?.text ? stopwatch(Math.max(0, (now.value - last.at) / 1000)) : '';
});
function touch(event: MouseEvent) {
  const box = canvas.value!.getBoundingClientRect();
  const x = ((event.clientX - box.left) / box.width) * size.value.width;
  const y = ((event.clientY - box.top) / box.height) * size.value.height;
  if (answer.value?.corners) watching.addLamp(x, y, `lamp ${watching.lamps.length + 1}`);
}
</script>

<template>
  <section
    class="sticky top-0 z-20 shrink-0 bg-[#0d1b1d] px-3 py-2 text-[#e8eeec] print:hidden"
    aria-label="The phone watches the display"
    data-test="watch-panel"
  >
    <div class="mx-auto flex max-w-4xl gap-3">
      <div class="relative w-40 shrink-0 self-start sm:w-52">
        <canvas
          ref="canvas"
          class="block w-full cursor-crosshair bg-black"
          data-test="watch-picture"
          @click="touch"
        ></canvas>
        <svg
          v-if="answer"
          class="pointer-events-none absolute inset-0 h-full w-full"
          :viewBox="`0 0 ${size.width} ${size.height}`"
          aria-hidden="true"
        >
          <polygon
            :points="frame"
            fill="none"
            stroke-width="4"
            :stroke="answer.text === null ? '#f2b94c' : '#8fd69c'"
            :stroke-dasharray="answer.text === null ? '10 8' : undefined"
          />
          <circle
            v-for="lamp in answer.lampsAt"
            :key="lamp.id"
            :cx="lamp.x"
            :cy="lamp.y"
            r="12"
            fill="none"
            stroke="#6cc1ea"
            stroke-width="4"
          />
        </svg>
      </div>
      <div class="flex min-w-0 flex-1 flex-col gap-1">
        <div class="flex items-start gap-2">
          <div class="min-w-0 flex-1" aria-live="polite">
            <p
              v-if="shown"
              class="font-display text-[34px] leading-tight text-[#ffb347]"
              :aria-label="`It shows ${shown}`"
              data-test="watch-text"
            >
              {{ shown }}
            </p>
            <p v-if="shown && since" class="text-[13.5px] text-[#b5c1c2]">for {{ since }}</p>
            <p v-if="words" class="text-[14.5px]" role="status" data-test="watch-words">{{ words }}</p>
          </div>
          <button
            type="button"
            class="grid size-11 shrink-0 place-items-center"
            aria-label="Stop watching the display"
            data-test="watch-stop"
            @click="watching.stop()"
          >
            <X :size="20" />
          </button>
        </div>
        <LampList />
        <div class="mt-auto flex flex-wrap items-center gap-x-3 text-[13px] text-[#b5c1c2]">
          <button
            type="button"
            class="min-h-9 pointer-coarse:min-h-11 rounded border border-[#86999c] px-3 text-[14px] text-white"
            :aria-pressed="watching.zoom === 2"
            @click="watching.zoom = watching.zoom === 1 ? 2 : 1"
          >
            {{ watching.zoom === 1 ? '2× nearer' : '1× whole picture' }}
          </button>
          <span class="max-sm:hidden">Touch a lamp in the picture to watch it too.</span>
          <span>No picture leaves this device.</span>
        </div>
      </div>
    </div>
  </section>
</template>
