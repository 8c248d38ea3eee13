<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import type { ControllerLine } from '@brine/contract/routes';

/** The controller families of the library as links below a page; with `full` also what each is. On a phone a field to choose from. */
const props = defineProps<{
  controllers: readonly ControllerLine[];
  chosen: string | undefined;
  page: string;
  full?: boolean;
}>();
const router = useRouter();
const shownHash = computed(() => props.chosen ?? '');
const choose = (event: Event) =>
  void router.push(`${props.page}/${(event.target as HTMLSelectElement).value}`);
</script>

<template>
  <div>
    <select
      class="mt-3 w-full lg:hidden"
      :value="shownHash"
      aria-label="Controller"
      data-test="family-choice"
      @change="choose"
    >
      <option v-for="c in controllers" :key="c.hash" :value="c.hash">
        {{ c.family }} {{ c.version }}{{ c.newest ? '' : ', older' }}
      </option>
    </select>
    <ul class="mt-3 hidden border-t border-ink lg:block">
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
  </div>
</template>
