import type { Schemas } from '../../api/client';

const reasons: Record<Schemas['BackupReason'], string> = {
  nightly: 'nightly',
  byHand: 'by hand',
  beforeUpdate: 'before an update',
  beforeLoad: 'before a file was loaded',
  beforeRestore: 'before a copy was put back',
};

export const reasonWord = (reason: Schemas['BackupReason']): string => reasons[reason];

const kilo = 1024;

/** A size as one reads it: "12.4 MB". */
export function sizeWord(bytes: number): string {
  const megabytes = bytes / kilo / kilo;
  return megabytes >= 1 ? `${megabytes.toFixed(1)} MB` : `${Math.max(1, Math.round(bytes / kilo))} kB`;
}

/** A count with its word: "1 entry", "2,310 entries". */
export const countOf = (count: number, one: string, many: string): string =>
  `${count.toLocaleString('en')} ${count === 1 ? one : many}`;
