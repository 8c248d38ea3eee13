<script setup lang="ts">
import { computed, ref } from 'vue';
import { type AddressCount, type RegisterDraft, type RegisterRole } from '@brine/core/controllers/suggest';
import FormProblem from '../../shared/ui/FormProblem.vue';
import SegmentedControl from '../../shared/ui/SegmentedControl.vue';
import RegisterLine from './RegisterLine.vue';
import AsideLines from '../table/AsideLines.vue';
import ColumnRoles from '../table/ColumnRoles.vue';
import TrialBox from './TrialBox.vue';
import { useTrial } from './useTrial.ts';
import type { WritesRegisters } from './writesRegisters.ts';

/** The booklet's register table, where the control has a bus: pasted, read, put right, and tried on a real device. */
const props = defineProps<{ live: WritesRegisters }>();
const written = computed(() => props.live.writing.value.registers);
const drafted = computed(() => props.live.registers.value);
const trial = useTrial(props.live);
const show = ref<'all' | 'look'>('all');
const look = computed(() =>
  drafted.value.rows.filter(
    (row) => row.doubts.length > 0 || row.problems.length > 0 || triedOf(row)?.fits === false,
  ),
);
const shown = computed(() => (show.value === 'all' ? drafted.value.rows : look.value));
const options = computed(() => [
  { id: 'all' as const, name: `All ${drafted.value.rows.length}` },
  { id: 'look' as const, name: `To check ${look.value.length}` },
]);
const roleWords: Readonly<Record<RegisterRole, string>> = {
  address: 'address',
  function: 'function or table',
  code: 'code',
  description: 'description',
  type: 'type',
  scale: 'scale',
  decimals: 'decimals',
  unit: 'unit',
  access: 'read or written',
  left: 'not read',
};
const counts: readonly (readonly [AddressCount, string])[] = [
  ['usual', 'not said: 40017 from 1, all others taken from 0'],
  ['fromZero', 'as they go over the wire, from 0'],
  ['fromOne', 'from 1'],
];
const value = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value;
const triedOf = (row: RegisterDraft) => (row.register && trial.judged.value?.rows.get(row.register)) ?? null;
const check = (part: Partial<typeof written.value.check>) =>
  props.live.writeRegisters({ check: { ...written.value.check, ...part } });
</script>

<template>
  <section aria-label="Registers" class="flex flex-col gap-4" data-test="registers">
    <div>
      <h2 class="text-[17px]">Registers</h2>
      <p class="hint max-w-3xl">
        Only where the control has a serial bus that speaks Modbus: its values are then read as found and
        written over the bus. Without one, go on.
      </p>
      <label class="mt-3 flex flex-col gap-1"
        ><span class="field-label">The booklet’s register table</span>
        <textarea
          class="h-32 font-mono text-[13px]"
          :value="written.text"
          placeholder="40017&#9;SP&#9;Set point&#9;INT16&#9;0.1&#9;°C&#9;R/W"
          spellcheck="false"
          data-test="paste-registers"
          @input="live.writeRegisters({ text: value($event), roles: null })"
        ></textarea>
      </label>
      <FormProblem class="mt-2" :message="written.text.trim() === '' ? null : drafted.table.problem" />
      <ColumnRoles
        class="mt-3"
        :roles="drafted.table.roles"
        :words="roleWords"
        @change="(roles) => live.writeRegisters({ roles })"
      />
      <AsideLines class="mt-2" :lines="drafted.table.aside" row="register" />
    </div>
    <template v-if="drafted.rows.length > 0">
      <label class="flex max-w-xl flex-col gap-1"
        ><span class="field-label">Addresses in it count</span>
        <select
          :value="written.count"
          data-test="register-count"
          @change="live.writeRegisters({ count: value($event) as AddressCount })"
        >
          <option v-for="[id, words] in counts" :key="id" :value="id">{{ words }}</option>
        </select>
        <span v-if="drafted.noCount" class="text-[14px]" data-test="register-no-count"
          >? Whether plain addresses count from 0 or from 1 is not said: try them, or say it. Until then they
          are only read.</span
        ></label
      >
      <label v-if="drafted.noTable || written.table !== null" class="flex max-w-xl flex-col gap-1"
        ><span class="field-label">Where the booklet does not say it, they stand among the</span>
        <select
          :value="written.table ?? ''"
          data-test="register-table"
          @change="
            live.writeRegisters({ table: value($event) === '' ? null : (Number(value($event)) as 3 | 4) })
          "
        >
          <option value="">not said: taken as holding registers, only read</option>
          <option :value="3">holding registers</option>
          <option :value="4">input registers</option>
        </select></label
      >
      <fieldset class="flex flex-wrap items-end gap-3">
        <legend class="field-label">A register by which this control is told from others on a line</legend>
        <label class="flex flex-col gap-1"
          ><span class="hint">Table</span>
          <select
            :value="written.check.function"
            @change="check({ function: Number(value($event)) as 3 | 4 })"
          >
            <option :value="3">Holding register</option>
            <option :value="4">Input register</option>
          </select></label
        >
        <label class="flex flex-col gap-1"
          ><span class="hint">Address, from 0</span
          ><input
            class="w-28 font-mono"
            :value="written.check.address"
            data-test="check-address"
            @input="check({ address: value($event) })"
        /></label>
        <label class="flex flex-col gap-1"
          ><span class="hint">holds always</span
          ><input
            class="w-28 font-mono"
            :value="written.check.equals"
            data-test="check-equals"
            @input="check({ equals: value($event) })"
        /></label>
      </fieldset>
      <TrialBox :live="live" :trial="trial" />
      <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
        <SegmentedControl v-model="show" label="Registers shown" :options="options" />
        <p class="text-soft" role="status" data-test="register-words">
          {{ drafted.registers.filter(({ code }) => code !== undefined).length }} codes and
          {{ drafted.registers.filter(({ reading }) => reading !== undefined).length }} readings;
          {{ drafted.registers.filter(({ writable }) => writable).length }} may be written. What is in doubt
          is only read.
        </p>
      </div>
      <div class="md:overflow-x-auto">
        <table class="table-plain w-full max-md:block md:min-w-[50rem]">
          <thead class="max-md:hidden">
            <tr>
              <th class="w-24">Address</th>
              <th>In the booklet</th>
              <th class="w-96">Stands for</th>
              <th class="w-40">Tried</th>
              <th class="w-20"></th>
            </tr>
          </thead>
          <tbody class="max-md:block">
            <RegisterLine
              v-for="row in shown"
              :key="row.printed.key"
              :row="row"
              :said="written.rows[row.printed.key] ?? {}"
              :parameters="live.written.value.parameters"
              :tried="triedOf(row)"
              :may-try="trial.on.line.value !== '' && !trial.on.isBusy.value"
              @say="(part) => live.sayOfRegister(row.printed.key, part)"
              @try="row.register && trial.ask([row.register])"
            />
          </tbody>
        </table>
        <p v-if="shown.length === 0" class="mt-3 text-soft">Nothing left to check.</p>
      </div>
    </template>
  </section>
</template>
