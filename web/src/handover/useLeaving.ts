import { computed, reactive, watch } from 'vue';
import { LONGEST_TEXT } from '@brine/contract/lengths';
import {
  byKind,
  countWords,
  mustNotStay,
  type OpenItem,
  type OpenKind,
  type OpenWork,
} from '@brine/core/record/openWork';
import type { EntryBody } from '@brine/core/record/entries';
import { inWords } from '@brine/core/foundation/sentences';
import { cutText } from '../shared/ui/cutText.ts';

/** What is said of one kind of open item. */
interface Said {
  reason: string;
  /** The day somebody comes back for it; empty: nobody does. */
  due: string;
}

/** How many items a follow-up names before it counts the rest. */
const NAMED = 6;
/** The follow-up that is made of all that is open of a kind: there once, however often it is handed over. */
const followUpOf = (kind: OpenKind) => `open:${kind}`;

/** What stays open at a hand-over, with a reason or a day for each kind. What was typed stays on this device until it is handed over, through a reload too. */
export function useLeaving(jobId: string, work: () => OpenWork) {
  const key = `brine-why-open:${jobId}`;
  const typed = reactive(kept(key));
  watch(typed, (said) => {
    if (said.size === 0) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify([...said]));
  });
  const all = computed(() => byKind(work().items));
  /** What may stay open with a word. */
  const groups = computed(() => all.value.filter(({ kind }) => !mustNotStay.has(kind)));
  /** What is borrowed and not back: nobody hands over before. */
  const notBack = computed(() => all.value.find(({ kind }) => mustNotStay.has(kind)) ?? null);

  const saidOf = (kind: OpenKind): Said => {
    const before = work().answers.find((answer) => answer.kind === kind);
    return (
      typed.get(kind) ?? {
        reason: before?.reason ?? '',
        due: before?.followUp && !before.followUp.done ? before.followUp.due : '',
      }
    );
  };
  const say = (kind: OpenKind, part: Partial<Said>) => typed.set(kind, { ...saidOf(kind), ...part });
  const isSaid = (kind: OpenKind) => saidOf(kind).reason.trim() !== '' || saidOf(kind).due !== '';
  const missing = computed(() => groups.value.filter(({ kind }) => !isSaid(kind)).map(({ kind }) => kind));

  /** The entries that say it: what stays open for the hand-over, and a follow-up for each day. */
  function entries(): {
    readonly open: NonNullable<Extract<EntryBody, { kind: 'handedOver' }>['open']>;
    readonly followUps: readonly EntryBody[];
  } {
    return {
      open: groups.value.map(({ kind, items }) => ({
        kind,
        items: items.map(({ id }) => id),
        reason: cutText(saidOf(kind).reason.trim(), LONGEST_TEXT),
        followUp: saidOf(kind).due === '' ? null : followUpOf(kind),
      })),
      followUps: groups.value.flatMap(({ kind, items }): EntryBody[] => {
        const { due, reason } = saidOf(kind);
        if (due === '') return [];
        const what = cutText(whatFor(kind, items, reason.trim()), LONGEST_TEXT);
        return [{ kind: 'followUp', id: followUpOf(kind), followUp: { due, what, done: false } }];
      }),
    };
  }
  const settle = () => typed.clear();
  return { groups, notBack, saidOf, say, missing, entries, settle };
}

function whatFor(kind: OpenKind, items: readonly OpenItem[], reason: string): string {
  const named = items.slice(0, NAMED).map(({ id, words }) => (kind === 'codes' ? id : inWords(words)));
  const more = items.length > NAMED ? ` and ${items.length - NAMED} more` : '';
  const list = `${countWords(kind, items.length)}: ${named.join(kind === 'codes' ? ', ' : ' ')}${more}`;
  return reason === '' ? list : `${list} (${reason})`;
}

function kept(key: string): Map<OpenKind, Said> {
  try {
    return new Map(JSON.parse(localStorage.getItem(key) ?? '[]') as [OpenKind, Said][]);
  } catch {
    return new Map();
  }
}
