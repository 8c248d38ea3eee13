<script setup lang="ts">
import type { Site } from '@brine/contract/routes';
import { request } from '../shared/api/client.ts';
import FindOne from '../shared/ui/FindOne.vue';

/** A site, or every site where none is chosen. */
const site = defineModel<Site | null>({ required: true });
const wordsOf = ({ name, place }: Site) => [name, place].filter(Boolean).join(', ');
const find = async (text: string) => (await request('sites', { query: { search: text } })).sites;
</script>

<template>
  <FindOne v-model="site" label="Site" placeholder="every site" :words="wordsOf" :find="find" />
</template>
