<script setup lang="ts">
import { onBeforeUnmount, onMounted } from 'vue';
import { RouterView } from 'vue-router';
import { handleKey } from './shared/keys/keyRegistry.ts';
import KeyList from './shared/keys/KeyList.vue';
import TopBar from './shared/layout/TopBar.vue';
import ServerAway from './shared/layout/ServerAway.vue';
import { useOutbox } from './shared/outbox/outboxStore.ts';
import { useDisplay } from './shared/display/displayStore.ts';

const outbox = useOutbox();
useDisplay();
onMounted(() => {
  addEventListener('keydown', handleKey);
  void outbox.start();
});
onBeforeUnmount(() => removeEventListener('keydown', handleKey));
</script>

<template>
  <div class="flex h-dvh flex-col">
    <TopBar />
    <ServerAway />
    <main class="flex min-h-0 flex-1 flex-col overflow-auto">
      <RouterView />
    </main>
    <KeyList />
  </div>
</template>
