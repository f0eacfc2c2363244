import { describe, expect, it } from 'vitest';
import { bySchools, longestWait, parseValue, partsOf } from './ruleParts';

describe('rule values', () => {
  it.each([
    ['{"low":120,"high":150}', 'range'],
    ['{"p10":30,"p50":48.5,"p90":80}', 'wait'],
    ['0.75', 'number'],
    ['true', 'yesNo'],
    ['"damp"', 'choice'],
  ] as const)('%s is taken apart and put together again', (json, form) => {
    expect(parseValue(partsOf(json), form)).toEqual(JSON.parse(json));
  });

  it('reads a comma, and says when a figure cannot be read', () => {
    expect(parseValue({ value: '2,5' }, 'number')).toBe(2.5);
    expect(parseValue({ low: '1', high: '' }, 'range')).toBeNull();
    expect(parseValue({ value: 'soon' }, 'number')).toBeNull();
  });
});

describe('the sheet of a species', () => {
  const row = (label: string, school: string) => ({ line: { label, school } });

  it('puts schools of one thing together, and nothing else', () => {
    const rows = [
      row('Meals, sling', 'often'),
      row('Meals, sling', 'lean'),
      row('Meals, adult', 'often'),
      row('Caution', ''),
      row('Caution', ''),
    ];
    expect(bySchools(rows).map((group) => group.length)).toEqual([2, 1, 1, 1]);
  });

  it('draws waits in days on the longest of them', () => {
    const wait = (value: string, unit: string) => ({
      name: '',
      section: '',
      label: '',
      form: 'wait' as const,
      text: '',
      value,
      choices: [],
      unit,
      tag: 'house' as const,
      source: '',
      school: '',
    });
    expect(
      longestWait([
        wait('{"p10":1,"p50":2,"p90":30}', 'days'),
        wait('{"p10":1,"p50":2,"p90":90}', 'times the usual wait'),
      ]),
    ).toBe(30);
  });
});
