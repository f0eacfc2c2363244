import type { Schemas } from '../../api/client';

/** A value taken apart into what is typed: one text for each of its figures. */
export type Parts = Record<string, string>;

export const partWords: Record<string, string> = {
  low: 'From',
  high: 'To',
  p10: '1 in 10',
  p50: 'Half',
  p90: '9 in 10',
};

/** Whether a rule can be changed here: figures and choices can, sentences and compound figures cannot. */
export const canChange = (form: Schemas['RuleForm']) => form !== 'text' && form !== 'other';

/** Takes the JSON of a value apart. */
export function partsOf(json: string): Parts {
  const value: unknown = JSON.parse(json);
  if (typeof value === 'object' && value !== null) {
    return Object.fromEntries(Object.entries(value).map(([key, figure]) => [key, String(figure)]));
  }
  return { value: String(value) };
}

/** Puts what was typed together again; null when a figure cannot be read. */
export function parseValue(parts: Parts, form: Schemas['RuleForm']): unknown {
  if (form === 'choice') {
    return parts['value'];
  }
  if (form === 'yesNo') {
    return parts['value'] === 'true';
  }
  const figures = Object.entries(parts).map(([key, text]): [string, number] => [
    key,
    text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')),
  ]);
  if (figures.some(([, figure]) => !Number.isFinite(figure))) {
    return null;
  }
  return form === 'number' ? figures[0]?.[1] : Object.fromEntries(figures);
}

/** Rows that say the same of different schools, together and in their order; every other row by itself. */
export function bySchools<Row extends { line: Pick<Schemas['RuleLine'], 'label' | 'school'> }>(
  rows: readonly Row[],
): [Row, ...Row[]][] {
  const groups: [Row, ...Row[]][] = [];
  for (const row of rows) {
    const last = groups.at(-1);
    if (last !== undefined && row.line.school !== '' && last[0].line.label === row.line.label) {
      last.push(row);
    } else {
      groups.push([row]);
    }
  }
  return groups;
}

/** The longest day of waits that are drawn on one scale. */
export const longestWait = (lines: readonly Schemas['RuleLine'][]): number =>
  Math.max(
    1,
    ...lines
      .filter((line) => line.form === 'wait' && line.unit.startsWith('days'))
      .map((line) => Number(partsOf(line.value)['p90'])),
  );
