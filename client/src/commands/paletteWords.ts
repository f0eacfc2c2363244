const words = (text: string) =>
  text
    .toLowerCase()
    .split(/[\s,…]+/)
    .filter((word) => word !== '');

/** Whether each word that was typed begins one of the text's. All fit nothing typed. */
export function fits(text: string, typed: string): boolean {
  const there = words(text);
  return words(typed).every((word) => there.some((other) => other.startsWith(word)));
}

/** "feed A1·03" is what to do, and of whom. */
export function split(typed: string): { verb: string; rest: string } {
  const at = typed.indexOf(' ');
  return at < 0 ? { verb: '', rest: '' } : { verb: typed.slice(0, at), rest: typed.slice(at + 1).trim() };
}

/** Of what labels are wanted: "labels for B2". Empty where none are. */
export const asksForLabels = (typed: string): string =>
  /^labels?\s+(?:for\s+|of\s+)?(.+)$/i.exec(typed)?.[1]?.trim() ?? '';
