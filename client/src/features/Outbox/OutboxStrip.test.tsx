// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, configure, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { BothSides } from '../../api/client';
import { database } from '../../api/database';
import { newId } from '../../ui/newId';

/** What the server has written, by id; the same id is written once. */
const room = new Map<string, unknown>();
const tapped: (string | null)[] = [];
type Manner = 'answers' | 'away' | 'losesAnswers' | 'asksWho' | BothSides;
let manner: Manner = 'answers';

interface Sent {
  id: string;
  version?: number;
}

async function server(asked: Request | string): Promise<Response> {
  if (typeof asked === 'string') {
    // Whether it is there at all.
    return manner === 'away' ? Promise.reject(new TypeError('network')) : Response.json({});
  }
  const request = asked;
  if (request.method === 'GET') {
    return Response.json({ token: 'proof', needed: true, name: 'Ann' });
  }
  if (manner === 'away') {
    throw new TypeError('network');
  }
  if (manner === 'asksWho') {
    return Response.json({ title: 'Sign in first.' }, { status: 401 });
  }
  const body = (await request.json()) as Sent;
  const isStale = typeof manner === 'object' && manner.kind === 'stale' && body.version !== manner.version;
  const isTwice =
    typeof manner === 'object' && manner.kind === 'toldTwice' && request.headers.has('X-Lantern-Seen');
  if (isStale || isTwice) {
    return Response.json(manner, { status: 409 });
  }
  if (!room.has(body.id)) {
    room.set(body.id, body);
    tapped.push(request.headers.get('X-Lantern-Tapped'));
  }
  if (manner === 'losesAnswers') {
    throw new TypeError('network');
  }
  return Response.json({});
}

/** The page as it is loaded: its outbox takes up what an earlier one has left. */
async function open() {
  cleanup();
  vi.resetModules();
  const [{ OutboxStrip }, { queryClient }, writing] = await Promise.all([
    import('./OutboxStrip'),
    import('../../api/queryClient'),
    import('../../api/writing'),
  ]);
  queryClient.setQueryData(['session'], { token: 'proof', needed: false, name: null });
  await writing.outbox.open();
  render(
    <QueryClientProvider client={queryClient}>
      <OutboxStrip />
    </QueryClientProvider>,
  );
  const body = { id: newId(), act: { kind: 'looked' }, details: { nickname: 'Tansy' }, version: 3 };
  const write = () =>
    writing.write(
      {
        path: '/api/stock/a/journal',
        body,
        topic: 'journal',
        text: 'Tansy: looked',
        ids: [body.id],
        about: ['a'],
        seen: 4,
      },
      false,
    );
  return {
    /** A tap; the row goes on whether or not the server answers. */
    tap: write,
  };
}

const kept = async () => await (await database()).getAll('outbox');
const user = userEvent.setup();

// As long as a busy machine may take; what comes sooner is not waited for.
configure({ asyncUtilTimeout: 10_000 });
vi.setConfig({ testTimeout: 40_000 });

beforeEach(() => {
  vi.stubGlobal('fetch', server);
});

afterEach(async () => {
  cleanup();
  vi.unstubAllGlobals();
  room.clear();
  tapped.length = 0;
  manner = 'answers';
  await (await database()).clear('outbox');
});

it('writes once what was answered into the void, and shows that it waits meanwhile', async () => {
  const page = await open();
  manner = 'losesAnswers';
  void page.tap();
  await screen.findByText('1 entry waits');
  expect(room.size).toBe(1);
  manner = 'answers';
  await user.click(screen.getByRole('button', { name: 'Try now' }));
  await waitFor(() => expect(screen.queryByRole('region')).toBeNull());
  expect(room.size).toBe(1);
  expect(await kept()).toEqual([]);
});

it('keeps over a reload what was tapped out of reach, with the instant of the tap', async () => {
  const page = await open();
  manner = 'away';
  void page.tap();
  await screen.findByText('1 entry waits');
  const [waiting] = (await kept()) as { tapped: string }[];
  manner = 'answers';
  await open();
  await waitFor(() => expect(room.size).toBe(1));
  expect(tapped).toEqual([waiting?.tapped]);
});

it('keeps what is tapped by one who was signed out, and says so', async () => {
  const page = await open();
  manner = 'asksWho';
  void page.tap();
  await screen.findByText(/Signed out/);
  expect(await kept()).toHaveLength(1);
  expect(room.size).toBe(0);
});

const both = (changed: Partial<BothSides>): BothSides => ({
  title: 'Somebody else was quicker.',
  status: 409,
  kind: 'toldTwice',
  field: 'seen',
  version: 9,
  differences: [],
  twice: [],
  ...changed,
});

const twice = both({
  twice: [
    {
      entryId: 'e',
      yourId: 'y',
      stockId: 'a',
      theirs: 'fed 1 cricket',
      yours: 'fed 2 crickets',
      by: 'Ann',
      at: '2026-11-27T21:04:00+01:00',
    },
  ],
});

it('shows both where somebody else told the same, and leaves one out', async () => {
  const page = await open();
  manner = twice;
  void page.tap();
  await user.click(await screen.findByRole('button', { name: 'See both…' }));
  const dialog = await screen.findByRole('dialog');
  expect(dialog.textContent).toContain('fed 1 cricket');
  expect(dialog.textContent).toContain('Ann');
  expect(dialog.textContent).toContain('fed 2 crickets');
  await user.click(within(dialog).getByRole('button', { name: 'It is the same: leave mine out' }));
  await waitFor(async () => expect(await kept()).toEqual([]));
  expect(room.size).toBe(0);
});

it('writes one’s own too where both happened', async () => {
  const page = await open();
  manner = twice;
  void page.tap();
  await user.click(await screen.findByRole('button', { name: 'See both…' }));
  await user.click(await screen.findByRole('button', { name: 'Both happened: write mine too' }));
  await waitFor(() => expect(room.size).toBe(1));
  expect(await kept()).toEqual([]);
});

it('writes field by field what is chosen of a stale change, with the version that is there', async () => {
  const page = await open();
  manner = both({
    kind: 'stale',
    field: 'version',
    differences: [
      { field: 'details.nickname', label: 'Name', theirs: 'Teasel', yours: 'Tansy', value: 'Teasel' },
    ],
  });
  void page.tap();
  await user.click(await screen.findByRole('button', { name: 'See both…' }));
  await user.click(await screen.findByRole('radio', { name: /Teasel/ }));
  await user.click(screen.getByRole('button', { name: 'Write what is chosen' }));
  await waitFor(() => expect(room.size).toBe(1));
  expect([...room.values()]).toMatchObject([{ version: 9, details: { nickname: 'Teasel' } }]);
});
