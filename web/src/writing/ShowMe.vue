<script setup lang="ts">
import { computed } from 'vue';
import AppButton from '../shared/ui/AppButton.vue';
import { blankMenu, type WrittenMenu } from './writing.ts';
import type { LiveWriting } from './useWriting.ts';
import PanelKeys from './keys/PanelKeys.vue';
import ShownMenuForm from './ShownMenuForm.vue';

/** The panel built from key presses that somebody shows: no pattern has to fit. */
const props = defineProps<{ live: LiveWriting }>();
const showing = computed(() => props.live.writing.value.showing);
const set = (menus: readonly WrittenMenu[]) => props.live.change({ showing: { ...showing.value, menus } });
</script>

<template>
  <div class="flex flex-col gap-6" data-test="show-me">
    <PanelKeys :keys="showing.keys" @change="live.change({ showing: { ...showing, keys: $event } })" />
    <ShownMenuForm
      v-for="(menu, i) in showing.menus"
      :key="i"
      :live="live"
      :menu="menu"
      :result="live.showing.value.menus[i]!"
      :alone="showing.menus.length === 1"
      @change="set(showing.menus.map((m, n) => (n === i ? $event : m)))"
      @remove="set(showing.menus.filter((_, n) => n !== i))"
    />
    <p>
      <AppButton
        kind="quiet"
        @click="set([...showing.menus, { ...blankMenu, name: `Menu ${showing.menus.length + 1}` }])"
        >Add a menu with its own access code</AppButton
      >
    </p>
  </div>
</template>
