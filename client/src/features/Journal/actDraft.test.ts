import { describe, expect, it } from 'vitest';
import { Refusal } from '../../api/client';
import { draftOf, finish } from './actDraft';
import type { ActSubject } from './entryForm';
import { type FormKind, hasForm } from './formKinds';
import { forms } from './forms';

const subject: ActSubject = {
  stockId: 'a',
  name: 'Tansy',
  code: 'A1·03',
  species: 'Tliltocatl albopilosus',
  group: 'tarantula',
  many: false,
  isTank: false,
  tankId: null,
  vials: null,
  sexShowsBy: ['shedSkin', 'furrow'],
  calcium: { sources: [], standing: [] },
  waters: ['dish', 'mist'],
  waiting: null,
  waits: [
    {
      vigil: 'young',
      began: 'Began to brood',
      ends: [
        { id: 'asHoped', past: 'The young came out' },
        { id: 'otherwise', past: 'Lost her brood' },
      ],
      isOfOne: false,
    },
  ],
  parts: ['legSpan', 'carapace'],
  hush: [],
  sex: 'female',
  mature: false,
  hasMolted: true,
  count: 1,
  tonight: '2026-11-23',
  enclosure: null,
  offer: {
    feederId: 'cricket',
    sizeClassId: 'medium',
    count: 2,
    preparation: 'preKilled',
    what: '2 pre-killed medium crickets',
    animals: 2,
    serving: '',
  },
};

describe('a form to begin with', () => {
  it('is known by its kind before the forms are loaded', () => {
    expect(
      hasForm({
        kind: 'offered',
        feederId: 'cricket',
        sizeClassId: 'small',
        count: 1,
        preparation: 'live',
        outcome: 'eaten',
      }),
    ).toBe(true);
    expect(hasForm({ kind: 'tended', task: 'clean' })).toBe(false);
  });

  it('is of the kind that was asked for, whichever that is', () => {
    for (const kind of Object.keys(forms) as FormKind[]) {
      expect(draftOf(kind, subject, 'mm').act.kind).toBe(kind);
    }
  });

  it('holds what the core would offer', () => {
    expect(draftOf('offered', subject, 'mm')).toEqual({
      act: {
        kind: 'offered',
        feederId: 'cricket',
        sizeClassId: 'medium',
        count: 2,
        preparation: 'preKilled',
        outcome: 'eaten',
        leftIn: null,
      },
      texts: { count: '2' },
      some: '',
      said: true,
    });
    const broodUnsized = draftOf('offered', { ...subject, offer: null, count: 40 }, 'mm');
    expect(broodUnsized.texts.count).toBe('40');
  });

  it('measures its size first, and holds no number that nobody measured', () => {
    expect(draftOf('measured', subject, 'mm')).toMatchObject({
      act: { part: 'legSpan' },
      texts: { lengthMm: '' },
    });
  });

  it('of a correction holds what it corrects, in the unit of the room', () => {
    const former = {
      kind: 'measured',
      part: 'carapace',
      lengthMm: 25.4,
      fromExuvia: true,
      errorMm: null,
      pictureId: null,
    } as const;
    expect(draftOf('measured', subject, 'in', former)).toMatchObject({
      act: former,
      texts: { lengthMm: '1' },
    });
  });

  it('puts off by three nights, over the end of a month', () => {
    expect(draftOf('putOff', { ...subject, tonight: '2026-11-29' }, 'mm').act).toMatchObject({
      untilNight: '2026-12-02',
    });
  });
});

describe('a finished form', () => {
  const number = (kind: FormKind, text: string, unit: 'mm' | 'cm' | 'in' = 'mm') =>
    finish(
      { ...draftOf(kind, subject, unit), texts: { [kind === 'measured' ? 'lengthMm' : 'count']: text } },
      unit,
    );

  it('counts in whole numbers and refuses anything else at the field', () => {
    expect(number('counted', ' 12 ')).toMatchObject({ kind: 'counted', count: 12 });
    for (const text of ['', ' ', 'two', '2.5', '1e']) {
      const refused = number('offered', text);
      expect(refused).toBeInstanceOf(Refusal);
      expect(refused instanceof Refusal && refused.for('count')).toBe('Write a whole number.');
    }
  });

  it('measures in the unit of the room and sends millimetres', () => {
    expect(number('measured', '6', 'cm')).toMatchObject({ lengthMm: 60 });
    expect(number('measured', '1', 'in')).toMatchObject({ lengthMm: 25.4 });
    const refused = number('measured', 'wide', 'cm');
    expect(refused instanceof Refusal && refused.for('lengthMm')).toBe('Write a number in cm.');
  });

  it('of words is sent as it stands', () => {
    const draft = draftOf('noted', subject, 'mm');
    expect(finish(draft, 'mm')).toBe(draft.act);
  });
});

describe('a departure', () => {
  it('is of no kind until the keeper has said how', () => {
    const draft = draftOf('departed', subject, 'mm');
    expect(draft.said).toBe(false);
    expect(finish(draft, 'mm')).toBeInstanceOf(Refusal);
    expect(finish({ ...draft, said: true }, 'mm')).toMatchObject({ kind: 'departed', count: null });
  });

  it('of some of many says how many', () => {
    const draft = {
      ...draftOf('departed', { ...subject, many: true, count: 12 }, 'mm'),
      said: true,
      some: '3',
    };
    expect(finish(draft, 'mm')).toMatchObject({ count: 3 });
    expect(finish({ ...draft, some: 'three' }, 'mm')).toBeInstanceOf(Refusal);
  });
});

describe('a count', () => {
  it('may be rough: at least and at most are left out or whole numbers', () => {
    const draft = draftOf('counted', { ...subject, many: true, count: 12 }, 'mm');
    expect(draft.texts).toEqual({ count: '12', low: '', high: '' });
    expect(finish({ ...draft, texts: { count: '20', low: '15', high: '' } }, 'mm')).toMatchObject({
      count: 20,
      low: 15,
      high: null,
    });
    const refused = finish({ ...draft, texts: { count: '20', low: 'few', high: '' } }, 'mm');
    expect(refused instanceof Refusal && refused.for('low')).toBe('Write a whole number.');
  });
});
