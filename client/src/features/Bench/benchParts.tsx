import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import type { Filled } from './fill';

/** One thing to fill in. */
export interface BenchField {
  key: string;
  label: string;
  kind: 'number' | 'lines' | 'group' | 'choice' | 'picture';
  start: string;
  hint?: string;
  /** Lines that are seen at once, of what is written in lines; six when left out. */
  rows?: number;
  options?: readonly (readonly [string, string])[];
  /** Only groups that take prey. */
  hunters?: boolean;
}

/** A calculator: what is filled in, and what comes out of it. */
export interface Bench {
  name: string;
  title: string;
  what: string;
  before: string;
  fields: readonly BenchField[];
  run: (filled: Filled) => Promise<{ view: ReactNode; reasons: Schemas['CalcReason'][] }>;
}

export const number = (key: string, label: string, start: string, hint?: string): BenchField => ({
  key,
  label,
  kind: 'number',
  start,
  ...(hint === undefined ? {} : { hint }),
});

export const group: BenchField = { key: 'group', label: 'Group', kind: 'group', start: 'tarantula' };

/** Figures with their units, the most telling first. */
export function Figures({ of }: { of: readonly (readonly [string, string])[] }) {
  return (
    <dl className="mb-3 flex flex-wrap gap-x-8 gap-y-2">
      {of.map(([label, value], k) => (
        <div key={label}>
          <dt className="text-13 text-muted">{label}</dt>
          <dd className={k === 0 ? 'font-display text-22 font-semibold' : 'text-15 font-semibold'}>
            {value}
          </dd>
        </div>
      ))}
    </dl>
  );
}

export const short = (value: number, digits = 2) => String(Number(value.toFixed(digits)));
