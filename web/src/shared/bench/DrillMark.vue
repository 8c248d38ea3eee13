<script setup lang="ts">
import type { Mark } from '@brine/core/practice/drills';
import type { LiveDrill } from './useDrill.ts';

/** The mark of a drill: what is right, what stands otherwise, how many strokes it took. */
defineProps<{ live: LiveDrill; mark: Mark; strokes: number }>();
</script>

<template>
  <div
    class="border-l-4 px-3 py-2"
    :class="mark.passed ? 'border-good bg-good-wash' : 'border-alarm bg-alarm-wash'"
    role="status"
    data-test="drill-mark"
  >
    <p class="font-semibold">
      {{ mark.passed ? `✓ All right, in ${live.seconds.value} s` : '✗ Not yet' }}
      <template v-if="mark.passed"
        >with {{ strokes }} strokes; {{ live.fewest.value }} would do<template v-if="live.hinted.value > 0"
          >, {{ live.hinted.value }} {{ live.hinted.value === 1 ? 'hint' : 'hints' }}</template
        >.</template
      >
    </p>
    <p v-for="w in mark.wrong" :key="w.code">
      {{ w.code }} stands at <span class="font-mono">{{ w.stored }}</span>, expected
      <span class="font-mono">{{ w.wanted }}</span>.
    </p>
    <p v-for="fault in mark.faults" :key="fault">{{ fault }}</p>
    <p v-if="!mark.atRest">The menu is still open: leave it, or a time-out may drop what was set.</p>
  </div>
</template>
