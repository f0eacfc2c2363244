/** Leaf as it is weighed: whole grams, or kilograms. */
export const leafGrams = (g: number): string =>
  g < 1 ? 'less than 1 g' : g < 1000 ? `${Math.round(g)} g` : `${(g / 1000).toFixed(1)} kg`;
