<script setup lang="ts" generic="Item extends { readonly id: string }">
import { ChevronDown } from '@lucide/vue';
import { Combobox, ComboboxButton, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue';
import { onScopeDispose, ref, shallowRef } from 'vue';
import { messageOf } from '../api/client.ts';

/** One of many, found by typing: the server is asked a moment after the last key. What is chosen stands in the field. */
const props = defineProps<{
  label: string;
  /** What stands for one in the list, and in the field once it is chosen. */
  words: (item: Item) => string;
  find: (text: string) => Promise<readonly Item[]>;
  id?: string;
  placeholder?: string;
  invalid?: boolean;
}>();
const chosen = defineModel<Item | null>({ required: true });
const items = shallowRef<readonly Item[]>([]);
const problem = ref<string | null>(null);
const asked = ref<string | null>(null);
const REST_MS = 200;
let timer: ReturnType<typeof setTimeout> | undefined;
let latest = 0;
onScopeDispose(() => clearTimeout(timer));

async function look(text: string) {
  const mine = (latest += 1);
  try {
    const found = await props.find(text);
    if (mine !== latest) return;
    items.value = found;
    problem.value = null;
  } catch (error) {
    if (mine === latest) problem.value = messageOf(error);
  }
  asked.value = text;
}
function type(event: Event) {
  const { value } = event.target as HTMLInputElement;
  clearTimeout(timer);
  timer = setTimeout(() => void look(value.trim()), REST_MS);
}
/** Looked at before anything is typed: the first of them. */
const open = () => asked.value === null && void look('');
</script>

<template>
  <Combobox v-model="chosen" by="id" nullable as="div" class="relative">
    <ComboboxInput
      :id="id"
      class="w-full !pr-9"
      :aria-label="label"
      :aria-invalid="invalid"
      :placeholder="placeholder"
      autocomplete="off"
      :display-value="(item) => (item ? words(item as Item) : '')"
      data-test="find-one"
      @focus="open"
      @change="type"
    />
    <ComboboxButton
      class="absolute top-0 right-0 flex h-9 w-9 items-center justify-center text-soft pointer-coarse:h-11 pointer-coarse:w-11"
      :aria-label="`Show ${label.toLowerCase()}s`"
      @click="open"
      ><ChevronDown :size="16"
    /></ComboboxButton>
    <ComboboxOptions
      class="absolute z-30 mt-1 max-h-72 w-full overflow-auto border border-ink bg-paper shadow-lg"
      data-test="found"
    >
      <li v-if="problem" role="none" class="problem px-3 py-2">{{ problem }}</li>
      <li v-else-if="asked !== null && items.length === 0" role="none" class="hint px-3 py-2">
        Nothing holds “{{ asked }}”.
      </li>
      <ComboboxOption
        v-for="item in items"
        :key="item.id"
        v-slot="{ active, selected }"
        :value="item"
        as="template"
      >
        <li
          class="cursor-pointer px-3 py-2 pointer-coarse:min-h-11"
          :class="{ 'bg-band': active, 'font-semibold': selected }"
        >
          {{ words(item) }}
        </li>
      </ComboboxOption>
    </ComboboxOptions>
  </Combobox>
</template>
