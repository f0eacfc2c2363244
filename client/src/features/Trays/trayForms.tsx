import { Refusal, type Schemas } from '../../api/client';
import { useState } from 'react';
import { Choice, TextField } from '../../ui/Field';
import { AgainstHush } from '../Hush/AgainstHush';
import { type EntryForm, textOrNone, wholeNumber } from '../Journal/entryForm';
import { gradeMarks, grades } from './grades';
import { VialGrid } from './VialGrid';

type Grade = Schemas['SizeGrade'];

const divided: EntryForm<'divided'> = {
  title: 'Divided into vials',
  begin: (subject) => ({ kind: 'divided', vials: subject.count, into: null }),
  texts: (act) => ({ vials: String(act.vials) }),
  finish: (act, texts) => {
    const vials = wholeNumber('vials', texts.vials ?? '');
    return vials instanceof Refusal ? vials : { ...act, vials };
  },
  Fields: ({ act, change, texts, write, subject, error }) => (
    <>
      <AgainstHush subject={subject} act="rehouse" />
      <TextField
        label="How many vials"
        hint={`For ${subject.count} young; numbered from 1`}
        error={error('vials')}
        inputMode="numeric"
        value={texts.vials ?? ''}
        onChange={(text) => write('vials', text)}
      />
      <TextField
        label="What kind"
        hint="30 mL vials, cups with mesh: may be left out"
        error={error('into')}
        value={act.into ?? ''}
        onChange={(into) => change({ ...act, into: textOrNone(into) })}
      />
      <p className="text-13 text-muted">
        From then on each vial can be told by its number: what molted, what died, what grows.
      </p>
    </>
  ),
};

const vialsMolted: EntryForm<'vialsMolted'> = {
  title: 'Skins found',
  begin: () => ({ kind: 'vialsMolted', vials: [] }),
  Fields: ({ act, change, subject, error }) => (
    <>
      <VialGrid
        vials={subject.vials ?? []}
        chosen={act.vials}
        onChange={(vials) => change({ ...act, vials })}
        legend="Tap those with a skin"
        means="molted"
        error={error('vials')}
      />
      <p className="text-13 text-muted">
        They get no food until they have hardened. When all have molted, the brood has.
      </p>
    </>
  ),
};

/** "3 9.5, 7 8": number of the vial and its length. */
const lengthsOf = (text: string): Map<number, number> =>
  new Map(
    text
      .split(/[,;\n]+/)
      .map((pair) => pair.trim().split(/\s+/).map(Number))
      .filter((pair): pair is [number, number] => pair.length === 2 && pair.every(Number.isFinite)),
  );

const lengthText = (vials: readonly Schemas['VialGrade'][]) =>
  vials.flatMap((v) => (v.lengthMm == null ? [] : [`${v.number} ${v.lengthMm}`])).join(', ');

const graded: EntryForm<'graded'> = {
  title: 'Graded by size',
  begin: () => ({ kind: 'graded', vials: [] }),
  texts: (act) => ({ lengths: lengthText(act.vials) }),
  finish: (act, texts) => {
    const text = (texts.lengths ?? '').trim();
    const lengths = lengthsOf(text);
    if (text !== '' && lengths.size !== text.split(/[,;\n]+/).filter((t) => t.trim() !== '').length) {
      return new Refusal('', { lengths: ['Number and length in mm, with commas between: 3 9.5, 7 8'] }, 400);
    }
    const numbers = [...new Set([...act.vials.map((v) => v.number), ...lengths.keys()])];
    return {
      ...act,
      vials: numbers.map((number) => ({
        number,
        grade: act.vials.find((v) => v.number === number)?.grade ?? 'middling',
        lengthMm: lengths.get(number) ?? null,
      })),
    };
  },
  wide: true,
  Fields: ({ act, change, texts, write, subject, error }) => {
    const [paint, setPaint] = useState<Grade>('slow');
    const of = (grade: Grade) => act.vials.filter((v) => v.grade === grade).map((v) => v.number);
    return (
      <>
        <Choice label="Tap those that are" options={grades} value={paint} onChange={setPaint} />
        <VialGrid
          vials={subject.vials ?? []}
          chosen={of(paint)}
          onChange={(numbers) =>
            change({
              ...act,
              vials: [
                ...act.vials.filter((v) => v.grade !== paint && !numbers.includes(v.number)),
                ...numbers.map((number) => ({ number, grade: paint, lengthMm: null })),
              ],
            })
          }
          legend="The others are as most"
          means={gradeMarks[paint].word}
          error={error('vials')}
          mark={(number) => {
            const grade = act.vials.find((v) => v.number === number)?.grade;
            return grade === undefined || grade === paint ? null : (
              <span aria-hidden="true"> {gradeMarks[grade].mark}</span>
            );
          }}
        />
        <TextField
          label="Lengths, where measured"
          hint="Vial and mm, with commas between: 3 9.5, 7 8"
          error={error('lengths')}
          value={texts.lengths ?? ''}
          onChange={(text) => write('lengths', text)}
        />
      </>
    );
  },
};

/** Forms of a brood in numbered vials. */
export const trayForms = { divided, vialsMolted, graded };
