<script setup lang="ts">
import { useWatch } from './watchStore.ts';
import { lampWords } from './watchWords.ts';

/** The lamps that were touched: what they are called, and what they do. */
const watching = useWatch();
const named = (event: Event) => (event.target as HTMLInputElement).value.trim();
</script>

<template>
  <ul v-if="watching.lamps.length > 0" class="flex flex-col gap-1" data-test="watch-lamps">
    <li v-for="lamp in watching.lamps" :key="lamp.id" class="flex items-center gap-2 text-[14px]">
      <input
        class="!min-h-9 w-28 border-[#86999c] !bg-transparent text-[14px] text-white"
        :value="lamp.name"
        maxlength="40"
        aria-label="What this lamp stands for"
        @change="watching.nameLamp(lamp.id, named($event) || lamp.name)"
      />
      <span class="whitespace-nowrap" data-test="lamp-state">{{ lampWords[lamp.is] }}</span>
      <button
        type="button"
        class="min-h-9 px-1 text-[#b5c1c2] underline"
        :aria-label="`Stop watching ${lamp.name}`"
        @click="watching.removeLamp(lamp.id)"
      >
        remove
      </button>
    </li>
  </ul>
</template>
