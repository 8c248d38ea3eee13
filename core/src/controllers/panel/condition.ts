/** How a control stands apart from its values: what the deeds of its panel change and show. */
export interface Condition {
  readonly defrost: boolean;
  readonly standby: boolean;
  /** The keys are locked: menus stay shut until a deed unlocks them. */
  readonly locked: boolean;
  readonly silenced: boolean;
  /** Codes of the alarms that stand, oldest first. */
  readonly alarms: readonly string[];
  /** The alarm that is on the display while somebody pages through them. */
  readonly page: string | null;
}

/** Nothing stands: no defrost, no alarm, keys free. */
export const atEase: Condition = {
  defrost: false,
  standby: false,
  locked: false,
  silenced: false,
  alarms: [],
  page: null,
};

/** What turns a condition on and what turns it off. Where one gesture does both, the panel takes the one that applies. */
const turns: Readonly<Record<string, readonly [keyof Condition, boolean]>> = {
  startDefrost: ['defrost', true],
  stopDefrost: ['defrost', false],
  standbyOn: ['standby', true],
  standbyOff: ['standby', false],
  lock: ['locked', true],
  unlock: ['locked', false],
};

/** With the keys locked only looking, silencing and unlocking are left. */
const whileLocked = /^(unlock|silence|show)/;

/** True where a deed can be done as the control stands: no defrost is started twice, no lock opened that is not shut. */
export function deedApplies(does: string, condition: Condition): boolean {
  if (condition.locked && !whileLocked.test(does)) return false;
  const turn = turns[does];
  return turn === undefined || condition[turn[0]] !== turn[1];
}

/** The condition from which a deed can be done, nearest to the one given. */
export function readyFor(does: string, condition: Condition = atEase): Condition {
  const turn = turns[does];
  const free = whileLocked.test(does) ? condition : { ...condition, locked: false };
  return turn ? { ...free, [turn[0]]: !turn[1] } : free;
}

/** The condition after a deed. Paging goes on to the next alarm; clearing takes the one on display, else the oldest. */
export function afterDeed(does: string, before: Condition): Condition {
  const turn = turns[does];
  const condition = does === 'showAlarms' || does === 'clearAlarm' ? before : { ...before, page: null };
  if (turn) return { ...condition, [turn[0]]: turn[1] };
  if (does === 'silence') return { ...condition, silenced: true };
  if (does === 'showAlarms') return { ...condition, page: nextPage(condition) };
  if (does === 'clearAlarm') {
    const cleared = condition.page ?? condition.alarms[0];
    return { ...condition, alarms: condition.alarms.filter((code) => code !== cleared), page: null };
  }
  return condition;
}

function nextPage({ alarms, page }: Condition): string | null {
  return alarms[page === null ? 0 : alarms.indexOf(page) + 1] ?? null;
}
