<script setup lang="ts">
import { registerTypes, type Register, type RegisterType } from '@brine/core/controllers/definitions';
import type { RegisterDraft, SaidOfRegister } from '@brine/core/controllers/suggest';
import { tableWords, unitWords } from './registerWords.ts';

/** The parts of a register, to be put right by hand. */
const props = defineProps<{ row: RegisterDraft; said: SaidOfRegister }>();
const emit = defineEmits<{ say: [part: SaidOfRegister] }>();
const typed = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value;
/** As it was said, else as it stands. */
function at(field: 'address' | 'scale' | 'order' | 'absent' | 'unlockAddress' | 'unlockValue'): string {
  const said = props.said[field];
  if (said !== undefined) return said;
  const register: Register | null = props.row.register;
  const of =
    field === 'unlockAddress'
      ? register?.unlock?.address
      : field === 'unlockValue'
        ? register?.unlock?.value
        : register?.[field];
  return of === undefined ? '' : String(of);
}
const fields = [
  ['address', 'Address, from 0'],
  ['scale', 'Stored is shown times'],
  ['order', 'Place in the order of writing'],
  ['unlockAddress', 'First write to register'],
  ['unlockValue', 'the value'],
  ['absent', 'Stored where no probe is'],
] as const;
</script>

<template>
  <div class="mt-2 grid grid-cols-2 gap-2 text-[14px] sm:grid-cols-3" data-test="register-parts">
    <label class="flex flex-col text-soft"
      >Table
      <select
        :value="said.function ?? row.register?.function"
        @change="emit('say', { function: Number(typed($event)) as 1 | 2 | 3 | 4 | 16 })"
      >
        <option v-for="(words, by) in tableWords" :key="by" :value="Number(by)">{{ words }}</option>
      </select></label
    >
    <label class="flex flex-col text-soft"
      >Type
      <select
        :value="said.type ?? row.register?.type"
        @change="emit('say', { type: typed($event) as RegisterType })"
      >
        <option v-for="type in registerTypes" :key="type">{{ type }}</option>
      </select></label
    >
    <label class="flex flex-col text-soft"
      >Of two words first
      <select
        :value="said.wordOrder ?? row.register?.wordOrder ?? 'highFirst'"
        @change="emit('say', { wordOrder: typed($event) as 'highFirst' | 'lowFirst' })"
      >
        <option value="highFirst">the high one</option>
        <option value="lowFirst">the low one</option>
      </select></label
    >
    <label class="flex flex-col text-soft"
      >Unit
      <select :value="said.unit ?? row.register?.unit ?? ''" @change="emit('say', { unit: typed($event) })">
        <option v-for="[id, words] in unitWords" :key="id" :value="id">{{ words }}</option>
      </select></label
    >
    <label v-if="row.is && 'code' in row.is" class="flex flex-col text-soft"
      >Written
      <select
        :value="String(said.writable ?? row.register?.writable ?? false)"
        data-test="register-writable"
        @change="emit('say', { writable: typed($event) === 'true' })"
      >
        <option value="true">may be written</option>
        <option value="false">only read</option>
      </select></label
    >
    <label v-for="[field, words] in fields" :key="field" class="flex flex-col text-soft"
      >{{ words
      }}<input
        class="font-mono text-ink"
        :value="at(field)"
        :data-test="`register-${field}`"
        @change="emit('say', { [field]: typed($event) })"
    /></label>
  </div>
</template>
