import { describe, expect, it } from 'vitest';
import { asksForLabels, fits, split } from './paletteWords';

describe('words of the palette', () => {
  it.each([
    ['Sign seen', 'sig', true],
    ['Sign seen', 'seen', true],
    ['go to Larder', 'go to lar', true],
    ['go to Larder', 'lard', true],
    ['Sign seen', 'ign', false],
    ['Fed as offered', 'feed', false],
    ['Anything', '', true],
  ])('“%s” for “%s”: %s', (text, typed, is) => expect(fits(text, typed)).toBe(is));

  it('are what to do, and of whom', () => {
    expect(split('feed A1·03')).toEqual({ verb: 'feed', rest: 'A1·03' });
    expect(split('sign old Moss')).toEqual({ verb: 'sign', rest: 'old Moss' });
    expect(split('feed')).toEqual({ verb: '', rest: '' });
  });

  it.each([
    ['labels for B2', 'B2'],
    ['label Tansy', 'Tansy'],
    ['labels', ''],
    ['go to labels', ''],
  ])('“%s” asks for labels of “%s”', (typed, of) => expect(asksForLabels(typed)).toBe(of));
});
