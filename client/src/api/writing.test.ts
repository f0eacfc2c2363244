// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { queryClient } from './queryClient';
import { wroteOurselves } from './own';
import type { Outgoing } from './outbox';
import { send } from './writing';

const item: Outgoing = {
  seq: 1,
  method: 'POST',
  path: '/api/stock/a/journal',
  body: { id: 'e', act: { kind: 'looked' } },
  topic: 'journal',
  seen: 12,
  ids: ['e'],
  about: ['a'],
  text: 'Tansy: looked',
  by: null,
  tapped: '2026-11-27T21:00:00.000Z',
  setAside: null,
};

const asked: Request[] = [];
let answers: ((request: Request) => Response)[] = [];

const json = (status: number, body: unknown) => () => new Response(JSON.stringify(body), { status });

beforeEach(() => {
  asked.length = 0;
  vi.stubGlobal('fetch', (request: Request) => {
    asked.push(request);
    const answer = answers.shift();
    return answer === undefined ? Promise.reject(new TypeError('network')) : Promise.resolve(answer(request));
  });
});

afterEach(() => {
  vi.unstubAllGlobals();
});

const toldTwice = (entryId: string) => ({
  title: 'Somebody else wrote the same.',
  status: 409,
  kind: 'toldTwice',
  field: 'seen',
  version: 0,
  differences: [],
  twice: [{ entryId, yourId: 'e', stockId: 'a', theirs: '', yours: '', by: 'Ann', at: '' }],
});

describe('sending', () => {
  it('tells the instant of the tap, its own clock, the proof of the page and what was on screen', async () => {
    queryClient.setQueryData(['session'], { token: 'proof', name: null });
    answers = [json(200, { stockId: 'a' })];
    expect(await send(item)).toEqual({ kind: 'written', answer: { stockId: 'a' } });
    const headers = asked[0]?.headers;
    expect(headers?.get('X-Lantern-Tapped')).toBe(item.tapped);
    expect(headers?.get('X-Lantern-Sent')).toMatch(/^\d{4}-\d\d-\d\dT/);
    expect(headers?.get('X-Lantern-Token')).toBe('proof');
    expect(headers?.get('X-Lantern-Seen')).toBe('12');
    expect(await asked[0]?.json()).toEqual(item.body);
  });

  it('sends a picture as it is', async () => {
    answers = [json(200, {})];
    await send({ ...item, body: new Blob(['x'], { type: 'image/png' }) });
    expect(asked[0]?.headers.get('Content-Type')).toBe('image/png');
  });

  it.each([
    ['no answer', []],
    ['half an answer', [() => new Response('{"stockId"', { status: 200 })]],
    ['a server that is down', [json(503, {})]],
    ['a server that is busy', [json(429, {})]],
  ])('takes %s for no answer', async (_, how) => {
    answers = [...how];
    expect(await send(item)).toEqual({ kind: 'unanswered' });
  });

  it('asks to sign in where that is missing', async () => {
    answers = [json(401, { title: 'Sign in.' })];
    expect(await send(item)).toEqual({ kind: 'signIn' });
  });

  it('takes a new proof where the old one is out of date, and sends again later', async () => {
    answers = [json(400, { title: 'Proof.', code: 'token' }), json(200, { token: 'newer', name: null })];
    expect(await send(item)).toEqual({ kind: 'unanswered' });
    answers = [json(200, {})];
    await send(item);
    expect(asked.at(-1)?.headers.get('X-Lantern-Token')).toBe('newer');
  });

  it('needs no second word for what is gone already', async () => {
    answers = [json(404, { title: 'There is no such change.' })];
    expect(await send({ ...item, method: 'DELETE', body: null })).toMatchObject({ kind: 'written' });
    answers = [json(404, { title: 'There is no such animal.' })];
    expect(await send(item)).toMatchObject({ kind: 'refused', why: { title: 'There is no such animal.' } });
  });

  it('writes without asking what only this page itself has told', async () => {
    wroteOurselves('mine');
    answers = [json(409, toldTwice('mine')), json(200, {})];
    expect(await send(item)).toMatchObject({ kind: 'written' });
    expect(asked.map((request) => request.headers.get('X-Lantern-Seen'))).toEqual(['12', null]);
  });

  it('brings both sides back where another has told the same', async () => {
    answers = [json(409, toldTwice('theirs'))];
    expect(await send(item)).toMatchObject({
      kind: 'refused',
      why: { both: { kind: 'toldTwice', twice: [{ entryId: 'theirs' }] } },
    });
    answers = [json(409, { title: 'This id was used.', kind: 'idTaken' })];
    expect(await send(item)).toMatchObject({ kind: 'refused', why: { both: null } });
  });
});
