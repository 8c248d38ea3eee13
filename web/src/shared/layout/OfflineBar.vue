<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { awaySince } from '../api/contact.ts';
import { deviceTrouble, troubleWords } from '../device/trouble.ts';
import { localTime } from '../display/localTime.ts';
import { useOutbox } from '../outbox/outboxStore.ts';
import { filesWaiting } from './sendFiles.ts';
import { newProgram, startsOffline } from './programVersion.ts';
import { isTyping } from './typing.ts';

/** What one must know of signal and device: each line says what is, what waits, and what to do. */
const outbox = useOutbox();
const inWords = (n: number) => (n === 1 ? 'One entry' : `${n} entries`);
const counted = (n: number, what: string) => (n === 0 ? '' : `${n} ${what}${n === 1 ? '' : 's'}`);
const away = computed(() => {
  if (awaySince.value === null) return null;
  const n = outbox.waiting.length;
  const files = [
    counted(filesWaiting.value.pictures, 'picture'),
    counted(filesWaiting.value.logs, 'log'),
  ].filter(Boolean);
  const more =
    files.length > 0
      ? ` So ${files.length > 1 || !files[0]!.startsWith('1 ') ? 'do' : 'does'} ${files.join(' and ')}.`
      : '';
  const waits =
    n === 0
      ? 'What you type is kept on this device and sent when it is back.'
      : `${inWords(n)} ${n === 1 ? 'waits' : 'wait'} on this device and ${n === 1 ? 'is' : 'are'} sent when it is back.`;
  return `The server does not answer, since ${localTime(awaySince.value.toISOString())}. Go on working. ${waits}${more}`;
});
/** A page that cannot start by itself must not be closed. */
const staysOpen = computed(() => awaySince.value !== null && !startsOffline.value);
const refused = computed(() => {
  const n = outbox.refused.length;
  return n === 0 ? null : `${inWords(n)} refused: ${outbox.refused[0]!.problem ?? 'no reason given'}.`;
});
const signIn = computed(() => {
  const authors = outbox.mustSignIn;
  if (authors.length === 0) return null;
  return `Entries of ${authors.join(' and ')} wait on this device. They are sent once ${authors.length > 1 ? 'their authors sign' : 'the author signs'} in here again.`;
});
const reload = () => location.reload();
</script>

<template>
  <div class="shrink-0 text-[14.5px] print:hidden" role="status">
    <p
      v-if="deviceTrouble"
      class="flex flex-wrap items-center gap-x-4 border-b border-alarm bg-alarm-wash px-4 py-2 sm:px-5"
      data-test="device-trouble"
    >
      <span><strong class="font-semibold">Not kept. </strong>{{ troubleWords[deviceTrouble] }}</span>
      <button v-if="deviceTrouble === 'older'" type="button" class="link min-h-11" @click="reload">
        Load it again
      </button>
    </p>
    <p v-if="away" class="border-b border-amber bg-amber-wash px-4 py-1.5 sm:px-5" data-test="server-away">
      {{ away }}
      <template v-if="staysOpen">Keep this page open: without signal it does not start again here.</template>
    </p>
    <p v-if="refused" class="border-b border-amber bg-amber-wash px-4 py-1.5 sm:px-5" data-test="refused">
      {{ refused }} <RouterLink class="link" to="/waiting">Look at it</RouterLink>
    </p>
    <p v-if="signIn" class="border-b border-amber bg-amber-wash px-4 py-1.5 sm:px-5" data-test="must-sign-in">
      {{ signIn }}
    </p>
    <p
      v-if="newProgram && !isTyping"
      class="flex flex-wrap items-center gap-x-4 border-b border-hairline bg-band px-4 py-1 sm:px-5"
      data-test="new-program"
    >
      A new version of Brine Dial is ready.
      <button type="button" class="link min-h-11" @click="newProgram()">Load it</button>
    </p>
  </div>
</template>
