<script setup lang="ts">
import { ref, watch } from 'vue';
import { useWritingUnderWay } from '../shared/bus/useBusWriting.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useKeys } from '../shared/keys/keyRegistry.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import CabinetList from './CabinetList.vue';
import CabinetMode from './CabinetMode.vue';
import CabinetTable from './CabinetTable.vue';
import { useDrawn } from '../shared/ui/useDrawn.ts';
import { useInterrupted } from './interrupted/useInterrupted.ts';
import WhatWasKept from './interrupted/WhatWasKept.vue';
import ShowsElse from './ShowsElse.vue';
import WriteOverBus from './bus/WriteOverBus.vue';
import { useCabinet } from './useCabinet.ts';
import { useStrokes } from './useStrokes.ts';
import { useNarrow } from '../shared/ui/useNarrow.ts';

// The dialogs stand beside the list: what the station says of the layout belongs to the list.
defineOptions({ inheritAttrs: false });
const job = useJob();
const session = useSession();
const cabinet = useCabinet();
const strokes = useStrokes(cabinet);
const interrupted = useInterrupted(cabinet);
const narrow = useNarrow();
/** On a phone the cabinet is what one came for. */
const mode = ref(narrow.value);
/** The list lies behind the present code: it comes once that stands. */
const drawn = useDrawn(() => cabinet.current.value !== null);
/** The display shows something else than it must; or the code is left out. */
const asking = ref(false);
/** Values go over the control’s bus, where it has one. */
const writing = ref(useWritingUnderWay().value[job.id] !== undefined && session.mayWrite);
// What others keyed is known once the job is here.
watch(job.loaded, (here) => here && session.mayWrite && void interrupted.look(), { immediate: true });
/** The menu has closed: where it drops what was not saved, that is asked after. */
function atRest() {
  strokes.standAt(null);
  void interrupted.look(true);
}
function open(code: string | null) {
  if (code !== null) cabinet.goTo(code);
  mode.value = true;
}
useKeys([
  { key: 'ArrowDown', label: '↓', does: 'the next code', run: () => cabinet.move(1) },
  { key: 'ArrowUp', label: '↑', does: 'the code before', run: () => cabinet.move(-1) },
  {
    key: 'Enter',
    label: 'Enter',
    does: 'this code is keyed in',
    run: () => session.mayWrite && void cabinet.keyedIn(),
  },
  {
    key: 'm',
    label: 'm',
    does: 'cabinet mode: the present code alone, at arm’s length',
    run: () => open(null),
  },
]);
</script>

<template>
  <CabinetList
    v-if="narrow && (drawn || !mode)"
    v-bind="$attrs"
    :cabinet="cabinet"
    :interrupted="interrupted"
    @open="open"
    @bus="writing = true"
  />
  <CabinetTable
    v-else-if="!narrow"
    v-bind="$attrs"
    :cabinet="cabinet"
    :strokes="strokes"
    :interrupted="interrupted"
    @ask="asking = true"
    @mode="open(null)"
    @bus="writing = true"
    @at-rest="atRest"
  />
  <CabinetMode
    v-if="mode && !interrupted.isOpen.value"
    :cabinet="cabinet"
    :strokes="strokes"
    :interrupted="interrupted"
    @ask="asking = true"
    @closed="atRest"
    @close="mode = false"
  />
  <WhatWasKept v-if="interrupted.isOpen.value" :interrupted="interrupted" @taken="strokes.standAt" />
  <WriteOverBus v-if="writing" @close="writing = false" />
  <ShowsElse
    v-if="asking && cabinet.current.value"
    :row="cabinet.current.value"
    :rows="cabinet.rows.value"
    :display="job.program.value.display!"
    @close="asking = false"
    @stand-at="(code) => (code === null ? atRest() : strokes.standAt(code))"
    @find-out="interrupted.begin()"
    @shows-value="(value) => strokes.showsValue(cabinet.current.value!.code, value)"
    @stays="cabinet.showsElse"
    @leave-at="cabinet.leaveAt"
    @skip="cabinet.skip"
  />
</template>
