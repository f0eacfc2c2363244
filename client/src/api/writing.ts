import { useSyncExternalStore } from 'react';
import { api, csrfToken, Refusal, type Schemas, setToken, signedInAs, take } from './client';
import { wroteOurselves } from './own';
import { type Outgoing, Outbox, type OutboxStore, type Reply } from './outbox';
import { memoryStore, openOutboxStore } from './outboxStore';

/** Longer than any answer takes; after it the server is out of reach. */
const answerMs = 15_000;

// Where the browser keeps nothing, what waits lasts as long as the page.
const opened = openOutboxStore().catch(() => memoryStore());
const store: OutboxStore = {
  all: async () => await (await opened).all(),
  add: async (item) => await (await opened).add(item),
  put: async (item) => await (await opened).put(item),
  remove: async (seq) => await (await opened).remove(seq),
};

async function renewToken(): Promise<void> {
  try {
    setToken((await take(api.GET('/api/session'))).token);
  } catch (error) {
    // Out of reach: it is asked for again with the next try.
    if (!(error instanceof Refusal)) {
      throw error;
    }
  }
}

/** Sends one; a lost answer is no answer. */
async function send(item: Outgoing): Promise<Reply> {
  let response: Response;
  let answer: unknown;
  try {
    response = await fetch(item.path, {
      method: 'POST',
      headers: {
        'Content-Type': 'application/json',
        'X-Lantern-Token': csrfToken(),
        'X-Lantern-Tapped': item.tapped,
        'X-Lantern-Sent': new Date().toISOString(),
      },
      body: JSON.stringify(item.body),
      signal: AbortSignal.timeout(answerMs),
    });
    answer = await response.json();
  } catch {
    return { kind: 'unanswered' };
  }
  if (response.ok) {
    return { kind: 'written', answer };
  }
  if (response.status === 401) {
    return { kind: 'signIn' };
  }
  if (response.status >= 500 || response.status === 429 || response.status === 408) {
    return { kind: 'unanswered' };
  }
  const problem = answer as { title?: string; code?: string; errors?: Record<string, string[]> };
  if (problem.code === 'token') {
    // The proof of this page is out of date, for instance after signing in elsewhere: a new one, and once more.
    await renewToken();
    return { kind: 'unanswered' };
  }
  return {
    kind: 'refused',
    why: {
      title: problem.title ?? `The server answered ${response.status}.`,
      fields: problem.errors ?? {},
      status: response.status,
    },
  };
}

let afterWriting: (item: Outgoing, answer: unknown) => Promise<void> = () => Promise.resolve();

/** Says what is to be read anew once something was written. */
export const whenWritten = (after: typeof afterWriting): void => {
  afterWriting = after;
};

export const outbox = new Outbox({
  store,
  send,
  written: (item, answer) => afterWriting(item, answer),
  now: () => new Date(),
  me: signedInAs,
  later: (again, ms) => void setTimeout(again, ms),
});

export const useOutbox = () => useSyncExternalStore(outbox.subscribe, outbox.state);

const sitterRoot = '/api/sit/';

/** The secret of the sitter's link through which something is written; none for the keeper's own. */
export const sitterSecret = (item: Outgoing): string | null =>
  item.path.startsWith(sitterRoot) ? (item.path.slice(sitterRoot.length).split('/')[0] ?? null) : null;

/** What was written, or that it waits; what the server refused is thrown. */
export async function write<T>(
  made: Omit<Outgoing, 'seq' | 'tapped' | 'setAside' | 'by'>,
  shows: boolean,
): Promise<T | null> {
  wroteOurselves(...made.ids);
  const by = made.path.startsWith(sitterRoot) ? null : signedInAs();
  const outcome = await outbox.write({ ...made, by }, shows);
  if (outcome.kind === 'refused') {
    throw new Refusal(outcome.why.title, outcome.why.fields, outcome.why.status);
  }
  return outcome.kind === 'written' ? (outcome.answer as T) : null;
}

/** "cultureStarted" as it is said: "culture started". */
const spoken = (kind: string): string => kind.replace(/[A-Z]/g, (capital) => ` ${capital.toLowerCase()}`);

/** What belongs to no animal is written in order with its like. */
const ofTheRoom = <T>(about: 'chores' | 'larder', body: { id: string; act: { kind: string } }) =>
  write<T>(
    { path: `/api/${about}/journal`, body, ids: [body.id], about: [about], text: spoken(body.act.kind) },
    true,
  );

/** Entries of one animal, of many, or one taken back; of chores and larder; ticks of a sitter. */
export const writing = {
  log: (stockId: string, body: Schemas['LogRequest'], text: string, shows: boolean) =>
    write<Schemas['AnimalView']>(
      { path: `/api/stock/${stockId}/journal`, body, ids: [body.id], about: [stockId], text },
      shows,
    ),
  undo: (stockId: string, body: Schemas['UndoRequest'], text: string) =>
    write<Schemas['AnimalView']>(
      { path: `/api/stock/${stockId}/journal/undo`, body, ids: [body.id], about: [stockId], text },
      false,
    ),
  batch: (body: Schemas['BatchRequest'], text: string) =>
    write<Schemas['BatchWritten']>(
      {
        path: '/api/journal/batch',
        body,
        ids: body.entries.map((e) => e.id),
        about: [...new Set(body.entries.map((e) => e.stockId))],
        text,
      },
      false,
    ),
  chore: (body: Schemas['ChoreRequest']) => ofTheRoom<Schemas['ChoresView']>('chores', body),
  larder: (body: Pick<Schemas['LarderRequest'], 'id' | 'act'>) =>
    ofTheRoom<Schemas['LarderWritten']>('larder', body),
  tick: (secret: string, body: Schemas['TickRequest'], text: string) =>
    write<Schemas['SitterView']>(
      { path: `${sitterRoot}${secret}/ticks`, body, ids: [body.id], about: [body.stockId], text },
      body.tick === 'looksWrong',
    ),
};
