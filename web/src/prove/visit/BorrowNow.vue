<script setup lang="ts">
import { computed } from 'vue';
import { borrowedId, borrowedProbe, type Borrowed } from '@brine/core/judgement/leaving';
import { movedCode } from '@brine/core/record/job';
import { settingOf } from '@brine/core/foundation/settings';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import { shownCode } from '../../shared/visit/borrowedWords.ts';
import { movedStrokes } from '../../shared/visit/movedStrokes.ts';

/** One thing that is borrowed for a proof: what it is moved to, by which keys, and that it is out from now on. */
const props = defineProps<{ thing: Borrowed; tests: readonly string[] }>();
const job = useJob();
const session = useSession();
const display = useDisplay();
const moved = computed(() => {
  const { thing } = props;
  const definition = job.replacement.value;
  if (thing.kind !== 'value' || !definition) return null;
  const code = movedCode(job.program.value, definition, thing.setting, thing.to);
  const shows = job.program.value.display;
  if (!code || !shows) return null;
  const { row, value } = code;
  return {
    code: row.code,
    name: settingOf(thing.setting).label,
    from: shownCode(row.parameter, row.value, shows),
    to: shownCode(row.parameter, value, shows),
    ...movedStrokes(job, row.code, row.value, value),
  };
});
const out = computed(() =>
  job.work.value.items.some(({ kind, id }) => kind === 'borrowed' && id === borrowedId(props.thing)),
);
const lend = () =>
  job.write({
    kind: 'borrowed',
    id: borrowedId(props.thing),
    setting: props.thing.kind === 'value' ? props.thing.setting : null,
    to: props.thing.kind === 'value' ? props.thing.to : null,
    tests: [...props.tests],
    since: new Date().toISOString(),
    shown: '',
  });
</script>

<template>
  <div class="border-l-4 border-amber bg-amber-wash px-3 py-2" :data-borrow="borrowedId(thing)">
    <p v-if="thing.kind === 'probe'">
      Borrowed: the {{ borrowedProbe(borrowedId(thing)) }} is out of its place meanwhile.
    </p>
    <template v-else-if="moved">
      <p>
        Borrowed: {{ moved.name }}, code <span class="font-mono font-semibold">{{ moved.code }}</span>, shows
        <span class="font-mono">{{ moved.to }}</span> instead of
        <span class="font-mono">{{ moved.from }}</span>.
      </p>
      <p v-if="moved.problem" class="hint">No keystrokes: {{ moved.problem }}.</p>
      <ol v-else class="mt-1 list-decimal pl-6 text-[14.5px]">
        <li v-for="(line, i) in moved.lines" :key="i">{{ line }}</li>
      </ol>
    </template>
    <p v-else>Borrowed: {{ display.showSetting(thing.setting, thing.to) }}.</p>
    <AppButton v-if="session.mayWrite && !out" class="mt-2" data-test="lend" @click="lend">{{
      thing.kind === 'probe' ? 'It is out of its place' : 'It is moved'
    }}</AppButton>
    <p v-else-if="out" class="mt-1 font-semibold" role="status">Out now. It stands above until it is back.</p>
  </div>
</template>
