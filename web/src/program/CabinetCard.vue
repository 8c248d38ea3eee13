<script setup lang="ts">
import { useDisplay } from '../shared/display/displayStore.ts';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { choiceWords, groupTitle, printShown } from '@brine/core/record/handover';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import CautionNote from '../shared/ui/CautionNote.vue';
import ControllerDisplay from './ControllerDisplay.vue';
import DecideFirst from './DecideFirst.vue';
import GraveLosses from './GraveLosses.vue';
import LookAlikes from './LookAlikes.vue';
import StrokeList from './StrokeList.vue';
import type { Cabinet } from './useCabinet.ts';
import type { Strokes } from './useStrokes.ts';

const reader = useDisplay();
const props = defineProps<{ cabinet: Cabinet; strokes: Strokes }>();
const job = useJob();
const session = useSession();
const emit = defineEmits<{ ask: [what: 'showsElse' | 'skip'] }>();
const row = computed(() => props.cabinet.current.value);
const display = computed(() => job.program.value.display!);
const place = computed(() =>
  row.value
    ? `${props.cabinet.index.value + 1} of ${props.cabinet.rows.value.length} · ${groupTitle(row.value)} · ${row.value.code}`
    : '',
);
const setTo = computed(() =>
  row.value ? printShown(row.value.parameter, row.value.value, display.value) : '',
);
const found = computed(() =>
  row.value === null || row.value.found === null
    ? 'not known'
    : printShown(row.value.parameter, row.value.found, display.value),
);
const shows = computed(() =>
  row.value
    ? choiceWords(row.value.parameter, row.value.value)
      ? String(row.value.value)
      : setTo.value.replace(/ .*/, '')
    : '',
);
const reason = computed(() => reader.words(row.value?.reason ?? row.value?.note ?? ''));
const ticks = computed(() =>
  props.cabinet.rows.value.map((r) => ({
    code: r.code,
    look:
      r.code === row.value?.code
        ? 'bg-amber'
        : r.state === 'open'
          ? 'bg-hairline'
          : r.state === 'keyed' || r.state === 'byPreset'
            ? 'bg-brine'
            : 'bg-alarm',
  })),
);
</script>

<template>
  <div v-if="row" class="flex flex-col" data-test="cabinet-card">
    <GraveLosses class="mb-2" />
    <div class="flex gap-[3px]" aria-hidden="true">
      <span v-for="tick in ticks" :key="tick.code" class="h-1.5 flex-1 rounded-sm" :class="tick.look"></span>
    </div>
    <div class="mt-2 flex items-center justify-between text-[14px] text-soft">
      <button type="button" class="px-3" aria-label="The code before" @click="cabinet.move(-1)">‹</button>
      <span data-test="place">{{ place }}</span>
      <button type="button" class="px-3" aria-label="The next code" @click="cabinet.move(1)">›</button>
    </div>
    <h3 class="text-[24px] leading-tight">{{ row.parameter.name }}</h3>
    <dl class="mt-3 grid grid-cols-2 border border-edge bg-sheet">
      <div class="border-r border-hairline px-3 py-2">
        <dt class="hint">Found</dt>
        <dd class="font-mono text-[21px] text-soft">{{ found }}</dd>
      </div>
      <div class="px-3 py-2">
        <dt class="hint">Set to</dt>
        <dd class="font-mono text-[21px] font-semibold" data-test="set-to">{{ setTo }}</dd>
      </div>
    </dl>
    <LookAlikes class="mt-2" :cabinet="cabinet" :code="row.code" />
    <DecideFirst
      v-if="session.mayWrite && row.undecided"
      class="mt-3"
      :row="row"
      @leave="cabinet.leaveAtDefault(row)"
    />
    <StrokeList
      v-else-if="session.mayWrite && strokes.hasPanel.value"
      class="mt-2"
      :cabinet="cabinet"
      :strokes="strokes"
    />
    <div v-else class="mt-3 bg-[#17282b] px-4 py-3">
      <div class="flex items-end justify-between gap-4">
        <ControllerDisplay :text="row.code" words="at this code" />
        <ControllerDisplay :text="shows" words="then it must show" />
      </div>
    </div>
    <p v-if="row.state !== 'open'" class="mt-3 font-medium">
      {{
        row.state === 'keyed'
          ? '✓ Keyed in.'
          : row.state === 'byPreset'
            ? 'Set by the preset; nothing to key.'
            : row.state === 'skipped'
              ? `Skipped: ${row.why || 'no reason given'}.`
              : `The display showed ${row.shown}.`
      }}
      <button
        v-if="session.mayWrite && row.state !== 'byPreset'"
        type="button"
        class="link"
        @click="cabinet.reopen(row)"
      >
        Undo
      </button>
    </p>
    <p v-if="row.parameter.leaveAlone" class="mt-3 border-l-4 border-amber bg-amber-wash px-3 py-2">
      Leave alone: {{ row.parameter.leaveAlone }}
    </p>
    <p class="mt-3 text-soft">{{ reason }}</p>
    <p v-if="row.parameter.note" class="mt-1 text-[14px] text-soft">{{ row.parameter.note }}</p>
    <CautionNote class="mt-3">The unit may start by itself.</CautionNote>
    <p v-if="cabinet.allDone.value" class="mt-3 bg-good-wash px-3 py-2">
      All codes are settled. <RouterLink class="link" :to="`/jobs/${job.id}/handover`">Hand over</RouterLink>
    </p>
    <span class="flex-1"></span>
    <div
      v-if="session.mayWrite"
      class="sticky bottom-0 -mx-4 mt-4 grid grid-cols-2 gap-2 border-t border-hairline bg-sheet px-4 py-3"
    >
      <AppButton
        class="col-span-2 !min-h-14 text-[17px]"
        kind="primary"
        wide
        :disabled="row.undecided"
        data-test="keyed-in"
        @click="cabinet.keyedIn()"
        >Keyed in, next</AppButton
      >
      <AppButton class="!min-h-12" wide data-test="shows-else" @click="emit('ask', 'showsElse')"
        >Shows something else</AppButton
      >
      <AppButton class="!min-h-12" wide data-test="skip" @click="emit('ask', 'skip')"
        >Skip, say why</AppButton
      >
    </div>
  </div>
</template>
