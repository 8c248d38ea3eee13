<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { parseNumber } from '@brine/core/foundation/quantities';
import type { UnitLoad } from '@brine/core/judgement/fit';
import { useJob } from '../shared/job/useJob.ts';
import { newId } from '../shared/outbox/identity.ts';
import AppButton from '../shared/ui/AppButton.vue';

/** Loads from the plate, while no circuit is traced: watts or amps, volts, phases, locked rotor amps. */
defineProps<{ editable: boolean }>();
const job = useJob();
const loads = computed(() => job.wiring.value.loads);
const roles = {
  compressor: 'Compressor',
  defrostHeater: 'Defrost heater',
  evaporatorFan: 'Evaporator fan',
  condenserFan: 'Condenser fan',
  solenoid: 'Solenoid valve',
  heater: 'Heater',
} as const;
const words = ({ role, watts, amps, volts, phases, lockedRotorAmps }: UnitLoad) =>
  [
    roles[role as keyof typeof roles] ?? role,
    watts && `${watts} W`,
    amps && `${amps} A`,
    volts && `${volts} V`,
    phases === 3 && 'three phases',
    lockedRotorAmps && `${lockedRotorAmps} A locked rotor`,
  ]
    .filter(Boolean)
    .join(', ');
const fields = [
  { id: 'watts', label: 'Watts' },
  { id: 'amps', label: 'or amps' },
  { id: 'volts', label: 'Volts' },
  { id: 'lockedRotorAmps', label: 'Locked rotor amps' },
] as const;
const role = ref<keyof typeof roles>('compressor');
const typed = reactive<Record<string, string>>({});
const threePhases = ref(false);
const problem = ref('');
async function add() {
  const numbers: Record<string, number> = {};
  for (const { id, label } of fields) {
    const text = (typed[id] ?? '').trim();
    if (text === '') continue;
    const value = parseNumber(text);
    if (value === null || value <= 0) return void (problem.value = `${label}: expected a number above 0`);
    numbers[id] = value;
  }
  if (numbers['watts'] === undefined && numbers['amps'] === undefined)
    return void (problem.value = 'Expected watts or amps from the plate');
  problem.value = '';
  await job.write({
    kind: 'unitLoad',
    id: newId(),
    load: { role: role.value, ...numbers, ...(threePhases.value ? { phases: 3 } : {}) },
  });
  for (const key of Object.keys(typed)) delete typed[key];
}
const remove = (id: string) => job.write({ kind: 'unitLoad', id, load: null });
</script>

<template>
  <div>
    <ul>
      <li v-for="load in loads" :key="load.id" class="flex items-center gap-3 border-b border-hairline py-1">
        <span class="flex-1">{{ words(load.what) }}</span>
        <AppButton v-if="editable" kind="quiet" class="!px-1.5" @click="remove(load.id)">Remove</AppButton>
      </li>
    </ul>
    <form
      v-if="editable"
      class="mt-2 flex flex-wrap items-end gap-x-3 gap-y-2"
      aria-label="Add a load"
      @submit.prevent="add"
    >
      <label class="flex flex-col gap-0.5"
        ><span class="field-label">From the plate</span>
        <select v-model="role">
          <option v-for="(name, id) in roles" :key="id" :value="id">{{ name }}</option>
        </select></label
      >
      <label v-for="field in fields" :key="field.id" class="flex flex-col gap-0.5"
        ><span class="field-label">{{ field.label }}</span
        ><input v-model="typed[field.id]" class="w-20 text-right font-mono" inputmode="decimal"
      /></label>
      <label class="flex min-h-9 pointer-coarse:min-h-11 items-center gap-2"
        ><input v-model="threePhases" type="checkbox" /> three phases</label
      >
      <AppButton type="submit">Add this load</AppButton>
      <p v-if="problem" class="problem w-full" role="alert">{{ problem }}</p>
    </form>
  </div>
</template>
