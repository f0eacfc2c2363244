import type { BothSides } from './client';
import type { Topic } from './topics';

/** What is wrong with an entry that the server refused. */
export interface SetAside {
  title: string;
  fields: Readonly<Record<string, readonly string[]>>;
  status: number;
  /** What is there instead, where both cannot stand. */
  both: BothSides | null;
}

/** Something to be written, kept until the server has it. */
export interface Outgoing {
  /** Order in which it was made. */
  seq: number;
  method: 'POST' | 'PUT' | 'DELETE';
  path: string;
  /** Sent as JSON; a picture as it is. */
  body: unknown;
  /** What it changes, so that whatever shows that is asked anew. */
  topic: Topic;
  /** Number of the newest entry that was on screen; none where it is written whatever others wrote. */
  seen: number | null;
  /** Ids of the entries in it: the same id is written once, however often it is sent. */
  ids: readonly string[];
  /** What must be written in order: the animals that it is about. */
  about: readonly string[];
  /** What it is, in a few words, for as long as the server has not put it into its own. */
  text: string;
  /** Who was signed in; none where nobody is asked, or a link speaks for itself. */
  by: string | null;
  /** Instant of the tap. */
  tapped: string;
  /** Why the server refused it; it then waits for the keeper. */
  setAside: SetAside | null;
}

/** Where it is kept. */
export interface OutboxStore {
  all: () => Promise<Outgoing[]>;
  add: (item: Omit<Outgoing, 'seq'>) => Promise<number>;
  put: (item: Outgoing) => Promise<void>;
  remove: (seq: number) => Promise<void>;
}

/** What came of sending. */
export type Reply =
  | { kind: 'written'; answer: unknown }
  | { kind: 'refused'; why: SetAside }
  /** Nobody knows whether it was written: it is sent again under the same ids. */
  | { kind: 'unanswered' }
  | { kind: 'signIn' };

export type Outcome =
  { kind: 'written'; answer: unknown } | { kind: 'waiting' } | { kind: 'refused'; why: SetAside };

/** What is seen of it. */
export interface OutboxState {
  items: readonly Outgoing[];
  /** Since when the server has not answered; none while it does. */
  silentSince: string | null;
  signIn: boolean;
  /** Whether the browser keeps what waits when the page is closed. */
  isKept: boolean;
}

interface Parts {
  store: OutboxStore;
  send: (item: Outgoing) => Promise<Reply>;
  /** Shows what was written; the item is listed until that is done, so that nothing jumps. */
  written: (item: Outgoing, answer: unknown) => Promise<void>;
  now: () => Date;
  /** Who is signed in. */
  me: () => string | null;
  /** Calls back later; only while something waits. */
  later: (again: () => void, ms: number) => void;
  /** Tells the other pages of this browser that something changed. */
  tell: () => void;
}

/** How long one waits for an answer before one is told that it waits. */
const patienceMs = 2500;
const pausesMs = [500, 1000, 2000, 4000, 8000, 15_000];

/**
 * Everything that is to be written, in the order in which it was tapped. It is kept before it is sent, sent until there is an
 * answer, and set aside when it is refused; only what is about the same animal waits for that.
 */
export class Outbox {
  #items: Outgoing[] = [];
  #state: OutboxState = { items: [], silentSince: null, signIn: false, isKept: true };
  readonly #listeners = new Set<() => void>();
  readonly #asked = new Map<number, { settle: (outcome: Outcome) => void; shows: boolean }>();
  readonly #parts: Parts;
  #inFlight: number | null = null;
  #delivering = false;
  #failures = 0;
  #due = false;

  constructor(parts: Parts) {
    this.#parts = parts;
  }

  /** Takes up what an earlier page has left, or what another page of this browser has changed. */
  async open(): Promise<void> {
    const kept = await this.#parts.store.all();
    const here = this.#items.filter(
      (item) => kept.every((k) => k.seq !== item.seq) && this.#mine.has(item.seq) && item.setAside === null,
    );
    // What this page is about to send it goes on to send, whatever became of it elsewhere: the same id is written once.
    this.#items = [...kept, ...here].sort((a, b) => a.seq - b.seq);
    this.#emit();
    void this.deliver();
  }

  /** The browser keeps nothing: what waits lasts as long as the page. */
  keepsNothing(): void {
    this.#state = { ...this.#state, isKept: false };
    this.#emit();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  readonly state = (): OutboxState => this.#state;

  /**
   * Keeps something and sends it.
   * @param shows Whether the one who asks shows a refusal at its fields; else it is set aside.
   */
  async write(made: Omit<Outgoing, 'seq' | 'tapped' | 'setAside'>, shows: boolean): Promise<Outcome> {
    const fresh = { ...made, tapped: this.#parts.now().toISOString(), setAside: null };
    const item: Outgoing = { ...fresh, seq: await this.#parts.store.add(fresh) };
    this.#mine.add(item.seq);
    this.#items = [...this.#items.filter((i) => i.seq !== item.seq), item];
    this.#changed();
    if (this.#state.silentSince !== null || this.#state.signIn) {
      // Out of reach already: it waits, and the try that is made with every tap says when that is over.
      void this.deliver();
      return { kind: 'waiting' };
    }
    return await new Promise((resolve) => {
      this.#asked.set(item.seq, { settle: resolve, shows });
      this.#parts.later(() => this.#settle(item.seq, { kind: 'waiting' }), patienceMs);
      void this.deliver();
    });
  }

  /** Takes back what was not sent yet. Says whether it was in time. */
  async recall(ids: readonly string[]): Promise<boolean> {
    const item = this.#items.find((i) => i.ids.some((id) => ids.includes(id)));
    if (
      item === undefined ||
      item.seq === this.#inFlight ||
      this.#mayBeWritten.has(item.seq) ||
      this.#finished.has(item.seq)
    ) {
      return false;
    }
    await this.drop(item.seq);
    return true;
  }

  /** Gives up something that was set aside. */
  async drop(seq: number): Promise<void> {
    await this.#parts.store.remove(seq);
    this.#forget(seq);
    void this.deliver();
  }

  /** Sends again what was set aside, changed or as it is. */
  async again(
    seq: number,
    change: Partial<Pick<Outgoing, 'body' | 'tapped' | 'seen' | 'ids'>> = {},
  ): Promise<void> {
    await this.#change(seq, { ...change, setAside: null });
    void this.deliver();
  }

  /** Whether something may be written under the name of who is signed in. */
  isMine(item: Outgoing): boolean {
    return item.by === null || item.by === this.#parts.me();
  }

  /** The server was heard of: what waits is sent now. */
  poke(): void {
    this.#failures = 0;
    void this.deliver();
  }

  /** What was made on this page. */
  readonly #mine = new Set<number>();
  /** What was sent and not answered may be written already. */
  readonly #mayBeWritten = new Set<number>();
  /** What was written and is listed until it is shown. */
  readonly #finished = new Set<number>();

  /** Sends everything in order, one after another, until there is no answer. */
  async deliver(): Promise<void> {
    if (this.#delivering) {
      return;
    }
    this.#delivering = true;
    try {
      for (let item = this.#next(); item !== undefined; item = this.#next()) {
        if (!(await this.#deliverOne(item))) {
          return;
        }
      }
      // Told only when all that could be sent is written: until then some of it still waits.
      this.#show({ signIn: false, silentSince: null });
    } finally {
      this.#delivering = false;
    }
  }

  async #deliverOne(item: Outgoing): Promise<boolean> {
    this.#inFlight = item.seq;
    const reply = await this.#parts.send(item);
    this.#inFlight = null;
    if (reply.kind === 'unanswered') {
      this.#mayBeWritten.add(item.seq);
      this.#show({ silentSince: this.#state.silentSince ?? this.#parts.now().toISOString() });
      this.#allWait();
      this.#comeAgain();
      return false;
    }
    this.#failures = 0;
    this.#mayBeWritten.delete(item.seq);
    if (reply.kind === 'signIn') {
      this.#show({ signIn: true, silentSince: null });
      this.#allWait();
      return false;
    }
    if (reply.kind === 'written') {
      await this.#parts.store.remove(item.seq);
      this.#finished.add(item.seq);
      const asked = this.#asked.get(item.seq);
      this.#asked.delete(item.seq);
      void this.#parts.written(item, reply.answer).finally(() => {
        asked?.settle({ kind: 'written', answer: reply.answer });
        this.#forget(item.seq);
      });
    } else if (reply.why.both === null && this.#asked.get(item.seq)?.shows === true) {
      // Its form is still open and shows what is wrong.
      await this.#parts.store.remove(item.seq);
      this.#settle(item.seq, { kind: 'refused', why: reply.why });
      this.#forget(item.seq);
    } else {
      await this.#change(item.seq, { setAside: reply.why });
      // Where both sides are shown, nothing is wrong in the form: it waits for the keeper to say which shall stand.
      this.#settle(
        item.seq,
        reply.why.both === null ? { kind: 'refused', why: reply.why } : { kind: 'waiting' },
      );
    }
    return true;
  }

  /** The first that is not set aside, nor about what is, and that was not tapped by somebody else. */
  #next(): Outgoing | undefined {
    const held = new Set<string>();
    return this.#items.find((item) => {
      if (this.#finished.has(item.seq)) {
        return false;
      }
      const free =
        item.setAside === null && this.isMine(item) && item.about.every((about) => !held.has(about));
      if (!free) {
        item.about.forEach((about) => held.add(about));
      }
      return free;
    });
  }

  #comeAgain(): void {
    if (this.#due) {
      return;
    }
    this.#due = true;
    const pause = pausesMs[Math.min(this.#failures++, pausesMs.length - 1)] ?? patienceMs;
    this.#parts.later(() => {
      this.#due = false;
      void this.deliver();
    }, pause);
  }

  /** Nobody waits for an answer that does not come. */
  #allWait(): void {
    [...this.#asked.keys()].forEach((seq) => this.#settle(seq, { kind: 'waiting' }));
  }

  #settle(seq: number, outcome: Outcome): void {
    this.#asked.get(seq)?.settle(outcome);
    this.#asked.delete(seq);
  }

  async #change(seq: number, change: Partial<Outgoing>): Promise<void> {
    const former = this.#items.find((item) => item.seq === seq);
    if (former !== undefined) {
      const changed = { ...former, ...change };
      await this.#parts.store.put(changed);
      this.#items = this.#items.map((item) => (item.seq === seq ? changed : item));
      this.#changed();
    }
  }

  #forget(seq: number): void {
    this.#mayBeWritten.delete(seq);
    this.#finished.delete(seq);
    this.#mine.delete(seq);
    this.#items = this.#items.filter((item) => item.seq !== seq);
    this.#changed();
  }

  #changed(): void {
    this.#emit();
    this.#parts.tell();
  }

  #show(change: Partial<OutboxState>): void {
    const { silentSince = this.#state.silentSince, signIn = this.#state.signIn } = change;
    if (silentSince !== this.#state.silentSince || signIn !== this.#state.signIn) {
      this.#state = { ...this.#state, silentSince, signIn };
      this.#listeners.forEach((listener) => listener());
    }
  }

  #emit(): void {
    this.#state = { ...this.#state, items: this.#items };
    this.#listeners.forEach((listener) => listener());
  }
}
