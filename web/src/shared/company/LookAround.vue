<script setup lang="ts">
import { ref } from 'vue';
import { request } from '../api/client.ts';
import { useAct } from '../api/useAct.ts';
import { inDemoBeside } from '../mount/mount.ts';
import { useSession } from '../session/sessionStore.ts';
import AppButton from '../ui/AppButton.vue';

/** Leads into the demo company beside one’s own. */
const session = useSession();
const { problem, act } = useAct();
const opening = ref(false);
async function look() {
  opening.value = true;
  const there = await act(async () => location.assign(`${(await request('lookAround')).at}/today`));
  if (!there) opening.value = false;
}
</script>

<template>
  <div v-if="!inDemoBeside && !session.person?.demo" class="mt-6" data-test="look-around-part">
    <h3 class="text-[16px] font-semibold">Look around first</h3>
    <p class="text-soft">
      A company on an island, with five people, its units and jobs. It is invented and lies in a database of
      its own: nothing you do there touches yours.
    </p>
    <p class="mt-2 flex flex-wrap items-center gap-3">
      <AppButton :disabled="opening" data-test="look-around" @click="look">{{
        opening ? 'Making it ready …' : 'Look around in the demo company'
      }}</AppButton>
      <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
    </p>
  </div>
</template>
