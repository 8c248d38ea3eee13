<script setup lang="ts">
import { controlOutputs } from '@brine/core/controllers/definitions';
import type { WrittenRelay } from '@brine/core/controllers/suggest';
import { outputWords } from '../shared/circuit/outputWords.ts';

/** A relay: what it drives, its contact's terminals, what it may carry, whether its common is fed inside. */
defineProps<{ relay: WrittenRelay }>();
const emit = defineEmits<{ change: [part: Partial<WrittenRelay>] }>();
const set = (name: keyof WrittenRelay, event: Event) =>
  emit('change', { [name]: (event.target as HTMLInputElement).value });
const terminals = [
  ['common', 'Common'],
  ['normallyOpen', 'Normally open'],
  ['normallyClosed', 'Normally closed'],
] as const;
const ratings = [
  ['resistiveAmps', 'Resistive, A'],
  ['motorFullLoadAmps', 'Motor running, A'],
  ['motorLockedRotorAmps', 'Motor starting, A'],
] as const;
</script>

<template>
  <label
    ><span class="field-label">Drives</span
    ><select :value="relay.drives" data-test="relay-drives" @change="set('drives', $event)">
      <option v-for="d in controlOutputs" :key="d" :value="d">{{ outputWords(d) }}</option>
    </select></label
  >
  <label v-for="[name, label] in terminals" :key="name"
    ><span class="field-label">{{ label }}</span
    ><input
      class="w-24"
      :value="relay[name]"
      :placeholder="name === 'normallyClosed' ? 'none' : ''"
      @input="set(name, $event)"
  /></label>
  <label v-for="[name, label] in ratings" :key="name"
    ><span class="field-label">{{ label }}</span
    ><input
      class="w-20 text-right"
      inputmode="decimal"
      :value="relay[name]"
      :data-test="name"
      @input="set(name, $event)"
  /></label>
  <label
    ><span class="field-label">Common fed inside</span
    ><select :value="relay.fedInside" @change="set('fedInside', $event)">
      <option value="unknown">not stated: read it</option>
      <option value="no">no, it is dry</option>
      <option value="yes">yes</option>
    </select></label
  >
</template>
