<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink, useRoute, useRouter } from 'vue-router';
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue';
import { ChevronDown, Moon, Sun } from '@lucide/vue';
import { useDisplay } from '../display/displayStore.ts';
import JumpBox from '../jump/JumpBox.vue';
import { useJumpTargets } from '../jump/jumpTargets.ts';
import { useSession } from '../session/sessionStore.ts';
import SaveState from './SaveState.vue';

const session = useSession();
const display = useDisplay();
const router = useRouter();
const route = useRoute();
const isHere = (path: string) => route.path.startsWith(path);

const pages = computed(() => [
  { to: '/jobs', name: 'Jobs' },
  { to: '/units', name: 'Units' },
  { to: '/controls', name: 'Controls' },
  { to: '/bench', name: 'Bench' },
  { to: '/practice', name: 'Practice' },
  ...(session.isLead ? [{ to: '/people', name: 'Company' }] : []),
]);
useJumpTargets(() =>
  pages.value.map((page) => ({
    id: `page:${page.to}`,
    title: page.name,
    detail: 'page',
    words: '',
    go: () => void router.push(page.to),
  })),
);
const themeName = computed(() => (display.theme === 'paper' ? 'Dark, in the box' : 'Light, on paper'));

async function signOut() {
  await session.signOut().catch(() => undefined);
  await router.push('/sign-in');
}
</script>

<template>
  <header class="bg-bar text-on-bar print:hidden">
    <div class="flex h-[52px] items-center gap-x-1 px-3 sm:gap-x-5 sm:px-5">
      <RouterLink to="/jobs" class="font-head text-[17px] font-semibold whitespace-nowrap"
        >Brine<span class="text-amber">·</span>Dial</RouterLink
      >
      <nav v-if="session.person" class="hidden items-center gap-5 md:flex" aria-label="Pages">
        <RouterLink
          v-for="page in pages"
          :key="page.to"
          :to="page.to"
          class="border-b-2 pt-1 pb-0.5 text-[15px]"
          :class="
            isHere(page.to) ? 'border-amber font-medium text-on-bar' : 'border-transparent text-on-bar-soft'
          "
          >{{ page.name }}</RouterLink
        >
      </nav>
      <span class="flex-1"></span>
      <JumpBox v-if="session.person" />
      <button
        type="button"
        class="min-w-10 text-[15px] text-on-bar-soft hover:text-on-bar"
        :aria-label="`Temperatures in ${display.symbol}; switch to ${display.otherSymbol}`"
        :title="`Switch to ${display.otherSymbol}`"
        data-test="unit-switch"
        @click="display.switchUnit()"
      >
        {{ display.symbol }}
      </button>
      <button
        type="button"
        class="grid min-w-10 place-items-center text-on-bar-soft hover:text-on-bar"
        :aria-label="themeName"
        :title="themeName"
        data-test="theme-switch"
        @click="display.switchTheme()"
      >
        <Moon v-if="display.theme === 'paper'" :size="18" />
        <Sun v-else :size="18" />
      </button>
      <SaveState v-if="session.person" />
      <Menu v-if="session.person" as="div" class="relative">
        <MenuButton class="flex min-h-9 items-center gap-1 text-[15px] text-on-bar" data-test="person-menu">
          <span class="hidden sm:inline">{{ session.person.name }}</span>
          <span class="sm:hidden">Menu</span>
          <ChevronDown :size="16" />
        </MenuButton>
        <MenuItems
          class="absolute right-0 z-40 mt-2 w-56 border border-edge bg-sheet py-1 text-ink outline-none"
        >
          <p class="px-4 py-2 text-[13.5px] text-soft">
            {{ session.person.name }}, {{ session.person.role }}
          </p>
          <div class="md:hidden">
            <MenuItem v-for="page in pages" :key="page.to" v-slot="{ active }">
              <RouterLink :to="page.to" class="block px-4 py-2.5" :class="{ 'bg-band': active }">{{
                page.name
              }}</RouterLink>
            </MenuItem>
          </div>
          <MenuItem v-slot="{ active }">
            <RouterLink to="/work" class="block px-4 py-2.5" :class="{ 'bg-band': active }"
              >Work under way</RouterLink
            >
          </MenuItem>
          <MenuItem v-slot="{ active }">
            <RouterLink to="/account" class="block px-4 py-2.5" :class="{ 'bg-band': active }"
              >Your account</RouterLink
            >
          </MenuItem>
          <MenuItem v-slot="{ active }">
            <button
              type="button"
              class="block w-full px-4 py-2.5 text-left"
              :class="{ 'bg-band': active }"
              data-test="sign-out"
              @click="signOut"
            >
              Sign out
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
    </div>
  </header>
</template>
