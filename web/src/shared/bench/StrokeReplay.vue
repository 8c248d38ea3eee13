<script setup lang="ts">
import { strokeSentence, type Machine } from '@brine/core/controllers/panel';
import type { Drill } from '@brine/core/practice/drills';
import AppButton from '../ui/AppButton.vue';
import type { LivePanel } from './useLivePanel.ts';
import { useReplay } from './useReplay.ts';

/** One's own strokes, with what the display showed after each, and a button that plays them on the panel again. */
const props = defineProps<{ machine: Machine; live: LivePanel; drill: Drill; mayReplay: boolean }>();
const replay = useReplay(props.live);
</script>

<template>
  <div>
    <AppButton v-if="replay.at.value !== null" data-test="replay-stop" @click="replay.stop"
      >Stop the replay</AppButton
    >
    <AppButton v-else-if="mayReplay" data-test="replay" @click="replay.play(drill, live.done.value)"
      >Replay my key presses</AppButton
    >
    <details class="mt-2" :open="replay.at.value !== null">
      <summary class="link py-1">
        Your {{ live.strokes.value.length === 1 ? 'stroke' : `${live.strokes.value.length} strokes` }}
      </summary>
      <ol class="list-decimal pl-6 text-[14px]" data-test="drill-strokes">
        <li
          v-for="(stroke, i) in live.done.value"
          :key="i"
          class="py-0.5"
          :class="{ 'bg-band font-semibold': i === replay.at.value }"
          :aria-current="i === replay.at.value ? 'step' : undefined"
        >
          {{ strokeSentence(machine.panel, { ...stroke.act, shows: stroke.shows }) }}:
          <span class="font-mono">{{ stroke.shows || 'dark' }}</span>
        </li>
      </ol>
    </details>
  </div>
</template>
