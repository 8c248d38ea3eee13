<script setup lang="ts">
import { RouterLink } from 'vue-router';
import type { ControllerLine } from '../api/types.ts';

/** The controller families of the library as links below a page; with `full` also what each is. */
defineProps<{
  controllers: readonly ControllerLine[];
  chosen: string | undefined;
  page: string;
  full?: boolean;
}>();
</script>

<template>
  <ul class="mt-3 border-t border-ink">
    <li v-for="c in controllers" :key="c.hash">
      <RouterLink
        :to="`${page}/${c.hash}`"
        class="block border-b border-hairline px-2 py-2"
        :class="{ 'bg-band': c.hash === chosen }"
        ><span class="font-medium">{{ c.family }}</span>
        <span class="hint ml-2"
          >{{ c.version }}<template v-if="full">, {{ c.parameters }} codes</template
          ><template v-if="!c.newest">, older</template></span
        ><span v-if="full" class="hint block">{{ c.summary }}</span></RouterLink
      >
    </li>
  </ul>
</template>
