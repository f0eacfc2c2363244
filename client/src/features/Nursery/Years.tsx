import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../../api/client';
import { fromDays, monthName, shortDate, toDays } from '../../ui/dates';
import { WhyButton } from '../../ui/WhyButton';
import { useWhy } from '../Reasons/WhyContext';

const [width, left, right] = [640, 4, 636];

const parts: Record<Schemas['YearPart'], { word: string; fill: string; opacity: number }> = {
  eggs: { word: 'eggs', fill: 'var(--edge)', opacity: 0.9 },
  larvae: { word: 'larvae', fill: 'var(--moss)', opacity: 0.75 },
  pupae: { word: 'pupae', fill: 'var(--lampmark)', opacity: 0.45 },
  winter: { word: 'cold', fill: 'var(--hush)', opacity: 0.35 },
  adults: { word: 'adults', fill: 'var(--lamp)', opacity: 0.9 },
};

/** The first nights of the months ahead, as days from tonight. */
function monthsAhead(tonight: string): { day: number; date: string }[] {
  const start = toDays(tonight);
  return Array.from({ length: 366 }, (_, day) => ({ day, date: fromDays(start + day) })).filter(({ date }) =>
    date.endsWith('-01'),
  );
}

/** The year ahead of every kind of moth and butterfly, one band for those that are at the same part of it. */
export function Years({ years, tonight }: { years: readonly Schemas['YearAhead'][]; tonight: string }) {
  const { toggle } = useWhy();
  if (years.length === 0) {
    return null;
  }
  const x = scaleLinear([0, 365], [left, right]);
  const day = (night: string) => Math.min(365, toDays(night) - toDays(tonight));
  const months = monthsAhead(tonight);
  return (
    <section aria-labelledby="years" className="mt-6">
      <h2 id="years" className="text-18">
        The year ahead
      </h2>
      <p className="text-13 text-muted">
        From tonight: what is now by its own forecast (outlined), what follows as is usual of the kind.
      </p>
      <p className="flex flex-wrap gap-x-4 text-13 text-muted" aria-hidden="true">
        {Object.values(parts).map(({ word, fill, opacity }) => (
          <span key={word} className="flex items-center gap-1.5">
            <span className="inline-block size-3 rounded-xs" style={{ background: fill, opacity }} />
            {word}
          </span>
        ))}
      </p>
      <ul className="mt-1">
        {years.map((year) => (
          <li key={`${year.species}-${year.spans[0]?.part}`} className="border-t border-line py-2">
            <p>
              <i>{year.species}</i>{' '}
              <span className="text-13 text-muted">
                {year.names.slice(0, 3).join(', ')}
                {year.names.length > 3 && ` and ${year.names.length - 3} more`}
              </span>{' '}
              <WhyButton
                of={`the year of ${year.species}`}
                onClick={() =>
                  toggle({
                    title: 'Why these months?',
                    animal: null,
                    summary: `${year.species}, from tonight on`,
                    reasons: year.why,
                  })
                }
              />
            </p>
            <div
              className="overflow-x-auto"
              tabIndex={0}
              role="group"
              aria-label={`Year of ${year.species}, drawn`}
            >
              <svg
                viewBox={`0 0 ${width} 44`}
                aria-hidden="true"
                className="mt-1 block w-full max-w-[900px] min-w-[560px]"
              >
                {months.map(({ day: at, date }) => (
                  <g key={date}>
                    <path d={`M${x(at)} 0V28`} stroke="var(--line)" />
                    <text x={x(at) + 2} y={41} className="fill-muted! text-[10px]">
                      {monthName(date)}
                    </text>
                  </g>
                ))}
                {year.spans.map((span) => {
                  const [from, to] = [x(day(span.from)), x(day(span.to))];
                  const { word, fill, opacity } = parts[span.part];
                  return (
                    <g key={span.from}>
                      <rect
                        x={from}
                        y={4}
                        width={Math.max(1.5, to - from - 1)}
                        height={20}
                        rx={3}
                        fill={fill}
                        fillOpacity={opacity}
                        stroke={span.isForecast ? 'var(--ink)' : 'none'}
                      />
                      {to - from > word.length * 7 && (
                        <text x={(from + to) / 2} y={18} textAnchor="middle" className="text-[11px]">
                          {word}
                        </text>
                      )}
                    </g>
                  );
                })}
              </svg>
            </div>
            <ul className="sr-only">
              {year.spans.map((span) => (
                <li key={span.from}>
                  {parts[span.part].word}: {shortDate(span.from, tonight)} to {shortDate(span.to, tonight)}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}
