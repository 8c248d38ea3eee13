<script setup lang="ts">
import { computed, ref } from 'vue';
import { registerReadings, type Parameter } from '@brine/core/controllers/definitions';
import type { Tried } from '@brine/core/controllers/registers';
import { nameOf, type RegisterDraft, type SaidOfRegister } from '@brine/core/controllers/suggest';
import RegisterParts from './RegisterParts.vue';
import { readingWords, saidInShort } from './registerWords.ts';

/** One row of the booklet's register table: what it says, what it is taken for, and what the device told when it was tried. */
const props = defineProps<{
  row: RegisterDraft;
  said: SaidOfRegister;
  parameters: readonly Parameter[];
  tried: Tried | null;
  mayTry: boolean;
}>();
const emit = defineEmits<{ say: [part: SaidOfRegister]; try: [] }>();
const changing = ref(false);
const printed = computed(() => props.row.printed);
const beside = computed(() =>
  [
    printed.value.function,
    printed.value.type,
    printed.value.scale || printed.value.decimals,
    printed.value.unit,
    printed.value.access,
  ]
    .filter(Boolean)
    .join(' · '),
);
const is = computed({
  get: () => (props.row.is ? nameOf(props.row.is) : ''),
  set: (name) => emit('say', { is: name === '' ? null : name, checked: false }),
});
/** What would make the words something that can be, as a sentence and as what is said then. */
const instead = computed(() => {
  const by = props.tried?.instead;
  if (!by) return null;
  if (by.scale !== undefined) return { words: `times ${by.scale}`, say: { scale: String(by.scale) } };
  if (by.type !== undefined) return { words: `as ${by.type}`, say: { type: by.type } };
  return {
    words: by.wordOrder === 'lowFirst' ? 'with the low word first' : 'with the high word first',
    say: { wordOrder: by.wordOrder! },
  };
});
</script>

<template>
  <tr
    class="max-md:block max-md:border-b max-md:border-edge max-md:py-2 max-md:[&>td]:block max-md:[&>td]:border-0 max-md:[&>td]:px-0 max-md:[&>td]:py-1"
    :class="{ 'opacity-60': row.is === null }"
    data-test="register-row"
    :data-register="printed.key"
  >
    <td class="font-mono whitespace-nowrap">{{ printed.address }}</td>
    <td>
      <code v-if="printed.code" class="font-mono font-semibold">{{ printed.code }}</code>
      {{ printed.description }}
      <span v-if="beside" class="hint block">{{ beside }}</span>
    </td>
    <td>
      <select
        v-model="is"
        class="w-full max-w-80"
        :aria-label="`Line ${printed.line} stands for`"
        data-test="register-is"
      >
        <option value="">– left out</option>
        <optgroup label="What it does">
          <option v-for="reading in registerReadings" :key="reading" :value="`reading ${reading}`">
            {{ readingWords[reading] }}
          </option>
        </optgroup>
        <optgroup label="Codes">
          <option v-for="one in parameters" :key="one.code" :value="`code ${one.code}`">
            {{ one.code }} – {{ one.name }}
          </option>
        </optgroup>
      </select>
      <p v-if="row.register" class="hint mt-1" data-test="register-short">{{ saidInShort(row.register) }}</p>
      <p v-for="problem in row.problems" :key="problem" class="problem">{{ problem }}</p>
      <div
        v-if="row.doubts.length > 0"
        class="mt-1 border-l-4 border-amber bg-amber-wash px-2 py-1 text-[14px]"
      >
        <p v-for="doubt in row.doubts" :key="doubt" data-test="register-doubt">? {{ doubt }}.</p>
        <button
          type="button"
          class="link inline-flex min-h-9 items-center pointer-coarse:min-h-11"
          data-test="register-checked"
          @click="emit('say', { checked: true })"
        >
          It is so
        </button>
      </div>
      <RegisterParts
        v-if="changing && row.is"
        :row="row"
        :said="said"
        @say="(part) => emit('say', { ...part, checked: true })"
      />
    </td>
    <td class="text-[14px]">
      <template v-if="row.register">
        <template v-if="tried">
          <span :class="tried.fits ? '' : 'text-alarm'" data-test="register-tried"
            >{{ tried.fits ? '✓' : '!' }} {{ tried.shows
            }}<span v-if="tried.words" class="hint block font-mono"
              >holds {{ tried.words.join(' ') }}</span
            ></span
          >
          <button
            v-if="instead"
            type="button"
            class="link block min-h-9 text-left pointer-coarse:min-h-11"
            data-test="register-instead"
            @click="emit('say', instead.say)"
          >
            Take it {{ instead.words }}
          </button>
        </template>
        <button
          v-if="mayTry"
          type="button"
          class="link inline-flex min-h-9 items-center pointer-coarse:min-h-11"
          data-test="register-try"
          @click="emit('try')"
        >
          {{ tried ? 'Try again' : 'Try' }}
        </button>
      </template>
    </td>
    <td>
      <button
        v-if="row.is"
        type="button"
        class="link inline-flex min-h-9 items-center pointer-coarse:min-h-11"
        :aria-expanded="changing"
        data-test="register-change"
        @click="changing = !changing"
      >
        {{ changing ? 'Done' : 'Change' }}
      </button>
    </td>
  </tr>
</template>
