<script setup lang="ts">
import { computed, ref } from 'vue';
import { foundSheet } from '@brine/core/record/job';
import { decode, panelOf, type SheetRow } from '@brine/core/controllers/definitions';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import FoundRow from './FoundRow.vue';
import ReadBack from './ReadBack.vue';
import ReadOverBus from './ReadOverBus.vue';
import { droppedSheet, looksLikeSheet, pastedSheet, type PastedSheet } from './pasteSheet.ts';

const job = useJob();
const session = useSession();
const problem = ref<string | null>(null);
const over = ref(false);
const readingBack = ref(false);
const canReadBack = computed(() => job.old.value !== null && panelOf(job.old.value) !== null);
const overBus = ref(false);
const hasBus = computed(() => job.old.value?.registers?.some(({ code }) => code !== undefined) ?? false);
const chooser = ref<HTMLInputElement | null>(null);
const sheet = computed(() => foundSheet(job.state.value, job.old.value));
const values = computed(() => new Map(sheet.value.map((row) => [row.code, row.value])));
const decoded = computed(() => (job.old.value ? decode(job.old.value, sheet.value) : null));
const refused = computed(() => new Map(decoded.value?.unplaced.map((u) => [u.code, u.reason])));
const known = computed(() => job.old.value?.parameters ?? []);
const strangers = computed(() => sheet.value.filter((row) => !known.value.some((p) => p.code === row.code)));

async function take(read: PastedSheet) {
  problem.value = 'problem' in read ? read.problem : null;
  if ('rows' in read) await write(read.rows);
}
/** One entry a code; rows without a code cannot be kept under one, so they are told instead of dropped. */
async function write(rows: readonly SheetRow[], over: 'bus' | null = null) {
  const usable = rows.filter((row) => row.code !== '' && row.code.length <= 40 && row.value.length <= 200);
  if (usable.length > 300) {
    problem.value = `${usable.length} rows; no control has that many codes. Expected at most 300.`;
    return;
  }
  const left = rows.filter((row) => !usable.includes(row));
  if (left.length > 0)
    problem.value = `${left.length === 1 ? 'Line' : 'Lines'} ${left.map((row) => row.line).join(', ')}: expected a code of 1 to 40 characters; the other ${usable.length} were taken.`;
  await job.write(
    ...usable
      .filter((row) => values.value.get(row.code) !== row.value)
      .map((row) => ({ kind: 'found' as const, code: row.code, value: row.value, ...(over && { over }) })),
  );
}
function pasted(event: ClipboardEvent) {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  if (!session.mayWrite || !looksLikeSheet(text)) return;
  event.preventDefault();
  void take(pastedSheet(text));
}
async function dropped(event: DragEvent) {
  over.value = false;
  const file = event.dataTransfer?.files[0];
  if (file && session.mayWrite) await take(await droppedSheet(file));
}
async function chosen(event: Event) {
  const input = event.target as HTMLInputElement;
  if (input.files?.[0]) await take(await droppedSheet(input.files[0]));
  input.value = '';
}
const found = (code: string, value: string) =>
  job.write({ kind: 'found', code, value: value === '' ? null : value });
</script>

<template>
  <div
    class="border border-transparent"
    :class="{ '!border-cold bg-band': over }"
    data-test="as-found"
    @paste="pasted"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="dropped"
  >
    <p v-if="!job.oldPin.value" class="text-soft">
      Choose the controller first: its codes then show here to be filled in, in its own units. A sheet can be
      pasted or dropped at any time.
    </p>
    <div v-if="session.mayWrite" class="my-2 flex flex-wrap items-center gap-3 text-[14px] text-soft">
      <span
        >Type below, paste a table with <code class="font-mono">code,value</code>, or drop a sheet here.</span
      >
      <input
        ref="chooser"
        type="file"
        accept=".csv,.txt,text/csv"
        class="hidden"
        data-test="sheet-file"
        @change="chosen"
      />
      <AppButton kind="quiet" @click="chooser?.click()">Choose a file</AppButton>
      <AppButton v-if="canReadBack" data-test="read-by-strokes" @click="readingBack = !readingBack">{{
        readingBack ? 'Close the keystrokes' : 'Read by keystrokes'
      }}</AppButton>
      <AppButton v-if="hasBus" data-test="read-by-bus" @click="overBus = !overBus">{{
        overBus ? 'Close the bus' : 'Read over the bus'
      }}</AppButton>
    </div>
    <ReadOverBus
      v-if="overBus && hasBus && session.mayWrite"
      :key="`bus-${job.oldPin.value?.hash}`"
      class="mb-3"
      @found="(rows) => write(rows, 'bus')"
    />
    <ReadBack
      v-if="readingBack && canReadBack && session.mayWrite"
      :key="job.oldPin.value?.hash"
      class="mb-3"
      :sheet="sheet"
      @found="found"
    />
    <FormProblem class="mb-2" :message="problem" />
    <table v-if="known.length + strangers.length > 0" class="table-plain">
      <thead>
        <tr>
          <th class="w-20">Code</th>
          <th>Meaning in its booklet</th>
          <th class="w-52">Found</th>
        </tr>
      </thead>
      <tbody>
        <FoundRow
          v-for="p in known"
          :key="p.code"
          :code="p.code"
          :parameter="p"
          :display="decoded?.display ?? null"
          :value="values.get(p.code) ?? ''"
          :problem="refused.get(p.code) ?? null"
          @found="(value) => found(p.code, value)"
        />
        <FoundRow
          v-for="row in strangers"
          :key="row.code"
          :code="row.code"
          :parameter="null"
          :display="null"
          :value="row.value"
          :problem="refused.get(row.code) ?? null"
          @found="(value) => found(row.code, value)"
        />
      </tbody>
    </table>
  </div>
</template>
