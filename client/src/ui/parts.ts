/** Up to so many lines a page is built whole; of a longer one only what is in sight. */
export const builtAtOnce = 1500;

/** Lines in parts, each of which is built together. */
export const inParts = <T>(lines: readonly T[], together = 40): T[][] =>
  Array.from({ length: Math.ceil(lines.length / together) }, (_, k) =>
    lines.slice(k * together, (k + 1) * together),
  );
