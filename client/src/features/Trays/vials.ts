/** Numbers as a keeper writes them: "7, 12, 40-44". What is no number is left out; each counts once, in order. */
export function parseVials(text: string): number[] {
  const numbers = text.split(/[\s,;]+/).flatMap((part) => {
    const range = /^(\d{1,4})[-–](\d{1,4})$/.exec(part);
    if (range !== null) {
      const [from, to] = [Number(range[1]), Number(range[2])];
      return from <= to ? Array.from({ length: to - from + 1 }, (_, k) => from + k) : [];
    }
    return /^\d{1,4}$/.test(part) ? [Number(part)] : [];
  });
  return [...new Set(numbers)].sort((a, b) => a - b);
}
