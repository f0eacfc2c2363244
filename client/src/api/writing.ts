import { useMutation, type UseMutationResult } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { ask, type BothSides, Refusal } from './client';
import { isOurs, wroteOurselves } from './own';
import { type Outgoing, Outbox, type OutboxStore, type Reply } from './outbox';
import { carefulStore, openOutboxStore } from './outboxStore';
import { queryClient } from './queryClient';
import { csrfToken, sessionQuery, signedInAs } from './session';
import { written } from './topics';

interface Problem {
  title?: string;
  code?: string;
  errors?: Record<string, string[]>;
}

/** What was told twice only because this page was quicker than its own screen. */
const isOwnEcho = (both: BothSides): boolean =>
  both.kind === 'toldTwice' && isOurs(both.twice.map((t) => t.entryId));

function request(item: Outgoing): Request {
  const headers: Record<string, string> = {
    'X-Lantern-Token': csrfToken(),
    'X-Lantern-Tapped': item.tapped,
    'X-Lantern-Sent': new Date().toISOString(),
    ...(item.seen === null ? {} : { 'X-Lantern-Seen': String(item.seen) }),
  };
  const content =
    item.body === null
      ? {}
      : item.body instanceof Blob
        ? { body: item.body, type: item.body.type }
        : { body: JSON.stringify(item.body), type: 'application/json' };
  return new Request(new URL(item.path, window.location.origin), {
    method: item.method,
    headers: content.type === undefined ? headers : { ...headers, 'Content-Type': content.type },
    ...(content.body === undefined ? {} : { body: content.body }),
  });
}

/** Sends one; a lost answer is no answer. */
export async function send(item: Outgoing): Promise<Reply> {
  let response: Response;
  let answer: unknown;
  try {
    response = await ask(request(item));
    const text = await response.text();
    answer = text === '' ? null : JSON.parse(text);
    // eslint-disable-next-line no-restricted-syntax -- a lost answer is told as such, and shown by whoever lists what waits
  } catch {
    return { kind: 'unanswered' };
  }
  // What was to be gone and is gone needs no second word.
  if (response.ok || (item.method === 'DELETE' && response.status === 404)) {
    return { kind: 'written', answer };
  }
  if (response.status === 401) {
    return { kind: 'signIn' };
  }
  if (response.status >= 500 || response.status === 429 || response.status === 408) {
    return { kind: 'unanswered' };
  }
  const problem = answer as Problem;
  if (problem.code === 'token') {
    // The proof of this page is out of date, for instance after signing in elsewhere: a new one, and once more.
    await queryClient.query({ ...sessionQuery, staleTime: 0 });
    return { kind: 'unanswered' };
  }
  const both = response.status === 409 ? (answer as BothSides) : null;
  if (both !== null && isOwnEcho(both)) {
    return await send({ ...item, seen: null });
  }
  return {
    kind: 'refused',
    why: {
      title: problem.title ?? `The server answered ${response.status}.`,
      fields: problem.errors ?? {},
      status: response.status,
      both: both !== null && both.kind !== 'idTaken' ? both : null,
    },
  };
}

const channel =
  typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('hushed-lantern-outbox');

const store: OutboxStore = carefulStore(
  openOutboxStore,
  () => outbox.state().items,
  () => outbox.keepsNothing(),
);

export const outbox: Outbox = new Outbox({
  store,
  send,
  written: (item, answer) => written(queryClient, item, answer),
  now: () => new Date(),
  me: signedInAs,
  later: (again, ms) => void setTimeout(again, ms),
  tell: () => channel?.postMessage('changed'),
});

if (channel !== null) {
  // Another page of this browser has kept something, or brought it to the server.
  channel.onmessage = () => void outbox.open();
}

export const useOutbox = () => useSyncExternalStore(outbox.subscribe, outbox.state);

const sitterRoot = '/api/sit/';

/** The secret of the sitter's link through which something is written; none for the keeper's own. */
export const sitterSecret = (item: Outgoing): string | null =>
  item.path.startsWith(sitterRoot) ? (item.path.slice(sitterRoot.length).split('/')[0] ?? null) : null;

/** A change of anything, as its feature makes it. */
export type Writing = Pick<Outgoing, 'path' | 'topic' | 'text'> &
  Partial<Pick<Outgoing, 'method' | 'body' | 'ids' | 'about' | 'seen'>>;

/**
 * Writes it, or keeps it until the server is in reach; the instant is that of this call.
 * @param shows Whether the one who asks shows a refusal at its fields; else it is set aside.
 * @returns What the server answered, none while it waits. What it refused is thrown.
 */
export async function write<T>(made: Writing, shows: boolean): Promise<T | null> {
  const ids = made.ids ?? [];
  wroteOurselves(...ids);
  const by = made.path.startsWith(sitterRoot) ? null : signedInAs();
  const outcome = await outbox.write(
    { method: 'POST', body: null, about: [made.topic], seen: null, ...made, ids, by },
    shows,
  );
  if (outcome.kind === 'refused') {
    throw new Refusal(outcome.why.title, outcome.why.fields, outcome.why.status);
  }
  return outcome.kind === 'written' ? (outcome.answer as T) : null;
}

/** The one way to change anything: what is made of the input is written, or waits for the server. */
export const useWrite = <TInput, TAnswer>(
  make: (input: TInput) => Writing,
  shows = true,
): UseMutationResult<TAnswer | null, Error, TInput> =>
  useMutation({ mutationFn: (input: TInput) => write<TAnswer>(make(input), shows), meta: { isShown: true } });

/**
 * Asks for something that is of use only while one waits for it: a preview, a printed label, a signature at the door. It is
 * not kept; what goes wrong is shown by whoever asks, or said in the bar.
 */
export const useAsk = <TInput, TAnswer>(
  ask: (input: TInput) => Promise<TAnswer>,
  after?: (answer: TAnswer) => unknown,
  isShown = true,
): UseMutationResult<TAnswer, Error, TInput> =>
  useMutation({ mutationFn: ask, ...(after === undefined ? {} : { onSuccess: after }), meta: { isShown } });
