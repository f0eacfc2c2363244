import { Refusal } from '../../api/client';

/** What was typed, by field. */
export type Filled = Readonly<Record<string, string>>;

const readable = (text: string) => Number(text.trim().replace(',', '.'));

/** A number that must be there. */
export function figure(filled: Filled, key: string): number {
  const value = optional(filled, key);
  if (value === null) {
    throw new Refusal('', { [key]: ['Write a number.'] }, 400);
  }
  return value;
}

/** A number that may be left out. */
export function optional(filled: Filled, key: string): number | null {
  const text = filled[key] ?? '';
  if (text.trim() === '') {
    return null;
  }
  const value = readable(text);
  if (!Number.isFinite(value)) {
    throw new Refusal('', { [key]: ['Write a number.'] }, 400);
  }
  return value;
}

/** Lines of so many numbers each, parted by spaces, semicolons or slashes. */
export function rows(filled: Filled, key: string, width: number): number[][] {
  return (filled[key] ?? '')
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line, k) => {
      const figures = line
        .trim()
        .split(/[\s;/]+/)
        .map(readable);
      if (figures.length !== width || figures.some((f) => !Number.isFinite(f))) {
        throw new Refusal(
          '',
          { [key]: [`Line ${k + 1} must have ${width === 1 ? 'one number' : `${width} numbers`}.`] },
          400,
        );
      }
      return figures;
    });
}

/** Numbers in a row, however they are broken into lines; a dash stands for one that is not known. */
export function series(filled: Filled, key: string): (number | null)[] {
  const parts = (filled[key] ?? '')
    .trim()
    .split(/[\s;/]+/)
    .filter((part) => part !== '');
  return parts.map((part, k) => {
    const value = part === '-' || part === '–' ? null : readable(part);
    if (value !== null && !Number.isFinite(value)) {
      throw new Refusal('', { [key]: [`“${part}”, number ${k + 1}, cannot be read.`] }, 400);
    }
    return value;
  });
}

/** Lines of so many words each, parted by spaces. */
export function words(filled: Filled, key: string, width: number): string[][] {
  return (filled[key] ?? '')
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line, k) => {
      const found = line.trim().split(/\s+/);
      if (found.length !== width) {
        throw new Refusal(
          '',
          { [key]: [`Line ${k + 1} must have ${width} names; a dash for one not known.`] },
          400,
        );
      }
      return found;
    });
}
