import { scaleLinear, scaleLog } from 'd3-scale';
import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client';

const width = 520;

function Sheet({ height, label, children }: { height: number; label: string; children: ReactNode }) {
  return (
    <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label} className="w-full max-w-[560px]">
      {children}
    </svg>
  );
}

/** Skins on a log scale with the line through them and the next one's window. */
export function GrowthDrawing({
  points,
  fit,
}: {
  points: readonly { instar: number; lengthMm: number }[];
  fit: Schemas['GrowthFitResult'];
}) {
  const instars = points.map((p) => p.instar);
  const x = scaleLinear([Math.min(...instars) - 0.4, fit.next.instar + 0.4], [40, width - 20]);
  const y = scaleLog([Math.min(...points.map((p) => p.lengthMm)) * 0.85, fit.next.high90Mm * 1.1], [190, 14]);
  const at = (instar: number) => y(Math.exp(fit.logIntercept + fit.logSlope * instar));
  const first = Math.min(...instars);
  return (
    <Sheet height={226} label={`Skins by instar; next ${fit.next.medianMm.toFixed(1)} mm`}>
      <path d={`M40 198H${width - 10}`} stroke="var(--edge)" />
      <path
        d={`M${x(first)} ${at(first)}L${x(fit.next.instar)} ${at(fit.next.instar)}`}
        stroke="var(--hush)"
        strokeDasharray="4 4"
      />
      <path
        d={`M${x(fit.next.instar)} ${y(fit.next.low90Mm)}V${y(fit.next.high90Mm)}`}
        stroke="var(--hushpale)"
        strokeWidth="16"
      />
      <circle
        cx={x(fit.next.instar)}
        cy={y(fit.next.medianMm)}
        r="5"
        fill="none"
        stroke="var(--hush)"
        strokeWidth="2"
      />
      {points.map((p) => (
        <g key={`${p.instar} ${p.lengthMm}`}>
          <circle cx={x(p.instar)} cy={y(p.lengthMm)} r="5" fill="var(--lampmark)" />
          <text x={x(p.instar)} y={y(p.lengthMm) - 10} textAnchor="middle">
            {p.lengthMm}
          </text>
        </g>
      ))}
      {[...new Set([...instars, fit.next.instar])].map((k) => (
        <text key={k} x={x(k)} y="214" textAnchor="middle" className="fill-muted!">
          {k}
        </text>
      ))}
      <text x="4" y="214" className="fill-muted!">
        instar
      </text>
    </Sheet>
  );
}

/** What is waited already, and the window of what is still to go. */
export function WaitDrawing({ result, waited }: { result: Schemas['VigilResult']; waited: number }) {
  const x = scaleLinear([-waited, result.p90 * 1.08], [6, width - 16]);
  return (
    <Sheet height={64} label={`Half over within ${result.p50.toFixed(1)} days`}>
      <path d={`M6 34H${width - 6}`} stroke="var(--edge)" />
      <path d={`M${x(-waited)} 34H${x(0)}`} stroke="var(--ink)" strokeWidth="3" />
      <rect
        x={x(result.p10)}
        y="20"
        width={Math.max(2, x(result.p90) - x(result.p10))}
        height="14"
        fill="var(--hushpale)"
      />
      <path d={`M${x(result.p50)} 16v20`} stroke="var(--hush)" strokeWidth="2.5" />
      <path d={`M${x(0)} 12v28`} stroke="var(--lampmark)" strokeWidth="2" />
      <text x={x(0)} y="54" textAnchor="middle" className="fill-lamptext!">
        today
      </text>
      {x(result.p50) - x(0) > 44 && (
        <text x={x(result.p50)} y="54" textAnchor="middle">
          {result.p50.toFixed(0)} d
        </text>
      )}
    </Sheet>
  );
}

const verdictWord: Record<Schemas['PreyVerdict'], string> = {
  fits: 'whole',
  cut: 'cut',
  'too-large': 'too large',
  'too-small': 'too small',
};

/** Body, limit and the feeders nearest to it over one ruler. */
export function PreyDrawing({ result, body }: { result: Schemas['PreyResult']; body: number }) {
  const options = result.options.filter((o) => o.verdict === 'fits' || o.verdict === 'cut').slice(0, 12);
  const x = scaleLinear([0, Math.max(body * 1.1, ...options.map((o) => o.maxMm))], [0, 300]);
  return (
    <Sheet
      height={44 + options.length * 20}
      label={`Body ${body} mm, prey up to ${result.maxPreyMm.toFixed(1)} mm`}
    >
      <rect y="6" width={x(body)} height="12" rx="6" fill="var(--line)" />
      <text x={x(body) + 8} y="16">
        body {body} mm
      </text>
      <path
        d={`M${x(result.maxPreyMm)} 0V${40 + options.length * 20}`}
        stroke="var(--lampmark)"
        strokeWidth="1.5"
      />
      {options.map((o, k) => (
        <g key={`${o.feeder} ${o.sizeClass}`} transform={`translate(0 ${34 + k * 20})`}>
          <rect
            width={x(o.maxMm)}
            height="7"
            rx="3.5"
            fill={o.verdict === 'fits' ? 'var(--moss)' : 'none'}
            stroke="var(--moss)"
            strokeDasharray={o.verdict === 'cut' ? '4 3' : 'none'}
          />
          <text x={Math.max(x(o.maxMm), x(result.maxPreyMm)) + 8} y="8">
            {o.feeder.replaceAll('-', ' ')} {o.sizeClass === 'one' ? '' : o.sizeClass}:{' '}
            {verdictWord[o.verdict]}
            {o.verdict === 'cut' ? ` in ${o.pieces}` : `, ${o.count} a meal`}
          </text>
        </g>
      ))}
    </Sheet>
  );
}

/** One bar for each day. */
export function BarsDrawing({ values, label }: { values: readonly number[]; label: string }) {
  const top = Math.max(1, ...values);
  const x = scaleLinear([0, values.length], [10, width - 10]);
  const y = scaleLinear([0, top], [0, 110]);
  return (
    <Sheet height={150} label={label}>
      <path d={`M6 124H${width - 6}`} stroke="var(--edge)" />
      {values.map((v, k) => (
        <g key={k}>
          <rect
            x={x(k) + 3}
            y={124 - y(v)}
            width={Math.max(1, x(1) - x(0) - 6)}
            height={y(v)}
            fill="var(--lamp)"
          />
          {values.length <= 14 && (
            <text x={(x(k) + x(k + 1)) / 2} y="142" textAnchor="middle">
              {v.toFixed(1)}
            </text>
          )}
        </g>
      ))}
    </Sheet>
  );
}

/** A thermometer with the dew point and the other temperature on it. */
export function AirDrawing({
  temperature,
  dewPoint,
  other,
}: {
  temperature: number;
  dewPoint: number | null;
  other: number | null;
}) {
  const marks = [temperature, dewPoint, other].filter((t): t is number => t !== null);
  const x = scaleLinear([Math.min(...marks) - 4, Math.max(...marks) + 4], [20, width - 20]);
  return (
    <Sheet height={84} label={`Air of ${temperature} °C, dew point ${dewPoint?.toFixed(1) ?? 'none'}`}>
      {dewPoint !== null && (
        <rect x="20" y="34" width={x(dewPoint) - 20} height="12" fill="var(--hushpale)" />
      )}
      <path d={`M20 40H${width - 20}`} stroke="var(--edge)" strokeWidth="2" />
      {dewPoint !== null && (
        <text x={x(dewPoint)} y="24" textAnchor="middle" className="fill-hush!">
          drips below {dewPoint.toFixed(1)} °C
        </text>
      )}
      <circle cx={x(temperature)} cy="40" r="6" fill="var(--lampmark)" />
      <text x={x(temperature)} y="66" textAnchor="middle">
        {temperature} °C
      </text>
      {other !== null && (
        <>
          <circle cx={x(other)} cy="40" r="6" fill="var(--bg)" stroke="var(--lampmark)" strokeWidth="2" />
          <text x={x(other)} y="80" textAnchor="middle">
            {other} °C
          </text>
        </>
      )}
    </Sheet>
  );
}

/** True humidity against the shown one. */
export function StraightDrawing({
  points,
  slope,
  offset,
  reading,
}: {
  points: readonly { reference: number; reading: number }[];
  slope: number;
  offset: number;
  reading: number;
}) {
  const x = scaleLinear([0, 100], [40, 240]);
  const y = scaleLinear([0, 100], [210, 10]);
  const clamp = (v: number) => Math.max(0, Math.min(100, v));
  return (
    <Sheet height={240} label="True humidity against the shown one">
      <path d={`M40 10V210H240`} fill="none" stroke="var(--edge)" />
      <path d={`M${x(0)} ${y(0)}L${x(100)} ${y(100)}`} stroke="var(--line)" />
      <path
        d={`M${x(0)} ${y(clamp(offset))}L${x(100)} ${y(clamp(slope * 100 + offset))}`}
        stroke="var(--hush)"
        strokeWidth="2"
      />
      {points.map((p) => (
        <circle key={p.reading} cx={x(p.reading)} cy={y(p.reference)} r="5" fill="var(--lampmark)" />
      ))}
      <path
        d={`M${x(reading)} 210V${y(clamp(slope * reading + offset))}H40`}
        fill="none"
        stroke="var(--lampmark)"
        strokeDasharray="3 3"
      />
      <text x="140" y="232" textAnchor="middle" className="fill-muted!">
        shown, %
      </text>
      <text x="4" y="20" className="fill-muted!">
        true
      </text>
    </Sheet>
  );
}

/** A mass beside a one-gram cube of water, drawn as areas of cubes. */
export function MassDrawing({ massMg }: { massMg: number }) {
  const side = (mg: number) => Math.cbrt(mg / 1000) * 60;
  const own = Math.min(170, side(massMg));
  return (
    <Sheet height={190} label={`${massMg.toFixed(1)} mg beside one gram of water`}>
      <path d={`M6 176H${width - 6}`} stroke="var(--edge)" />
      <rect x="30" y={176 - own} width={own} height={own} fill="var(--lamp)" />
      <rect x="260" y="116" width="60" height="60" fill="none" stroke="var(--edge)" strokeWidth="1.5" />
      <text x="330" y="150">
        one gram of water
      </text>
    </Sheet>
  );
}

/** The enclosure and its inmate in true proportion. */
export function BoxDrawing({ result, animalMm }: { result: Schemas['ContainerResult']; animalMm: number }) {
  const floor = result.substrateDepthMm ?? 0;
  const tall = result.minHeightMm + floor;
  const scale = Math.min(460 / result.minWidthMm, 200 / tall);
  const [w, h, s] = [result.minWidthMm * scale, tall * scale, floor * scale];
  return (
    <Sheet
      height={250}
      label={`Enclosure ${result.minWidthMm.toFixed(0)} mm wide, ${result.minHeightMm.toFixed(0)} mm free height`}
    >
      <rect x="40" y={230 - s} width={w} height={s} fill="var(--line)" />
      <rect x="40" y={230 - h} width={w} height={h} fill="none" stroke="var(--ink)" strokeWidth="2" />
      <ellipse
        cx={40 + w / 2}
        cy={230 - s - Math.max(4, animalMm * scale * 0.16)}
        rx={Math.max(3, (animalMm * scale) / 2)}
        ry={Math.max(3, animalMm * scale * 0.16)}
        fill="var(--lampmark)"
      />
      <text x={40 + w / 2} y="246" textAnchor="middle">
        {result.minWidthMm.toFixed(0)} mm
      </text>
      <text x="34" y={230 - s - (h - s) / 2} textAnchor="end">
        {result.minHeightMm.toFixed(0)}
      </text>
    </Sheet>
  );
}
