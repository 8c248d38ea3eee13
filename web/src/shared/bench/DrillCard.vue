<script setup lang="ts">
import { computed } from 'vue';
import type { Machine } from '@brine/core/controllers/panel';
import { drillsOf } from '@brine/core/practice/drills';
import AppButton from '../ui/AppButton.vue';
import DrillGoal from './DrillGoal.vue';
import DrillMark from './DrillMark.vue';
import DrillNotebook from './DrillNotebook.vue';
import StrokeReplay from './StrokeReplay.vue';
import { drillWords } from './drillWords.ts';
import { useDrill, type DrillResult } from './useDrill.ts';
import type { LivePanel } from './useLivePanel.ts';

/** An exercise: what is asked, a hint for the next strokes, the time, the mark and one's strokes. */
const props = defineProps<{ machine: Machine; live: LivePanel }>();
const emit = defineEmits<{ finished: [result: DrillResult]; began: [] }>();
const exercise = useDrill(props.machine, props.live, (result) => emit('finished', result));
const kinds = computed(() => drillsOf(props.machine));
const { drill, mark, hints, notebook, seconds } = exercise;
</script>

<template>
  <section aria-label="Drill" class="flex flex-col gap-4">
    <div>
      <h2>Drills</h2>
      <p class="hint mt-1">Marked by what is stored at the end, and that the menu was left.</p>
      <div class="mt-3 flex flex-wrap gap-2">
        <AppButton
          v-for="kind in kinds"
          :key="kind"
          :data-test="`drill-${kind}`"
          :disabled="live.replaying.value"
          @click="(exercise.start(kind), emit('began'))"
          >{{ drillWords[kind].name }}</AppButton
        >
      </div>
    </div>
    <template v-if="drill">
      <div>
        <h3>
          {{ drillWords[drill.kind].asks }}
          <span class="ml-2 font-mono font-normal text-soft" data-test="drill-time">{{ seconds }} s</span>
        </h3>
        <DrillGoal :machine="machine" :drill="drill" :done="live.state.value.deeds" />
      </div>
      <DrillNotebook
        v-if="drill.kind === 'clearAlarms'"
        :notebook="notebook"
        :closed="mark !== null"
        @write="exercise.writeDown"
        @strike="exercise.strikeOut"
      />
      <div v-if="!mark" class="flex flex-wrap gap-2">
        <AppButton kind="primary" data-test="drill-finish" @click="exercise.finish">Finished</AppButton>
        <AppButton data-test="drill-hint" @click="exercise.hint">Show the next key presses</AppButton>
      </div>
      <ol v-if="hints.length > 0" class="list-decimal pl-5" data-test="drill-hints">
        <li v-for="(line, i) in hints" :key="i">{{ line }}</li>
      </ol>
      <DrillMark v-if="mark" :live="exercise" :mark="mark" :strokes="live.strokes.value.length" />
      <StrokeReplay
        v-if="live.strokes.value.length > 0"
        :machine="machine"
        :live="live"
        :drill="drill"
        :may-replay="mark !== null"
      />
    </template>
  </section>
</template>
