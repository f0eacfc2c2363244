import { describe, expect, it } from 'vitest';
import { Refusal, take } from './client';

const answer = (status: number, error?: unknown) =>
  Promise.resolve({ error, response: new Response(null, { status }) });

const refusalOf = async (pending: Promise<unknown>): Promise<Refusal> => {
  const [outcome] = await Promise.allSettled([pending]);
  if (outcome.status === 'rejected' && outcome.reason instanceof Refusal) {
    return outcome.reason;
  }
  throw new Error('Nothing was refused.');
};

describe('an answer of the server', () => {
  it('is what it says, even when that is nothing, no or zero', async () => {
    for (const data of [0, false, '', null]) {
      expect(await take(Promise.resolve({ data, response: new Response() }))).toBe(data);
    }
  });

  it('that refuses names each field once, by the end of its name', async () => {
    const refused = await refusalOf(
      take(
        answer(400, {
          title: 'Something is wrong.',
          errors: { 'details.nickname': ['Write 1 to 60 characters.'], place: ['Taken.', 'Choose another.'] },
        }),
      ),
    );
    expect(refused.status).toBe(400);
    expect(refused.for('nickname')).toBe('Write 1 to 60 characters.');
    expect(refused.for('place')).toBe('Taken. Choose another.');
    expect(refused.for('name')).toBeUndefined();
    expect(refused.all).toBe('Write 1 to 60 characters. Taken. Choose another.');
  });

  it('without words still says its number', async () => {
    const refused = await refusalOf(take(answer(502)));
    expect(refused.all).toBe('The server answered 502.');
  });

  it('that never comes says that nothing was lost', async () => {
    const refused = await refusalOf(take(Promise.reject(new TypeError('network'))));
    expect(refused.status).toBe(0);
    expect(refused.all).toContain('Nothing was lost');
  });
});
