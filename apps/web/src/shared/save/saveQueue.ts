import { merge, sameData, withValue, type Conflict } from '@urbild/core';

/** A document as the server has it. */
export interface Stored<S> {
  readonly state: S;
  readonly version: number;
}

/** One step of undo: what a person changed from and to. */
export interface Step<S> {
  readonly before: S;
  readonly after: S;
}

/** What is kept by the browser of a document: it survives a reload and a closed page. */
export interface Kept<S> {
  readonly base: Stored<S>;
  readonly mine: S;
  readonly past: readonly Step<S>[];
  readonly future: readonly Step<S>[];
}

/** The way to the server. */
export interface Port<S> {
  /** Saves fields that changed, based on a version. Throws {@link Stale}, {@link Refused}, or anything else when it may go well later. */
  send(change: Partial<S>, basedOn: number, urgent: boolean): Promise<Stored<S>>;
}

/** The server has a newer version than the one that a change was based on. */
export class Stale<S> extends Error {
  constructor(readonly current: Stored<S>) {
    super('stale');
  }
}

/** The server will never take this change; the message says why. */
export class Refused extends Error {}

/** Whoever edits may not do so now; the message says why. They may be let again, or give their changes up. */
export class Withheld extends Error {}

/** What a document looks like now. The same object as long as nothing changes. */
export interface View<S> {
  readonly state: S;
  /** The server has all of it. */
  readonly saved: boolean;
  /** Why it is not saved yet, as a sentence; it is tried again by itself. */
  readonly problem?: string;
  /** It waits until whoever edits may do so again. */
  readonly withheld?: boolean;
  /** Fields that somebody else changed too; nothing is saved until they are decided. */
  readonly conflicts: readonly Conflict[];
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

interface Options<S> {
  readonly port: Port<S>;
  /** Called whenever what has to survive a reload has changed. */
  readonly keep?: (kept: Kept<S>) => void;
  /** Called when the server has taken a change. */
  readonly onSaved?: (stored: Stored<S>) => void;
  /** Called when a change was refused for good and was taken back. */
  readonly onRefused?: (reason: string) => void;
}

const STEPS = 100;
/** Milliseconds until a change that did not reach the server is sent again: doubled each time. */
const RETRY = { first: 500, longest: 15_000 };
/** Milliseconds of typing that are one step of undo. */
const TYPING = 900;

/** Fields of `next` that differ from `before`. */
function changed<S extends object>(before: S, next: S): Partial<S> {
  const names = Object.keys({ ...before, ...next }) as (keyof S)[];
  return Object.fromEntries(names.filter((n) => !sameData(before[n], next[n])).map((n) => [n, next[n]])) as Partial<S>;
}

/**
 * One document that is edited here: changes show at once and are sent one after the other, never two at a time, so that no write meets
 * another of the same page. What comes together goes together; what does not arrive is sent again until it does; what others changed
 * meanwhile is merged field by field, and only a field that both changed is asked about. Undo takes back one's own steps and leaves what
 * others did. Everything that is not on the server is handed to `keep`.
 */
export class SaveQueue<S extends object> {
  private base: Stored<S>;
  private mine: S;
  private past: readonly Step<S>[] = [];
  private future: readonly Step<S>[] = [];
  private conflicts: readonly Conflict[] = [];
  private problem?: string;
  private withheld = false;
  private beforeDrag?: S;
  private typedAt = -Infinity;
  private sending?: Promise<void>;
  private timer?: ReturnType<typeof setTimeout>;
  private wait = RETRY.first;
  private listeners = new Set<() => void>();
  private seen!: View<S>;

  constructor(
    stored: Stored<S>,
    private options: Options<S>,
  ) {
    this.base = stored;
    this.mine = stored.state;
    this.look();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly view = (): View<S> => this.seen;

  /** Who is told; the newest view of a document decides. */
  listen(options: Pick<Options<S>, 'onSaved' | 'onRefused'>): void {
    this.options = { ...this.options, ...options };
  }

  /**
   * Changes the document. While `live` (a drag) no step of undo is made; the change that ends the drag makes one. `typed` steps that
   * follow each other quickly are one. It is sent after `wait` milliseconds of rest.
   */
  change(make: (state: S) => S, { live = false, typed = false, wait = 4 } = {}): void {
    const before = this.mine;
    const next = make(before);
    if (live) this.beforeDrag ??= before;
    else {
      this.note(this.beforeDrag ?? before, next, typed);
      this.beforeDrag = undefined;
    }
    this.put(next, wait);
  }

  /** Sets fields as they were decided upon while looking at `seen`, which may be a moment old: what changed since stays. */
  set(fields: Partial<S>, seen: S, options?: Parameters<SaveQueue<S>['change']>[1]): void {
    this.change((state) => merge(seen, state, { ...seen, ...fields }).merged, options);
  }

  readonly undo = (): void => this.step('past', ({ before, after }) => merge(after, before, this.mine).merged);
  readonly redo = (): void => this.step('future', ({ before, after }) => merge(before, after, this.mine).merged);

  /** The server's state was read. */
  arrived(stored: Stored<S>): void {
    if (stored.version <= this.base.version) return;
    this.rebase(stored);
    this.put(this.mine, 4);
  }

  /** Takes over what was kept before a reload, or by a window that is closed: edits, and the steps of undo. */
  restore({ base, mine, past, future }: Kept<S>): void {
    const { merged, conflicts } = merge(base.state, this.base.state, mine);
    const [here, since] = [this.mine, this.base.state];
    // what was edited here before this was found stays as well
    this.mine = merge(since, here, merged).merged;
    this.conflicts = [...this.conflicts, ...conflicts];
    this.past = [...past, ...this.past].slice(-STEPS);
    this.future = future;
    this.put(this.mine, 4);
  }

  /** Gives up everything that is not saved. */
  giveUp(): void {
    clearTimeout(this.timer);
    this.conflicts = [];
    this.put(this.base.state, 4);
  }

  /** Decides a field that somebody else changed too. */
  decide(conflict: Conflict, take: 'mine' | 'theirs'): void {
    this.conflicts = this.conflicts.filter((c) => c !== conflict);
    this.put(take === 'theirs' ? withValue(this.mine, conflict.path, conflict.theirs) : this.mine, 4);
  }

  /** Sends what is not saved yet now; resolves when the server has it, or when it could not be sent. */
  async flush(): Promise<void> {
    clearTimeout(this.timer);
    if (!this.sending) this.wait = RETRY.first;
    await this.pump();
  }

  /** The page is going away: what is not saved is sent once more in a way that outlives it. */
  sendUrgently(): void {
    if (!this.seen.saved && !this.conflicts.length)
      void this.options.port.send(changed(this.base.state, this.mine), this.base.version, true).catch(() => undefined);
  }

  private note(before: S, after: S, typed: boolean): void {
    if (sameData(before, after)) return;
    const last = this.past[this.past.length - 1];
    const goesOn = typed && Date.now() - this.typedAt < TYPING && last && sameData(last.after, before);
    this.typedAt = typed ? Date.now() : -Infinity;
    const step = goesOn ? { before: last.before, after } : { before, after };
    this.past = [...this.past.slice(0, goesOn ? -1 : undefined), step].slice(-STEPS);
    this.future = [];
  }

  private step(from: 'past' | 'future', apply: (step: Step<S>) => S): void {
    const step = this[from][this[from].length - 1];
    if (!step) return;
    const to = from === 'past' ? 'future' : 'past';
    const next = apply(step);
    this[from] = this[from].slice(0, -1);
    // what is done again is just what this step did, whatever others did meanwhile
    this[to] = [...this[to], step];
    this.typedAt = -Infinity;
    this.put(next, 4);
  }

  private rebase(theirs: Stored<S>): void {
    const { merged, conflicts } = merge(this.base.state, theirs.state, this.mine);
    this.base = theirs;
    this.mine = merged;
    this.conflicts = [...this.conflicts, ...conflicts];
  }

  private put(next: S, wait: number): void {
    this.mine = next;
    this.look();
    this.keep();
    if (this.seen.saved || this.conflicts.length) return;
    this.schedule(wait);
  }

  private schedule(wait: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.pump(), wait);
  }

  private pump(): Promise<void> {
    this.sending ??= this.send().finally(() => {
      this.sending = undefined;
    });
    return this.sending;
  }

  private async send(): Promise<void> {
    while (!sameData(this.base.state, this.mine) && !this.conflicts.length) {
      const sent = this.mine;
      try {
        const stored = await this.options.port.send(changed(this.base.state, sent), this.base.version, false);
        this.taken(sent, stored);
      } catch (error) {
        if (error instanceof Stale) {
          this.problem = undefined;
          this.rebase(error.current as Stored<S>);
        } else if (error instanceof Refused) this.takeBack(sent, error.message);
        else {
          this.problem = (error as Error).message;
          this.withheld = error instanceof Withheld;
          if (this.withheld) this.wait = RETRY.longest;
          this.look();
          this.schedule(this.wait);
          this.wait = Math.min(RETRY.longest, 2 * this.wait);
          return;
        }
      }
      this.look();
      this.keep();
    }
  }

  private taken(sent: S, stored: Stored<S>): void {
    this.problem = undefined;
    this.withheld = false;
    this.wait = RETRY.first;
    // the server may keep it in another form than it was sent in
    this.mine = merge(sent, stored.state, this.mine).merged;
    // a write that changed nothing there has the version that was known
    if (stored.version >= this.base.version) this.base = stored;
    this.options.onSaved?.(stored);
  }

  /** A change that nobody will ever take is undone here, but for what was changed after it was sent. */
  private takeBack(sent: S, reason: string): void {
    this.problem = undefined;
    this.mine = merge(sent, this.base.state, this.mine).merged;
    this.past = this.past.filter((step) => !sameData(step.after, sent));
    this.options.onRefused?.(reason);
  }

  private look(): void {
    const saved = sameData(this.base.state, this.mine);
    // what was undone before it could be sent is no problem any more
    if (saved) {
      this.problem = undefined;
      this.withheld = false;
    }
    const view: View<S> = {
      state: this.mine,
      saved,
      problem: this.problem,
      withheld: this.withheld,
      conflicts: this.conflicts,
      canUndo: this.past.length > 0,
      canRedo: this.future.length > 0,
    };
    this.seen = view;
    for (const listener of this.listeners) listener();
  }

  private keep(): void {
    this.options.keep?.({ base: this.base, mine: this.mine, past: this.past, future: this.future });
  }
}
