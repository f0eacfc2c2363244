import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Measured } from '../../ui/Measured';
import { Waiting } from '../../ui/Waiting';
import { useKinChart } from './queries';

const square = 36;
const gap = 2;
const names = 112;

/** How near of kin the living animals of a species are, drawn when asked for. */
export function KinFold({ species, count }: { species: string; count: number }) {
  const [open, setOpen] = useState(false);
  return count < 2 ? null : (
    <details className="text-13" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer py-2.5 text-muted sm:min-h-0 sm:py-1">
        Kinship of all that live here
      </summary>
      {open && <Chart species={species} />}
    </details>
  );
}

function Chart({ species }: { species: string }) {
  return (
    <Waiting query={useKinChart(species)} what="The chart of kinship">
      {(chart) => <Drawn chart={chart} />}
    </Waiting>
  );
}

const percent = (f: number) => `${Math.round(f * 10_000) / 100}`;

/** F of the young of each with each: the figure in its square, the colour by what the rules say of it. */
function Drawn({ chart }: { chart: Schemas['KinChart'] }) {
  const lines = chart.lines;
  const side = lines.length * (square + gap);
  const kin = lines.flatMap((one, i) =>
    lines.slice(i + 1).flatMap((other, j) => {
      const f = one.with[i + 1 + j] ?? 0;
      return f > 0 ? [`${one.name} and ${other.name} ${percent(f)} %`] : [];
    }),
  );
  return (
    <figure className="my-2">
      <figcaption className="mb-1 max-w-[60ch]">
        Inbreeding of the young of each with each, in percent. Warned of from {percent(chart.warnAbove)},
        stopped from {percent(chart.stopAbove)}; a star: a parent is not known and counts as unrelated.
        {chart.leftOut > 0 && ` ${chart.leftOut} more are not drawn.`}
      </figcaption>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Chart of kinship">
        <Measured height={side + 24} savedAs="kinship">
          {() => (
            <svg
              width={names + side}
              height={side + 24}
              role="img"
              aria-label={`Kinship: ${kin.length === 0 ? 'nobody is kin' : kin.join(', ')}`}
            >
              {lines.map((one, i) => (
                <g key={one.id} transform={`translate(0 ${i * (square + gap)})`}>
                  <text x={names - 8} y={square / 2 + 4} textAnchor="end">
                    {one.name}
                    {one.mark === '' ? '' : ` ${one.mark}`}
                    {one.untold ? ' *' : ''}
                  </text>
                  {lines.slice(0, i).map((other, j) => {
                    const f = one.with[j] ?? 0;
                    const stops = f >= chart.stopAbove;
                    const warns = f >= chart.warnAbove;
                    return (
                      <g key={other.id} transform={`translate(${names + j * (square + gap)} 0)`}>
                        <rect
                          width={square}
                          height={square}
                          rx="2"
                          fill={stops ? 'var(--ember)' : warns ? 'var(--lampmark)' : 'var(--hushpale)'}
                          fillOpacity={stops || warns ? 0.35 : 1}
                          stroke={stops ? 'var(--ember)' : warns ? 'var(--lampmark)' : 'var(--line)'}
                        />
                        <text
                          x={square / 2}
                          y={square / 2 + 4}
                          textAnchor="middle"
                          className={f > 0 ? '' : 'fill-muted!'}
                        >
                          {one.with[j] === null ? '?' : percent(f)}
                        </text>
                      </g>
                    );
                  })}
                  <text x={names + i * (square + gap) + 4} y={square / 2 + 4} className="fill-muted!">
                    {one.name}
                  </text>
                </g>
              ))}
            </svg>
          )}
        </Measured>
      </div>
    </figure>
  );
}
