<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { RouterLink, useRoute, useRouter } from 'vue-router';
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue';
import { ChevronDown, Moon, Sun, Menu as MenuLines } from '@lucide/vue';
import { useDisplay } from '../display/displayStore.ts';
import JumpBox from '../jump/JumpBox.vue';
import { useJumpTargets } from '../jump/jumpTargets.ts';
import { useSession } from '../session/sessionStore.ts';
import ModalDialog from '../ui/ModalDialog.vue';
import SaveState from './SaveState.vue';

const session = useSession();
const display = useDisplay();
const router = useRouter();
const route = useRoute();
const isHere = (path: string) => route.path.startsWith(path);

const pages = computed(() => [
  { to: '/today', name: 'Today' },
  { to: '/jobs', name: 'Jobs' },
  { to: '/units', name: 'Units' },
  { to: '/controls', name: 'Controls' },
  { to: '/bench', name: 'Bench' },
  { to: '/practice', name: 'Practice' },
  ...(session.isLead ? [{ to: '/people', name: 'Company' }] : []),
]);
const ofPerson = [
  { to: '/work', name: 'Work under way' },
  { to: '/waiting', name: 'Waiting on this device' },
  { to: '/account', name: 'Your account' },
];
useJumpTargets(() =>
  pages.value.map((page) => ({
    id: `page:${page.to}`,
    title: page.name,
    detail: 'page',
    words: '',
    go: () => void router.push(page.to),
  })),
);
const themeName = computed(() => display.themeNames[display.theme === 'paper' ? 'box' : 'paper']);
/** The menu of a phone: a sheet from below; it goes when a page was chosen. */
const sheet = ref(false);
watch(
  () => route.fullPath,
  () => (sheet.value = false),
);

async function signOut() {
  sheet.value = false;
  await session.signOut().catch(() => undefined);
  await router.push('/sign-in');
}
</script>

<template>
  <header class="bg-bar text-on-bar print:hidden">
    <div class="flex h-[46px] items-center gap-x-1 px-2 sm:px-5 lg:h-[52px] lg:gap-x-5">
      <RouterLink
        to="/today"
        class="flex min-h-11 items-center px-1 font-head text-[17px] font-semibold whitespace-nowrap"
        >Brine<span class="text-amber">·</span>Dial</RouterLink
      >
      <nav v-if="session.person" class="hidden items-center gap-5 lg:flex" aria-label="Pages">
        <RouterLink
          v-for="page in pages"
          :key="page.to"
          :to="page.to"
          class="flex items-center border-b-2 pt-1 pb-0.5 text-[15px] pointer-coarse:min-h-11"
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
        class="min-w-10 text-[15px] text-on-bar-soft hover:text-on-bar max-lg:hidden"
        :aria-label="`Temperatures in ${display.symbol}; switch to ${display.otherSymbol}`"
        :title="`Switch to ${display.otherSymbol}`"
        data-test="unit-switch"
        @click="display.switchUnit()"
      >
        {{ display.symbol }}
      </button>
      <button
        type="button"
        class="grid min-w-10 place-items-center text-on-bar-soft hover:text-on-bar max-lg:hidden"
        :aria-label="themeName"
        :title="themeName"
        data-test="theme-switch"
        @click="display.switchTheme()"
      >
        <Moon v-if="display.theme === 'paper'" :size="18" />
        <Sun v-else :size="18" />
      </button>
      <SaveState v-if="session.person" />
      <button
        type="button"
        class="grid size-11 place-items-center lg:hidden"
        aria-label="Menu"
        data-test="phone-menu"
        @click="sheet = true"
      >
        <MenuLines :size="22" />
      </button>
      <Menu v-if="session.person" :key="route.fullPath" as="div" class="relative max-lg:hidden">
        <MenuButton
          class="flex min-h-9 items-center gap-1 text-[15px] text-on-bar pointer-coarse:min-h-11"
          data-test="person-menu"
        >
          {{ session.person.name }}
          <ChevronDown :size="16" />
        </MenuButton>
        <MenuItems
          class="absolute right-0 z-40 mt-2 w-56 border border-edge bg-sheet py-1 text-ink outline-none"
        >
          <p class="px-4 py-2 text-[13.5px] text-soft">
            {{ session.person.name }}, {{ session.person.role }}
          </p>
          <MenuItem v-for="page in ofPerson" :key="page.to" v-slot="{ active }">
            <RouterLink
              :to="page.to"
              class="flex min-h-10 items-center px-4 pointer-coarse:min-h-11"
              :class="{ 'bg-band': active }"
              >{{ page.name }}</RouterLink
            >
          </MenuItem>
          <MenuItem v-slot="{ active }">
            <button
              type="button"
              class="block min-h-10 w-full px-4 text-left pointer-coarse:min-h-11"
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
    <ModalDialog
      v-if="sheet"
      :open="true"
      :title="session.person ? `${session.person.name}, ${session.person.role}` : 'Brine Dial'"
      @close="sheet = false"
    >
      <ul class="text-[17px]" data-test="phone-pages">
        <template v-if="session.person">
          <li v-for="page in [...pages, ...ofPerson]" :key="page.to" class="border-t border-hairline">
            <RouterLink
              :to="page.to"
              class="flex min-h-12 items-center"
              :class="{ 'font-semibold': isHere(page.to) }"
              @click="sheet = false"
              >{{ page.name }}</RouterLink
            >
          </li>
        </template>
        <li class="flex gap-2 border-t border-hairline py-2">
          <button
            type="button"
            class="min-h-12 flex-1 rounded-md border border-edge"
            data-test="phone-unit-switch"
            @click="display.switchUnit()"
          >
            {{ display.symbol }} → {{ display.otherSymbol }}
          </button>
          <button
            type="button"
            class="min-h-12 flex-1 rounded-md border border-edge"
            data-test="phone-theme-switch"
            @click="display.switchTheme()"
          >
            {{ themeName }}
          </button>
        </li>
        <li v-if="session.person" class="border-t border-hairline">
          <button type="button" class="min-h-12 w-full text-left" data-test="phone-sign-out" @click="signOut">
            Sign out
          </button>
        </li>
      </ul>
    </ModalDialog>
  </header>
</template>
