import type { RouteName } from '@brine/contract/paths';
import type { AnswerKeeper } from '../api/keptAnswers.ts';
import { kept } from './keptStorage.ts';

/** Lists that are searched by the server; without it their last whole answer is searched here. */
const searched: ReadonlySet<RouteName> = new Set<RouteName>(['jobs', 'units', 'sites', 'places']);

/** Keeps answers under the person signed in, on this device. */
export function answersOf(person: () => string | null): AnswerKeeper {
  return {
    keep(address, json) {
      const who = person();
      if (who === null) return;
      void kept().keepAnswer({ person: who, address, json, at: new Date().toISOString() });
    },
    async find(name, address) {
      const who = person();
      if (who === null) return undefined;
      const exact = await kept().answer(who, address);
      if (exact) return exact.json;
      if (!searched.has(name)) return undefined;
      const [path, query = ''] = address.split('?');
      const asked = new URLSearchParams(query);
      const text = asked.get('search') ?? '';
      const whole = await kept().answer(who, `${path}?search=&archived=${asked.get('archived') ?? 'false'}`);
      return whole && searchIn(whole.json, text);
    },
  };
}

/** A list's answer with only those lines whose texts hold every word. */
export function searchIn(answer: unknown, text: string): unknown {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const holds = (line: unknown) => {
    const all = JSON.stringify(line).toLowerCase();
    return words.every((word) => all.includes(word));
  };
  return Object.fromEntries(
    Object.entries(answer as Record<string, unknown>).map(([key, lines]) => [
      key,
      Array.isArray(lines) ? lines.filter(holds) : lines,
    ]),
  );
}
