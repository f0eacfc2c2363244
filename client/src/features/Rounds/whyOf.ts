import type { RoundLine } from '../../api/client';
import type { Why } from '../Reasons/WhyContext';

/** Why a line says what it says, for the drawer. */
export const whyOf = (line: RoundLine): Why => ({
  title: line.state === 'due' ? `Why ${question(line.do)}?` : `Why pass ${line.name} by?`,
  animal: { stockId: line.stockId, place: line.place, name: line.name, species: line.species },
  summary: '',
  reasons: [],
  ofLine: true,
});

/** "Offer 1 small cricket, ≤ 9 mm" asked back: "offer 1 small cricket". */
function question(text: string): string {
  const short = text.split(/[,:]/)[0] ?? text;
  return short.charAt(0).toLowerCase() + short.slice(1);
}
