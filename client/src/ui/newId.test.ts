import { describe, expect, it } from 'vitest';
import { newId } from './newId';

describe('newId', () => {
  it('makes ids of version 4 and variant 10 (RFC 9562), no two alike', () => {
    const made = Array.from({ length: 2000 }, newId);
    made.forEach((id) =>
      expect(id).toMatch(/^[\da-f]{8}-[\da-f]{4}-4[\da-f]{3}-[89ab][\da-f]{3}-[\da-f]{12}$/),
    );
    expect(new Set(made).size).toBe(made.length);
  });
});
