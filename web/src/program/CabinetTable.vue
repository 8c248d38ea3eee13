<script setup lang="ts">
import { computed, nextTick, watch } from 'vue';
import { groupTitle, printShown } from '@brine/core/record/handover';
import type { ProgramRow } from '@brine/core/record/job';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import CabinetRow from './CabinetRow.vue';
import DecideFirst from './DecideFirst.vue';
import GraveLosses from './GraveLosses.vue';
import BrokenOffLine from './interrupted/BrokenOffLine.vue';
import type { Interrupted } from './interrupted/useInterrupted.ts';
import LookAlikes from './LookAlikes.vue';
import StrokeList from './StrokeList.vue';
import type { Cabinet } from './useCabinet.ts';
import type { Strokes } from './useStrokes.ts';

const props = defineProps<{ cabinet: Cabinet; strokes: Strokes; interrupted: Interrupted }>();
const job = useJob();
const session = useSession();
const emit = defineEmits<{ ask: []; mode: []; atRest: []; bus: [] }>();
const hasBus = computed(() => job.replacement.value?.registers?.some(({ writable }) => writable) ?? false);
const display = computed(() => job.program.value.display!);
const groups = computed(() => {
  const list: { title: string; rows: ProgramRow[] }[] = [];
  for (const row of props.cabinet.rows.value) {
    const title = groupTitle(row);
    if (list.at(-1)?.title === title) list.at(-1)!.rows.push(row);
    else list.push({ title, rows: [row] });
  }
  return list.map((group, i) => ({ ...group, key: `${group.title}-${i}` }));
});
const current = computed(() => props.cabinet.current.value);
watch(current, show, { immediate: true });
async function show(row: ProgramRow | null) {
  await nextTick();
  document
    .querySelector(`[data-code="${CSS.escape(row?.code ?? '')}"]`)
    ?.scrollIntoView({ block: 'nearest' });
}
</script>

<template>
  <div class="flex flex-col">
    <BrokenOffLine class="mb-2" :interrupted="interrupted" />
    <GraveLosses class="mb-2" />
    <div class="flex-1 lg:min-h-0 lg:overflow-auto" tabindex="0" role="region" aria-label="Codes to key in">
      <table class="table-plain" data-test="cabinet">
        <thead>
          <tr>
            <th class="w-10"><span class="sr-only">Done</span></th>
            <th class="w-20">Code</th>
            <th>Meaning</th>
            <th class="w-36 !text-right">Found</th>
            <th class="w-44 !text-right">Set to</th>
          </tr>
        </thead>
        <tbody v-for="group in groups" :key="group.key">
          <tr>
            <th
              colspan="5"
              scope="rowgroup"
              class="!border-hairline bg-band !px-2 !text-[14px] !font-semibold !text-ink"
            >
              {{ group.title }}
            </th>
          </tr>
          <CabinetRow
            v-for="row in group.rows"
            :key="row.code"
            :row="row"
            :display="display"
            :current="row.code === current?.code"
            :may-write="session.mayWrite"
            @choose="cabinet.goTo(row.code)"
            @tick="
              row.undecided
                ? cabinet.goTo(row.code)
                : row.state === 'open' || row.state === 'byPreset'
                  ? cabinet.keyedIn(row)
                  : cabinet.reopen(row)
            "
          />
        </tbody>
      </table>
    </div>
    <LookAlikes
      v-if="current"
      class="border-t border-hairline pt-2"
      :cabinet="cabinet"
      :code="current.code"
    />
    <DecideFirst
      v-if="session.mayWrite && current?.undecided"
      :row="current"
      @leave="cabinet.leaveAtDefault(current)"
    />
    <StrokeList
      v-else-if="session.mayWrite && current"
      class="border-t border-hairline pt-2.5"
      compact
      :cabinet="cabinet"
      :strokes="strokes"
      @at-rest="emit('atRest')"
    />
    <div
      v-if="session.mayWrite && current"
      class="sticky bottom-0 flex flex-wrap items-center gap-3 border-t border-hairline bg-paper py-2.5"
    >
      <AppButton kind="primary" data-test="keyed-in" :disabled="current.undecided" @click="cabinet.keyedIn()"
        >Keyed in
        <span class="font-mono"
          >{{ current.code }} {{ printShown(current.parameter, current.value, display) }}</span
        >
        · Enter</AppButton
      >
      <AppButton data-test="shows-else" @click="emit('ask')">Shows something else, or skip</AppButton>
      <AppButton v-if="hasBus" data-test="write-by-bus" @click="emit('bus')">Write over the bus</AppButton>
      <span class="flex-1"></span>
      <AppButton kind="quiet" data-test="open-mode" @click="emit('mode')">Cabinet mode · m</AppButton>
    </div>
  </div>
</template>
