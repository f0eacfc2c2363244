import createClient from 'openapi-fetch';
import { reach } from './reach';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Act = Schemas['Act'];
export type AnimalView = Schemas['AnimalView'];
export type RoundView = Schemas['RoundView'];
export type RoundLine = Schemas['RoundLine'];
export type Reason = Schemas['Reason'];
export type RulebookView = Schemas['RulebookView'];
export type StockDetails = Schemas['StockDetails'];
export type VersionedSettings = Schemas['VersionedSettings'];
/** What is there and what was sent, where both cannot stand. */
export type BothSides = Schemas['BothSides'];

/** Longer than any answer takes; after it the server is out of reach. */
const answerMs = 15_000;

/** Asks the server, and notes whether it was heard of. */
export async function ask(request: Request): Promise<Response> {
  try {
    const response = await fetch(request, {
      signal: AbortSignal.any([request.signal, AbortSignal.timeout(answerMs)]),
    });
    reach.heard(response.headers.get('X-Lantern-Client'));
    return response;
  } catch (error) {
    if (!request.signal.aborted) {
      reach.silent();
    }
    throw error;
  }
}

export const api = createClient<paths>({
  baseUrl: typeof window === 'undefined' ? '/' : window.location.origin,
  fetch: ask,
});

/** What the server says is wrong, field by field. */
export class Refusal extends Error {
  constructor(
    readonly title: string,
    readonly fields: Readonly<Record<string, readonly string[]>>,
    /** Status of HTTP; 0 where there was no answer. */
    readonly status: number,
  ) {
    super(title);
  }

  /** Messages of a field, by the end of its name: `details.nickname` answers to `nickname`. */
  for(field: string): string | undefined {
    const key = Object.keys(this.fields).find((k) => k === field || k.endsWith(`.${field}`));
    return key === undefined ? undefined : this.fields[key]?.join(' ');
  }

  /** Everything that is wrong, in one text. */
  get all(): string {
    const parts = Object.values(this.fields).flat();
    return parts.length > 0 ? parts.join(' ') : this.title;
  }
}

/** What was refused, of whatever was thrown; anything else is thrown on, to be seen as the fault that it is. */
export function refusalOf(error: unknown): Refusal {
  if (error instanceof Refusal) {
    return error;
  }
  throw error;
}

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** Unwraps an answer, or throws what the server refused. */
export async function take<T>(pending: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await pending;
  } catch {
    throw new Refusal('The server cannot be reached. Nothing was lost; try again.', {}, 0);
  }
  if (answer.data !== undefined) {
    return answer.data;
  }
  const problem = (answer.error ?? {}) as { title?: string; errors?: Record<string, string[]> };
  throw new Refusal(
    problem.title ?? `The server answered ${answer.response.status}.`,
    problem.errors ?? {},
    answer.response.status,
  );
}
