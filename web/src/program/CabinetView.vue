<script setup lang="ts">
import { ref } from 'vue';
import { useJob } from '../shared/job/useJob.ts';
import { useKeys } from '../shared/keys/keyRegistry.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import CabinetCard from './CabinetCard.vue';
import CabinetTable from './CabinetTable.vue';
import SayDialog from './SayDialog.vue';
import { useCabinet } from './useCabinet.ts';
import { useStrokes } from './useStrokes.ts';
import { useNarrow } from '../shared/ui/useNarrow.ts';

// The dialog stands beside the list: what the station says of the layout belongs to the list.
defineOptions({ inheritAttrs: false });
const job = useJob();
const cabinet = useCabinet();
const strokes = useStrokes(cabinet);
const session = useSession();
const narrow = useNarrow();
const asking = ref<'showsElse' | 'skip' | null>(null);
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
  <CabinetCard
    v-if="narrow"
    v-bind="$attrs"
    class="min-h-full"
    :cabinet="cabinet"
    :strokes="strokes"
    @ask="(what) => (asking = what)"
  />
  <CabinetTable
    v-else
    v-bind="$attrs"
    :cabinet="cabinet"
    :strokes="strokes"
    @ask="(what) => (asking = what)"
  />
  <SayDialog
    v-if="asking && cabinet.current.value"
    :asking="asking"
    :row="cabinet.current.value"
    :display="job.program.value.display!"
    @close="asking = null"
    @shows-else="cabinet.showsElse"
    @leave-at="cabinet.leaveAt"
    @skip="cabinet.skip"
  />
</template>
