import type { Schemas } from '../api/client';

export type LengthUnit = Schemas['LengthUnit'];

const mmPer: Record<LengthUnit, number> = { mm: 1, cm: 10, in: 25.4 };

/**
 * Millimetres of a length typed in the room's unit, or in any unit written behind it: `60`, `6 cm`, `2,4in`, `2.4"`.
 * Not a number when unreadable.
 */
export function toMm(text: string, unit: LengthUnit): number {
  const match = /^\s*(\d+(?:[.,]\d+)?|[.,]\d+)\s*(mm|cm|in|inch|inches|")?\s*$/i.exec(text);
  if (match?.[1] === undefined) {
    return Number.NaN;
  }
  const written = match[2]?.toLowerCase();
  const meant = written === undefined ? unit : written === 'mm' || written === 'cm' ? written : 'in';
  return Math.round(Number(match[1].replace(',', '.')) * mmPer[meant] * 1000) / 1000;
}

/** A length in the room's unit, at a precision a ruler can show, without the unit's name. */
export function fromMm(mm: number, unit: LengthUnit): string {
  const value = mm / mmPer[unit];
  const decimals = unit === 'mm' ? (mm < 20 ? 1 : 0) : 2;
  return String(Number(value.toFixed(decimals)));
}
