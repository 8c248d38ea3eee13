import { allStanding, standing, type Body } from '../fold/index.ts';
import { countWords, openKinds, type OpenKind } from './kinds.ts';
import { openItems, type JobParts, type OpenItem } from './openItems.ts';

/** Why items are left open at a hand-over, or when somebody comes back for them. */
export interface OpenAnswer {
  readonly kind: OpenKind;
  /** Ids of the items it was given for. */
  readonly items: readonly string[];
  readonly reason: string;
  /** The follow-up that was made of them; null: a reason alone. */
  readonly followUp: { readonly due: string; readonly what: string; readonly done: boolean } | null;
}

/** What a job leaves open, with what was said of it at the hand-over. */
export interface OpenWork {
  readonly items: readonly OpenItem[];
  readonly answers: readonly OpenAnswer[];
  /** Items for which nobody has said why; after a hand-over new ones among them. */
  readonly unanswered: readonly OpenItem[];
  /** Follow-ups that are not done, soonest first. */
  readonly followUps: readonly { readonly id: string; readonly due: string; readonly what: string }[];
}

/** Everything that is open on a job: one list, for its head, its hand-over, its papers and the lead. */
export function openWork(parts: JobParts): OpenWork {
  const { state } = parts;
  const items = openItems(parts);
  const followUps = allStanding(state, 'followUp').flatMap(({ id, followUp }) =>
    followUp ? [{ id, ...followUp }] : [],
  );
  const answers = answersOf(standing(state, 'handedOver', 'handedOver'), followUps);
  const isAnswered = (item: OpenItem) =>
    answers.some(
      (answer) =>
        answer.kind === item.kind &&
        answer.items.includes(item.id) &&
        // Once somebody was to have come back and has, the reason is used up.
        !(answer.followUp?.done && answer.reason === ''),
    );
  return {
    items,
    answers,
    unanswered: items.filter((item) => !isAnswered(item)),
    followUps: followUps
      .filter((f) => !f.done)
      .map(({ id, due, what }) => ({ id, due, what }))
      .toSorted((a, b) => a.due.localeCompare(b.due)),
  };
}

/** Open items by kind, in the order of the work. */
export const byKind = (items: readonly OpenItem[]) =>
  openKinds
    .map((kind) => ({ kind, items: items.filter((item) => item.kind === kind) }))
    .filter((group) => group.items.length > 0);

/** “15 codes not keyed in, 14 tests open”; empty where nothing is. */
export const openSummary = (items: readonly OpenItem[]): string =>
  byKind(items)
    .map(({ kind, items: list }) => countWords(kind, list.length))
    .join(', ');

type StandingFollowUp = NonNullable<Body<'followUp'>['followUp']> & { readonly id: string };

function answersOf(
  handed: Body<'handedOver'> | undefined,
  followUps: readonly StandingFollowUp[],
): readonly OpenAnswer[] {
  const isKind = (kind: string): kind is OpenKind => (openKinds as readonly string[]).includes(kind);
  return (handed?.open ?? []).flatMap(({ kind, items, reason, followUp }) => {
    const made = followUps.find(({ id }) => id === followUp);
    return isKind(kind)
      ? [{ kind, items, reason, followUp: made ? { due: made.due, what: made.what, done: made.done } : null }]
      : [];
  });
}
