<script setup lang="ts">
import type { Site } from '@brine/contract/routes';
import { request } from '../api/client.ts';
import FindOne from './FindOne.vue';

/** A site, found by typing. */
defineProps<{ placeholder?: string }>();
const site = defineModel<Site | null>({ required: true });
const wordsOf = ({ name, place }: Site) => [name, place].filter(Boolean).join(', ');
const find = async (text: string) => (await request('sites', { query: { search: text } })).sites;
</script>

<template>
  <FindOne v-model="site" label="Site" :placeholder="placeholder" :words="wordsOf" :find="find" />
</template>
