<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import type { Wire } from '@brine/core/wiring/circuit';
import AppButton from '../shared/ui/AppButton.vue';
import WireChip from './WireChip.vue';
import WireFields from './WireFields.vue';

const props = defineProps<{
  wire: Wire;
  ends: readonly { readonly id: string; readonly words: string }[];
  editable: boolean;
}>();
const emit = defineEmits<{ change: [wire: Wire]; remove: []; unsure: [other: string] }>();
const other = ref('');
function unsure() {
  editing.value = false;
  emit('unsure', other.value);
  other.value = '';
}
const editing = ref(false);
const draft = reactive({ from: '', to: '', colour: '', label: '', purpose: '' });
const words = (id: string) =>
  props.ends
    .find((e) => e.id === id)
    ?.words.split(' · ')
    .at(-1) ?? id;
const between = computed(() => `${words(props.wire.from)} → ${words(props.wire.to)}`);
function edit() {
  const { from, to, colour = '', label = '', purpose = '' } = props.wire;
  Object.assign(draft, { from, to, colour, label, purpose });
  editing.value = true;
}
function keep() {
  editing.value = false;
  emit('change', { ...props.wire, ...draft });
}
</script>

<template>
  <li class="border-b border-hairline py-1.5" :data-found-wire="`${wire.from}-${wire.to}`">
    <div v-if="!editing" class="flex items-center gap-3">
      <span class="min-w-0 flex-1">
        <span class="flex flex-wrap items-center gap-x-3"
          ><WireChip :label="wire.label ?? ''" :colour="wire.colour ?? ''" /><span>{{ between }}</span></span
        >
        <span v-if="wire.purpose" class="hint block">{{ wire.purpose }}</span>
      </span>
      <AppButton
        v-if="editable"
        kind="quiet"
        class="!px-1.5"
        :aria-label="`Change the wire ${between}`"
        @click="edit"
        >Change</AppButton
      >
    </div>
    <form v-else class="flex flex-col gap-2 py-1" @submit.prevent="keep">
      <WireFields v-model="draft" :ends="ends" />
      <label class="flex flex-wrap items-center gap-2"
        >Not sure where it ends: it may also end on
        <select v-model="other" class="min-w-0" @change="unsure">
          <option value="">no other</option>
          <option v-for="end in ends" :key="end.id" :value="end.id">{{ end.words }}</option>
        </select></label
      >
      <div class="flex flex-wrap gap-2">
        <AppButton type="submit" kind="primary">Keep</AppButton>
        <AppButton @click="editing = false">Leave it</AppButton>
        <AppButton kind="quiet" @click="$emit('remove')">There is no such wire</AppButton>
      </div>
    </form>
  </li>
</template>
