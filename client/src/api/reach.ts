import { useSyncExternalStore } from 'react';

/** Whether the server is in reach, and whether it is the one that this page was made for. */
export interface ReachState {
  /** Since when it has not answered; none while it does. */
  silentSince: string | null;
  /** When it was heard of last. */
  heardAt: string | null;
  /** Whether it serves a newer client than this page. */
  isNewer: boolean;
}

/** As long as a keeper waits after "Try now". */
const tryMs = 5000;

/** Says of the page which client it is; written by the server into the page. */
const ownClient = (): string | null =>
  typeof document === 'undefined'
    ? null
    : (document.querySelector<HTMLMetaElement>('meta[name=lantern-client]')?.content ?? null);

/** Keeps what every request tells of the server by coming back or not. */
export class Reach {
  #state: ReachState = { silentSince: null, heardAt: null, isNewer: false };
  readonly #listeners = new Set<() => void>();
  readonly #back = new Set<() => void>();

  constructor(private readonly parts: { now: () => Date; client: () => string | null }) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Calls back whenever the server is in reach again. */
  readonly whenBack = (again: () => void): (() => void) => {
    this.#back.add(again);
    return () => this.#back.delete(again);
  };

  readonly state = (): ReachState => this.#state;

  /** It has answered, and says which client it serves. */
  heard(client: string | null = null): void {
    const was = this.#state;
    const own = this.parts.client();
    // Noted without a word to the page: only what changes what is seen is told.
    this.#state = {
      silentSince: null,
      heardAt: this.parts.now().toISOString(),
      isNewer: was.isNewer || (client !== null && own !== null && client !== own),
    };
    if (was.silentSince !== null || was.isNewer !== this.#state.isNewer) {
      this.#tell(this.#listeners);
    }
    if (was.silentSince !== null) {
      this.#tell(this.#back);
    }
  }

  /** When it was heard of last by an earlier page; what is shown is of then. */
  heardBefore(at: Date): void {
    if (this.#state.heardAt === null) {
      this.#state = { ...this.#state, heardAt: at.toISOString() };
      this.#tell(this.#listeners);
    }
  }

  /** Asks whether it is there; whatever comes of it is noted. */
  async tryNow(): Promise<void> {
    try {
      const answer = await fetch('/api/health', { signal: AbortSignal.timeout(tryMs) });
      this.heard(answer.headers.get('X-Lantern-Client'));
    } catch {
      this.silent();
    }
  }

  /** It has not. */
  silent(): void {
    if (this.#state.silentSince === null) {
      this.#state = { ...this.#state, silentSince: this.parts.now().toISOString() };
      this.#tell(this.#listeners);
    }
  }

  #tell(listeners: ReadonlySet<() => void>): void {
    listeners.forEach((listener) => listener());
  }
}

export const reach = new Reach({ now: () => new Date(), client: ownClient });

export const useReach = () => useSyncExternalStore(reach.subscribe, reach.state);
