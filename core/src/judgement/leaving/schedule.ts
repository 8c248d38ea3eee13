/** Who and what is busy in a phase, as bits: hands, the machine, the probe that it regulates by. */
export const busy = { hands: 1, machine: 2, probe: 4 } as const;
const RESOURCES = 3;

/** A part of a task that follows the part before it at once. */
export interface TaskPhase {
  readonly seconds: number;
  readonly uses: number;
}

/** One way to do a task: what it is worth, and how many things are borrowed for it. */
export interface TaskWay {
  readonly phases: readonly TaskPhase[];
  readonly worth: number;
  readonly borrows: number;
  /** It cannot begin before, s from now. */
  readonly notBefore: number;
}

/** Something to be done in one go, in one of some ways. */
export interface Task {
  readonly id: string;
  readonly ways: readonly TaskWay[];
  /** Tasks that must be over before. */
  readonly after: readonly string[];
  /** It has begun so many seconds ago, and goes on. */
  readonly begun?: number;
}

/** A task in its place, s from now. */
export interface PlacedTask {
  readonly id: string;
  readonly way: number;
  readonly start: number;
  readonly end: number;
}

/** An order of tasks, in the order in which they begin. */
export interface Schedule {
  readonly placed: readonly PlacedTask[];
  readonly worth: number;
  readonly borrows: number;
  /** When the last is over, s from now. */
  readonly end: number;
}

/** The best order that was found, and whether no other was left to be tried. */
export interface Best extends Schedule {
  readonly isProven: boolean;
}

type Busy = readonly (readonly (readonly [from: number, to: number])[])[];
const idle: Busy = Array.from({ length: RESOURCES }, () => []);

const lengthOf = ({ phases }: TaskWay): number => phases.reduce((sum, { seconds }) => sum + seconds, 0);

/** The first moment from `from` on at which nothing that a way uses is busy. */
function earliest(taken: Busy, { phases }: TaskWay, from: number): number {
  let start = from;
  for (let moved = true; moved;) {
    moved = false;
    let at = start;
    for (const { seconds, uses } of phases) {
      for (let r = 0; r < RESOURCES; r += 1) {
        if (!(uses & (1 << r))) continue;
        const hit = taken[r]!.find(([a, b]) => a < at + seconds - 1e-6 && at < b - 1e-6);
        if (!hit) continue;
        start += hit[1] - at;
        moved = true;
        break;
      }
      if (moved) break;
      at += seconds;
    }
  }
  return start;
}

function withTask(taken: Busy, { phases }: TaskWay, start: number): Busy {
  const next = taken.map((list) => [...list]);
  let at = start;
  for (const { seconds, uses } of phases) {
    for (let r = 0; r < RESOURCES; r += 1)
      if (uses & (1 << r) && seconds > 0) next[r]!.push([at, at + seconds]);
    at += seconds;
  }
  return next;
}

/**
 * Places tasks one after the other, each at the first moment at which all that it uses is free; what would end after `limit` is left out, and what comes after it. Seconds.
 */
export function placeInOrder(
  tasks: readonly Task[],
  order: readonly { readonly id: string; readonly way: number }[],
  limit = Infinity,
): Schedule {
  let taken = idle;
  const placed: PlacedTask[] = [];
  let [worth, borrows] = [0, 0];
  for (const { id, way } of order) {
    const task = tasks.find((one) => one.id === id)!;
    const chosen = task.ways[way]!;
    const start = startOf(task, chosen, taken, placed);
    if (start === null) continue;
    const end = start + lengthOf(chosen);
    if (end > limit + 1e-6) continue;
    taken = withTask(taken, chosen, start);
    placed.push({ id, way, start, end });
    worth += chosen.worth;
    borrows += chosen.borrows;
  }
  return { placed, worth, borrows, end: Math.max(0, ...placed.map((one) => one.end)) };
}

/** When a task can begin; null while one that must be over before is not placed. */
function startOf(task: Task, way: TaskWay, taken: Busy, placed: readonly PlacedTask[]): number | null {
  if (task.begun !== undefined) return 0 - task.begun;
  let from = Math.max(0, way.notBefore);
  for (const id of task.after) {
    const before = placed.find((one) => one.id === id);
    if (!before) return null;
    from = Math.max(from, before.end);
  }
  return earliest(taken, way, from);
}

/** More worth; then less borrowed; then sooner over. */
export function isBetter(a: Omit<Schedule, 'placed'>, b: Omit<Schedule, 'placed'>): boolean {
  if (Math.abs(a.worth - b.worth) > 1e-9) return a.worth > b.worth;
  if (a.borrows !== b.borrows) return a.borrows < b.borrows;
  return a.end < b.end - 1e-6;
}

/** So many placings are tried before the best so far is taken. */
const MOST_TRIES = 12_000;

/**
 * The best order of tasks within a time: what is worth most, then with the least borrowed, then the soonest over. A task is placed at the first moment it can, so that
 * waiting of one is filled by the next; every order, every way and every choice of what is left out is tried, cut short by bounds that lose nothing, up to `mostTries`.
 * What has begun is placed first.
 */
export function bestOrder(tasks: readonly Task[], limit: number, mostTries = MOST_TRIES): Best {
  const running = tasks.filter((task) => task.begun !== undefined);
  const open = tasks.filter((task) => task.begun === undefined).toSorted(byPromise);
  const first = placeInOrder(
    tasks,
    running.map(({ id }) => ({ id, way: 0 })),
  );
  const search = new Search(open, limit, mostTries);
  let taken = idle;
  for (const { id, start } of first.placed)
    taken = withTask(taken, running.find((task) => task.id === id)!.ways[0]!, start);
  search.from({ ...first, taken, left: open });
  return {
    ...search.best!,
    placed: search.best!.placed.toSorted((a, b) => a.start - b.start),
    isProven: search.tries < mostTries,
  };
}

/** What keeps the machine longest and is worth most comes first, so that a good order is found early. */
const byPromise = (a: Task, b: Task): number => promise(b) - promise(a);
const promise = ({ ways, after }: Task): number =>
  Math.max(...ways.map((way) => way.worth)) + lengthOf(ways[0]!) / 3600 - after.length;

interface Partial extends Schedule {
  readonly taken: Busy;
  readonly left: readonly Task[];
}

/** A search in depth over what comes next; what cannot be better than the best so far is not gone into, and no state twice. */
class Search {
  best: Schedule | null = null;
  tries = 0;
  private readonly seen = new Set<string>();
  private readonly limit: number;
  private readonly mostTries: number;
  private readonly place: ReadonlyMap<string, number>;

  constructor(tasks: readonly Task[], limit: number, mostTries: number) {
    this.limit = limit;
    this.mostTries = mostTries;
    this.place = new Map(tasks.map(({ id }, i) => [id, i]));
  }

  from(state: Partial): void {
    if (this.best === null || isBetter(state, this.best))
      this.best = { placed: state.placed, worth: state.worth, borrows: state.borrows, end: state.end };
    if (this.tries >= this.mostTries || !this.mayImprove(state)) return;
    for (const task of state.left) {
      if (!task.after.every((id) => !this.place.has(id) || state.placed.some((one) => one.id === id)))
        continue;
      task.ways.forEach((way, i) => {
        this.goOn(state, task, way, i);
      });
    }
  }

  private goOn(state: Partial, task: Task, way: TaskWay, i: number): void {
    if (this.tries >= this.mostTries) return;
    this.tries += 1;
    const from = Math.max(
      way.notBefore,
      0,
      ...state.placed.filter((one) => task.after.includes(one.id)).map((one) => one.end),
    );
    const start = earliest(state.taken, way, from);
    const end = start + lengthOf(way);
    if (end > this.limit + 1e-6) return;
    const placed = [...state.placed, { id: task.id, way: i, start, end }];
    // Two orders that put everything in the same place go on alike.
    const key = placed
      .map((one) => `${this.place.get(one.id) ?? one.id}.${one.way}.${Math.round(one.start)}`)
      .toSorted()
      .join(' ');
    if (this.seen.has(key)) return;
    this.seen.add(key);
    this.from({
      placed,
      worth: state.worth + way.worth,
      borrows: state.borrows + way.borrows,
      end: Math.max(state.end, end),
      taken: withTask(state.taken, way, start),
      left: state.left.filter((one) => one !== task),
    });
  }

  /** Whether what is left could still make it better than the best: all of it done, with the least borrowed, no sooner over than what keeps one of them busy. */
  private mayImprove({ worth, borrows, end, taken, left }: Partial): boolean {
    const most = left.reduce((sum, { ways }) => sum + Math.max(...ways.map((way) => way.worth)), 0);
    const least = left.reduce((sum, { ways }) => sum + Math.min(...ways.map((way) => way.borrows)), 0);
    if (left.length === 0) return false;
    const bound = { worth: worth + most, borrows, end };
    // Only where everything left is done, which is what equal worth asks, does all of it take its time.
    const whole = {
      worth: worth + most,
      borrows: borrows + least,
      end: Math.max(end, ...Array.from({ length: RESOURCES }, (_, r) => leastBusy(taken[r]!, left, r))),
    };
    const best = this.best!;
    return bound.worth > best.worth + 1e-9 ? true : isBetter(whole, best);
  }
}

/** When a resource is through at the soonest with what it has and all that is left. */
const leastBusy = (
  taken: readonly (readonly [number, number])[],
  left: readonly Task[],
  r: number,
): number => {
  const had = taken.reduce((sum, [a, b]) => sum + Math.max(0, b - Math.max(0, a)), 0);
  const more = left.reduce(
    (sum, { ways }) =>
      sum +
      Math.min(
        ...ways.map(({ phases }) =>
          phases.reduce((own, { seconds, uses }) => own + (uses & (1 << r) ? seconds : 0), 0),
        ),
      ),
    0,
  );
  return had + more;
};
