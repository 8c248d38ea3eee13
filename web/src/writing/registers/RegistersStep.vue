<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  registerRoles,
  type AddressCount,
  type RegisterDraft,
  type RegisterRole,
} from '@brine/core/controllers/suggest';
import LineChoice from '../../shared/bus/LineChoice.vue';
import AppButton from '../../shared/ui/AppButton.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import SegmentedControl from '../../shared/ui/SegmentedControl.vue';
import RegisterLine from './RegisterLine.vue';
import SiteFinder from './SiteFinder.vue';
import { useTrial } from './useTrial.ts';
import type { WritesRegisters } from './writesRegisters.ts';

/** The booklet's register table, where the control has a bus: pasted, read, put right, and tried on a real device. */
const props = defineProps<{ live: WritesRegisters }>();
const written = computed(() => props.live.writing.value.registers);
const drafted = computed(() => props.live.registers.value);
const trial = useTrial(props.live);
const trying = ref(false);
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
const fitting = computed(
  () => [...(trial.judged.value?.rows.values() ?? [])].filter(({ fits }) => fits).length,
);
/** All would fit better if addresses counted otherwise. */
const better = computed<AddressCount | null>(() => {
  const shift = trial.judged.value?.shift ?? 0;
  return shift === 0 ? null : shift === -1 ? 'fromOne' : 'fromZero';
});
function setRole(index: number, event: Event) {
  const roles = [...drafted.value.table.roles];
  roles[index] = value(event) as RegisterRole;
  props.live.writeRegisters({ roles });
}
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
      <div
        v-if="drafted.table.roles.length > 0"
        class="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2 text-[14px]"
      >
        <span class="text-soft">Columns:</span>
        <label v-for="(role, i) in drafted.table.roles" :key="i" class="flex items-center gap-1.5"
          >{{ i + 1 }}
          <select
            class="!min-h-8 pointer-coarse:!min-h-11 !py-0.5 text-[14px]"
            :value="role"
            :aria-label="`Column ${i + 1} holds`"
            @change="setRole(i, $event)"
          >
            <option v-for="one in registerRoles" :key="one" :value="one">{{ roleWords[one] }}</option>
          </select>
        </label>
      </div>
      <details v-if="drafted.table.aside.length > 0" class="mt-2 text-[14px]">
        <summary class="link py-1">
          {{ drafted.table.aside.length }} {{ drafted.table.aside.length === 1 ? 'line is' : 'lines are' }} no
          register
        </summary>
        <ul class="mt-1 max-h-56 overflow-auto">
          <li v-for="line in drafted.table.aside" :key="line.line" class="border-b border-hairline py-0.5">
            <span class="inline-block w-12 font-mono text-soft">{{ line.line }}</span> {{ line.text }}
          </li>
        </ul>
      </details>
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
      <div class="border-l-4 border-cold bg-band p-3" data-test="trial">
        <button
          v-if="!trying"
          type="button"
          class="link inline-flex min-h-9 items-center pointer-coarse:min-h-11"
          data-test="trial-open"
          @click="trying = true"
        >
          Try them on a device that is on a line
        </button>
        <div v-else class="flex flex-col gap-3">
          <p class="hint">
            Only read, nothing is written. The words it answers stand beside each row, with what they would
            mean.
          </p>
          <SiteFinder v-model="trial.site.value" />
          <LineChoice :on="trial.on">
            <AppButton
              kind="primary"
              :disabled="trial.on.isBusy.value || drafted.registers.length === 0"
              data-test="trial-all"
              @click="trial.ask(drafted.registers)"
              >Try all</AppButton
            >
          </LineChoice>
          <p v-if="trial.judged.value" role="status" data-test="trial-words">
            {{ fitting }} of {{ trial.judged.value.rows.size }} can be what they are taken for.
          </p>
          <p
            v-if="better && better !== written.count"
            class="border-l-4 border-amber bg-amber-wash px-3 py-2"
            data-test="trial-shift"
          >
            ? All would fit better one address {{ better === 'fromOne' ? 'lower' : 'higher' }}.
            <button
              type="button"
              class="link min-h-9 pointer-coarse:min-h-11"
              data-test="trial-shift-take"
              @click="live.writeRegisters({ count: better })"
            >
              Count addresses {{ better === 'fromOne' ? 'from 1' : 'from 0' }}
            </button>
          </p>
        </div>
      </div>
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
              :may-try="trying && trial.on.line.value !== '' && !trial.on.isBusy.value"
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
