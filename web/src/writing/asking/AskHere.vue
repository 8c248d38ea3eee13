<script setup lang="ts">
import { ref } from 'vue';
import type { Doubt } from '@brine/core/judgement/asking';
import AskControl from './AskControl.vue';
import AskToggle from './AskToggle.vue';
import type { WritesDown } from './writesDown.ts';

/** Where something may be in doubt: the way to ask the control of it, opened in its place. Stays open once an answer has settled the last doubt. */
defineProps<{ doubts: readonly Doubt[]; live: WritesDown }>();
const isOpen = ref(false);
</script>

<template>
  <div v-if="doubts.length > 0 || isOpen">
    <AskToggle v-model="isOpen" />
    <AskControl v-if="isOpen" :doubts="doubts" :live="live" />
  </div>
</template>
