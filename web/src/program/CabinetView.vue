<script setup lang="ts">
import { useKeys } from '../shared/keys/keyRegistry.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import CabinetCard from './CabinetCard.vue';
import CabinetTable from './CabinetTable.vue';
import { useCabinet } from './useCabinet.ts';
import { useStrokes } from './useStrokes.ts';
import { useNarrow } from './useNarrow.ts';

const cabinet = useCabinet();
const strokes = useStrokes(cabinet);
const session = useSession();
const narrow = useNarrow();
useKeys([
  { key: 'ArrowDown', label: '↓', does: 'the next code', run: () => cabinet.move(1) },
  { key: 'ArrowUp', label: '↑', does: 'the code before', run: () => cabinet.move(-1) },
  {
    key: 'Enter',
    label: 'Enter',
    does: 'this code is keyed in',
    run: () => session.mayWrite && void cabinet.keyedIn(),
  },
]);
</script>

<template>
  <CabinetCard v-if="narrow" class="min-h-full" :cabinet="cabinet" :strokes="strokes" />
  <CabinetTable v-else :cabinet="cabinet" :strokes="strokes" />
</template>
