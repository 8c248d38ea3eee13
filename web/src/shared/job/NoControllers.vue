<script setup lang="ts">
import { RouterLink } from 'vue-router';
import { useSession } from '../session/sessionStore.ts';

/** An empty library, with the two ways out of it. */
const session = useSession();
</script>

<template>
  <p data-test="no-controllers">
    No controller is in the library yet.
    <template v-if="session.mayWrite"
      ><RouterLink class="link" to="/controls/write">Add one from its booklet</RouterLink>, or
      <RouterLink class="link" to="/controls">import a file</RouterLink> that somebody exported.</template
    >
    <template v-else>A technician adds one from its booklet.</template>
  </p>
</template>
