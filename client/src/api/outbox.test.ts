import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { type Outgoing, Outbox, type OutboxStore, type Reply, type SetAside } from './outbox';
import { carefulStore, memoryStore, openOutboxStore } from './outboxStore';

const refusal: SetAside = {
  title: 'No.',
  fields: { 'act.signId': ['Known are …'] },
  status: 400,
  both: null,
};

/** A server that keeps what it gets by its ids, and answers as told. */
class Server {
  readonly written = new Map<string, Outgoing>();
  readonly asked: Outgoing[] = [];
  refusal: SetAside = refusal;
  replies: ('write' | 'lose' | 'silent' | 'refuse' | 'signIn')[] = [];

  readonly send = (item: Outgoing): Promise<Reply> => {
    this.asked.push(item);
    const how = this.replies.shift() ?? 'write';
    if (how === 'write' || how === 'lose') {
      item.ids.forEach((id) => this.written.set(id, this.written.get(id) ?? item));
    }
    return Promise.resolve<Reply>(
      how === 'write'
        ? { kind: 'written', answer: item.ids }
        : how === 'refuse'
          ? { kind: 'refused', why: this.refusal }
          : how === 'signIn'
            ? { kind: 'signIn' }
            : { kind: 'unanswered' },
    );
  };
}

function world(store: OutboxStore = memoryStore(), server = new Server()) {
  const signedIn: { name: string | null } = { name: 'Keeper' };
  const timers: (() => void)[] = [];
  const told = { count: 0 };
  let minute = 0;
  const shown: Outgoing[] = [];
  const outbox = new Outbox({
    store,
    send: server.send,
    written: (item) => {
      shown.push(item);
      return Promise.resolve();
    },
    me: () => signedIn.name,
    now: () => new Date(Date.UTC(2026, 10, 27, 21, minute++)),
    later: (again) => void timers.push(again),
    tell: () => told.count++,
  });
  /** Lets everything happen that has been put off. */
  const pass = async () => {
    for (let k = 0; k < 20; k++) {
      timers.splice(0).forEach((again) => again());
      await new Promise((done) => setTimeout(done, 0));
    }
  };
  const act = (id: string, animal: string, shows = false) =>
    outbox.write(
      {
        method: 'POST',
        path: `/${animal}`,
        body: { id },
        ids: [id],
        about: [animal],
        topic: 'journal',
        text: id,
        by: signedIn.name,
        seen: 7,
      },
      shows,
    );
  return { told, signedIn, outbox, server, store, pass, act, shown };
}

describe('the outbox', () => {
  it('sends at once what the server takes, and keeps nothing of it', async () => {
    const { act, outbox, store, shown } = world();
    expect(await act('a', 'Tansy')).toEqual({ kind: 'written', answer: ['a'] });
    expect(outbox.state().items).toEqual([]);
    expect(await store.all()).toEqual([]);
    expect(shown).toHaveLength(1);
  });

  it('sends a lost answer again under the same id and at the same instant', async () => {
    const { act, server, pass, outbox } = world();
    server.replies = ['lose'];
    expect(await act('a', 'Tansy')).toEqual({ kind: 'waiting' });
    expect(outbox.state().silentSince).not.toBeNull();
    await pass();
    expect(server.asked.map((i) => i.ids[0])).toEqual(['a', 'a']);
    expect(new Set(server.asked.map((i) => i.tapped)).size).toBe(1);
    expect(server.written.size).toBe(1);
    expect(outbox.state()).toEqual({ items: [], silentSince: null, signIn: false, isKept: true });
  });

  it('keeps what was tapped out of reach, in order, each at its own instant', async () => {
    const { act, server, pass } = world();
    server.replies = Array<'silent'>(9).fill('silent');
    await Promise.all(['a', 'b', 'c'].map((id, k) => act(id, `animal ${k}`)));
    expect(server.written.size).toBe(0);
    server.replies = [];
    await pass();
    const written = [...server.written.values()];
    expect(written.map((i) => i.ids[0])).toEqual(['a', 'b', 'c']);
    expect(written.map((i) => i.tapped)).toEqual([...written.map((i) => i.tapped)].sort());
    expect(new Set(written.map((i) => i.tapped)).size).toBe(3);
  });

  it('takes up after a reload what the page before has left', async () => {
    const before = world(await openOutboxStore());
    before.server.replies = ['lose'];
    await before.act('a', 'Tansy');
    const after = world(await openOutboxStore(), before.server);
    await after.outbox.open();
    await after.pass();
    expect(before.server.asked.map((i) => i.ids[0])).toEqual(['a', 'a']);
    expect(before.server.written.size).toBe(1);
    expect(await after.store.all()).toEqual([]);
  });

  it('sets aside what is refused; only the same animal waits for it', async () => {
    const { act, server, pass, outbox } = world();
    server.replies = ['refuse'];
    expect(await act('a', 'Tansy')).toEqual({ kind: 'refused', why: refusal });
    const later = act('b', 'Tansy');
    expect(await act('c', 'Moss')).toEqual({ kind: 'written', answer: ['c'] });
    await pass();
    expect(await later).toEqual({ kind: 'waiting' });
    expect(outbox.state().items.map((i) => [i.ids[0], i.setAside?.title])).toEqual([
      ['a', 'No.'],
      ['b', undefined],
    ]);
    const [first] = outbox.state().items;
    await outbox.drop(first?.seq ?? 0);
    await pass();
    expect([...server.written.keys()]).toEqual(['c', 'b']);
  });

  it('keeps nothing of a refusal that its form shows', async () => {
    const { act, server, outbox, store } = world();
    server.replies = ['refuse'];
    expect(await act('a', 'Tansy', true)).toEqual({ kind: 'refused', why: refusal });
    expect(outbox.state().items).toEqual([]);
    expect(await store.all()).toEqual([]);
  });

  it('sets aside a refusal that comes when its form is long gone', async () => {
    const { act, server, pass, outbox } = world();
    server.replies = ['silent', 'refuse'];
    expect(await act('a', 'Tansy', true)).toEqual({ kind: 'waiting' });
    await pass();
    expect(outbox.state().items.map((i) => i.setAside)).toEqual([refusal]);
  });

  it('writes again what was set aside, at the instant that is said', async () => {
    const { act, server, outbox } = world();
    server.replies = ['refuse'];
    await act('a', 'Tansy');
    await outbox.again(outbox.state().items[0]?.seq ?? 0, { tapped: '2026-11-20T20:00:00.000Z' });
    await new Promise((done) => setTimeout(done, 0));
    expect(server.written.get('a')?.tapped).toBe('2026-11-20T20:00:00.000Z');
  });

  it('waits where one has to sign in first, and goes on after it', async () => {
    const { act, server, outbox, pass } = world();
    server.replies = ['signIn'];
    expect(await act('a', 'Tansy')).toEqual({ kind: 'waiting' });
    expect(outbox.state().signIn).toBe(true);
    outbox.poke();
    await pass();
    expect(server.written.has('a')).toBe(true);
    expect(outbox.state().signIn).toBe(false);
  });

  it('writes nothing of one person under the name of another', async () => {
    const { act, server, outbox, pass, signedIn } = world();
    server.replies = ['signIn'];
    await act('a', 'Tansy');
    signedIn.name = 'Ann';
    const own = act('b', 'Moss');
    outbox.poke();
    await pass();
    await own;
    expect([...server.written.keys()]).toEqual(['b']);
    expect(outbox.state().items.map((i) => [i.ids[0], i.by])).toEqual([['a', 'Keeper']]);
    signedIn.name = 'Keeper';
    outbox.poke();
    await pass();
    expect([...server.written.keys()]).toEqual(['b', 'a']);
  });

  it('takes back what was never sent, and nothing that may have been written', async () => {
    const { act, server, outbox, pass } = world();
    server.replies = ['lose', ...Array<'silent'>(9).fill('silent')];
    await act('a', 'Tansy');
    const second = act('b', 'Moss');
    await new Promise((done) => setTimeout(done, 0));
    expect(await outbox.recall(['a'])).toBe(false);
    expect(await outbox.recall(['b'])).toBe(true);
    await pass();
    expect((await second).kind).toBe('waiting');
    server.replies = [];
    outbox.poke();
    await pass();
    expect([...server.written.keys()]).toEqual(['a']);
  });
});

describe('two sides of one thing', () => {
  const both = { kind: 'toldTwice' } as NonNullable<SetAside['both']>;

  it('wait for the keeper, even where a form would show a refusal', async () => {
    const { act, server, outbox } = world();
    server.refusal = { ...refusal, both };
    server.replies = ['refuse'];
    expect(await act('a', 'Tansy', true)).toEqual({ kind: 'waiting' });
    expect(outbox.state().items[0]?.setAside?.both).toBe(both);
    await outbox.again(outbox.state().items[0]?.seq ?? 0, { seen: null });
    await new Promise((done) => setTimeout(done, 0));
    expect(server.asked.map((i) => i.seen)).toEqual([7, null]);
  });
});

describe('two pages of one browser', () => {
  it('see what waits on the other, and send it when the other is gone', async () => {
    const store = memoryStore();
    const one = world(store);
    one.server.replies = ['silent'];
    await one.act('a', 'Tansy');
    const other = world(store, one.server);
    await other.outbox.open();
    expect(other.outbox.state().items.map((i) => i.ids[0])).toEqual(['a']);
    await other.pass();
    expect(one.server.written.size).toBe(1);
    // What the other has brought away is gone from here too, and written once.
    await one.pass();
    await one.outbox.open();
    expect(one.outbox.state().items).toEqual([]);
    expect(one.server.written.size).toBe(1);
    expect(one.told.count).toBeGreaterThan(0);
  });
});

describe('a browser that keeps nothing', () => {
  it('loses nothing while the page is open, and says so once', async () => {
    let lost = 0;
    const full: OutboxStore = {
      ...memoryStore(),
      add: () => Promise.reject(new DOMException('full', 'QuotaExceededError')),
    };
    const store = carefulStore(
      () => Promise.resolve(full),
      () => [],
      () => lost++,
    );
    const { act, server, pass } = world(store);
    server.replies = ['silent'];
    await act('a', 'Tansy');
    await act('b', 'Moss');
    await pass();
    expect([...server.written.keys()]).toEqual(['a', 'b']);
    expect(lost).toBe(1);
  });
});
