<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { RouterView } from 'vue-router';
import { handleKey } from './shared/keys/keyRegistry.ts';
import KeyList from './shared/keys/KeyList.vue';
import { useShrinking } from './shared/layout/useShrinking.ts';
import TopBar from './shared/layout/TopBar.vue';
import DemoBar from './shared/layout/DemoBar.vue';
import OfflineBar from './shared/layout/OfflineBar.vue';
import { watchContact } from './shared/api/contact.ts';
import { watchFiles } from './shared/layout/sendFiles.ts';
import { watchTyping } from './shared/layout/typing.ts';
import { keepAnswersIn } from './shared/api/keptAnswers.ts';
import { answersOf } from './shared/kept/answers.ts';
import { useTaken } from './shared/kept/takenStore.ts';
import { useSession } from './shared/session/sessionStore.ts';
import { useOutbox } from './shared/outbox/outboxStore.ts';
import { remembered } from './shared/session/remembered.ts';
import { useDisplay } from './shared/display/displayStore.ts';

const scroller = ref<HTMLElement | null>(null);
const shrunk = useShrinking(scroller);
const outbox = useOutbox();
const session = useSession();
const taken = useTaken();
keepAnswersIn(answersOf(() => session.person?.id ?? remembered()?.person.id ?? null));
watch(
  () => session.person?.id ?? null,
  (person) => void taken.follow(person),
  { immediate: true },
);
useDisplay();
onMounted(() => {
  addEventListener('keydown', handleKey);
  watchContact();
  watchTyping();
  watchFiles();
  void outbox.start();
});
onBeforeUnmount(() => removeEventListener('keydown', handleKey));
</script>

<template>
  <div class="flex h-dvh flex-col">
    <TopBar class="transition-[margin] duration-150" :class="{ 'max-lg:-mt-[46px]': shrunk }" />
    <DemoBar />
    <OfflineBar />
    <main ref="scroller" class="flex min-h-0 flex-1 flex-col overflow-auto">
      <RouterView />
    </main>
    <!-- What stays under the thumb, below the page: it covers nothing of it. -->
    <div id="under-thumb" class="shrink-0"></div>
    <KeyList />
  </div>
</template>
