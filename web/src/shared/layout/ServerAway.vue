<script setup lang="ts">
import { computed } from 'vue';
import { useOutbox } from '../outbox/outboxStore.ts';

const outbox = useOutbox();
const message = computed(() => {
  const n = outbox.waiting.length;
  if (outbox.serverAway)
    return `The server does not answer. Go on working: ${n === 0 ? 'what you type' : n === 1 ? 'one entry' : `${n} entries`} will be sent when it is back.`;
  if (outbox.mustSignIn.length > 0)
    return `Entries of ${outbox.mustSignIn.join(' and ')} wait on this device. They are sent once ${outbox.mustSignIn.length > 1 ? 'their authors sign' : 'the author signs'} in here again.`;
  return null;
});
</script>

<template>
  <p
    v-if="message"
    role="status"
    class="border-b border-amber bg-amber-wash px-5 py-2 text-[14.5px]"
    data-test="server-away"
  >
    {{ message }}
  </p>
</template>
