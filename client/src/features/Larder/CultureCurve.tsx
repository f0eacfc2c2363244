import { scaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import type { Schemas } from '../../api/client';
import { toDays } from '../../ui/dates';

const width = 132;
const height = 30;

/** What a culture gives from its start to its end, and where it stands tonight. */
export function CultureCurve({ culture, tonight }: { culture: Schemas['CultureView']; tonight: string }) {
  const { daily } = culture;
  const x = scaleLinear([0, daily.length - 1], [0, width]);
  const y = scaleLinear([0, Math.max(...daily, 0.01)], [height - 2, 3]);
  const start = toDays(culture.startedOn);
  const share = (toDays(tonight) - start) / Math.max(1, toDays(culture.endsOn) - start);
  const at = Math.min(1, Math.max(0, culture.state === 'cold' ? 0 : share)) * width;
  const curve = area<number>(
    (_, k) => x(k),
    height - 2,
    (many) => y(many),
  );
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="block w-full" aria-hidden="true">
      <path
        d={curve(daily) ?? ''}
        fill="var(--moss)"
        fillOpacity={culture.state === 'cold' || culture.state === 'spent' ? 0.2 : 0.45}
      />
      <path d={`M0 ${height - 1.5}H${width}`} stroke="var(--edge)" />
      <path d={`M${Math.max(1, at)} 0V${height}`} stroke="var(--lampmark)" strokeWidth="2" />
    </svg>
  );
}
