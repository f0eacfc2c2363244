import type { Schemas } from '../api/client';

export type LengthUnit = Schemas['LengthUnit'];

const mmPer: Record<LengthUnit, number> = { mm: 1, cm: 10, in: 25.4 };

/** Millimetres of a length typed in a unit; a decimal comma is as good as a point. Not a number when unreadable. */
export function toMm(text: string, unit: LengthUnit): number {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() === '' ? Number.NaN : Math.round(value * mmPer[unit] * 1000) / 1000;
}

/** A length in the room's unit, at a precision a ruler can show, without the unit's name. */
export function fromMm(mm: number, unit: LengthUnit): string {
  const value = mm / mmPer[unit];
  const decimals = unit === 'mm' ? (mm < 20 ? 1 : 0) : 2;
  return String(Number(value.toFixed(decimals)));
}
