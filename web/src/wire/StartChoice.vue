<script setup lang="ts">
import { computed } from 'vue';
import { blankCircuits, typicalConversions } from '@brine/core/wiring/typical';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';

/** What the tracing begins from: a circuit such units usually have, to be corrected, or an empty cabinet. */
defineProps<{ folded?: boolean }>();
const job = useJob();
const session = useSession();
const now = computed(() => job.wiring.value.started);
const start = (conversion: string) => job.write({ kind: 'startedFrom', conversion });
</script>

<template>
  <component :is="folded ? 'details' : 'section'" aria-label="Begin from">
    <summary v-if="folded" class="link py-1">Begin from another circuit</summary>
    <h3 v-else>Begin from what such units usually have</h3>
    <p class="hint mt-1">
      Then correct it wire by wire. What was corrected stays when the beginning is changed.
    </p>
    <ul class="mt-2 border-t border-ink">
      <li v-for="c in typicalConversions" :key="c.id" class="border-b border-hairline">
        <button
          type="button"
          class="block min-h-11 w-full py-2 text-left hover:bg-band disabled:opacity-60"
          :disabled="!session.mayWrite"
          :aria-pressed="now === c.id"
          :data-start="c.id"
          @click="start(c.id)"
        >
          <span class="font-medium">{{ now === c.id ? '✓ ' : '' }}{{ c.name }}</span>
          <span class="hint block">{{ c.words }}</span>
        </button>
      </li>
    </ul>
    <h3 class="mt-4">Or from an empty cabinet</h3>
    <div class="mt-2 flex flex-wrap gap-2">
      <button
        v-for="blank in blankCircuits"
        :key="blank.id"
        type="button"
        class="min-h-9 pointer-coarse:min-h-11 rounded-md border border-edge px-3 hover:bg-band disabled:opacity-60"
        :disabled="!session.mayWrite"
        :aria-pressed="now === blank.id"
        @click="start(blank.id)"
      >
        {{ now === blank.id ? '✓ ' : '' }}{{ blank.name }}
      </button>
    </div>
  </component>
</template>
