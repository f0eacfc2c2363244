import { scaleLinear } from 'd3-scale';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { dateRange, fromDays, shortDate, toDays } from '../../ui/dates';
import { Measured } from '../../ui/Measured';
import { Near } from '../../ui/Near';
import { builtAtOnce, inParts } from '../../ui/parts';
import { useIsPhone } from '../../ui/useMedia';
import type { AlmanacGroup, AlmanacRow } from './almanacGroups';

const rowHeight = 24;

interface Props {
  plan: Schemas['AlmanacPlan'];
  groups: readonly AlmanacGroup[];
}

/** The weeks as columns, one row for each animal or chore. */
export function AlmanacDrawing({ plan, groups }: Props) {
  const phone = useIsPhone();
  const label = phone ? 104 : 236;
  const vast = plan.bands.length > builtAtOnce;
  return (
    <div className="border-t border-line px-6 pb-4 max-sm:px-4">
      <Measured height={200}>
        {(width) => {
          const [first, last] = [toDays(plan.from), toDays(plan.to)];
          const scale = scaleLinear([first, last], [0, width - label - 4]);
          const weeks = Array.from({ length: Math.ceil((last - first) / 7) + 1 }, (_, k) => first + k * 7);
          const shown = weeks.filter((_, k) => !phone || k % 4 === 0);
          return (
            <>
              <div className="sticky top-0 z-10 bg-bg print:static" style={{ paddingLeft: label }}>
                <svg width={width - label} height="24" className="block" aria-hidden="true">
                  {shown.map((day, k) => (
                    <text
                      key={day}
                      x={scale(day)}
                      y="16"
                      className={k === 0 ? 'fill-lamptext!' : 'fill-muted!'}
                      fontWeight={k === 0 ? 650 : 400}
                    >
                      {k === 0 ? 'tonight' : scale(day) > width - label - 40 ? '' : shortDate(fromDays(day))}
                    </text>
                  ))}
                </svg>
              </div>
              {groups.map((group) => (
                <section
                  key={group.title}
                  aria-label={group.title}
                  className="border-t border-line pb-1 [contain-intrinsic-size:auto_120px] [content-visibility:auto] print:[content-visibility:visible]"
                >
                  <h2 className="pt-1.5 text-15">
                    {group.title}
                    <span className="ml-2 font-text text-13 font-normal tracking-normal text-muted">
                      {group.rows.length}
                    </span>
                  </h2>
                  {inParts(group.rows).map((part) => (
                    <Near key={part[0]?.key} height={part.length * rowHeight} always={!vast}>
                      {() =>
                        part.map((row) => (
                          <div key={row.key} className="flex items-center" style={{ height: rowHeight }}>
                            <span className="flex-none truncate pr-2 text-13" style={{ width: label }}>
                              {row.stockId === null ? (
                                row.who
                              ) : (
                                <Link to={`/stock/${row.stockId}`} className="hover:underline">
                                  {row.who}
                                </Link>
                              )}
                            </span>
                            <Row row={row} width={width - label} at={scale} weeks={weeks} plan={plan} />
                          </div>
                        ))
                      }
                    </Near>
                  ))}
                </section>
              ))}
            </>
          );
        }}
      </Measured>
    </div>
  );
}

interface RowProps {
  row: AlmanacRow;
  width: number;
  at: (day: number) => number;
  weeks: readonly number[];
  plan: Schemas['AlmanacPlan'];
}

function Row({ row, width, at, weeks, plan }: RowProps) {
  return (
    <svg
      width={width}
      height={rowHeight}
      role="img"
      aria-label={row.bands.map((b) => describe(b, plan)).join('; ')}
    >
      {weeks.map((day) => (
        <path key={day} d={`M${at(day)} 0V${rowHeight}`} stroke="var(--line)" />
      ))}
      {row.bands.map((band) => (
        <Band key={band.key} band={band} at={at} width={width} />
      ))}
    </svg>
  );
}

function describe(band: Schemas['AlmanacBand'], plan: Schemas['AlmanacPlan']): string {
  const nights =
    band.from === band.to
      ? shortDate(band.from, plan.from)
      : dateRange(band.from, band.to, plan.from, ' to ');
  return `${band.label === '' ? band.who : band.label} ${nights}${band.likely === null ? '' : `, about ${shortDate(band.likely, plan.from)}`}`;
}

const characters = 6.1;

function Band({
  band,
  at,
  width,
}: {
  band: Schemas['AlmanacBand'];
  at: (day: number) => number;
  width: number;
}) {
  const x1 = Math.max(0, at(toDays(band.from)));
  const x2 = Math.min(width - 2, at(toDays(band.to) + 1));
  const one = band.likely === null && band.from === band.to;
  if (one) {
    return (
      <path
        d={`M${x1 + 4} ${rowHeight / 2 - 4}l4 4-4 4-4-4Z`}
        fill="var(--bg)"
        stroke="var(--muted)"
        strokeWidth="1.3"
      />
    );
  }
  const quiet = band.likely === null;
  const text = band.label;
  const inside = x2 - x1 > text.length * characters + 10;
  const after = x2 + 6 + text.length * characters < width;
  return (
    <g>
      <rect
        x={x1}
        y="5"
        width={Math.max(3, x2 - x1)}
        height="14"
        fill={quiet ? 'var(--panel)' : 'var(--hushpale)'}
        stroke={quiet ? 'var(--edge)' : 'var(--hush)'}
        strokeOpacity={band.hushed ? 1 : 0.45}
        strokeWidth={band.hushed ? 1.6 : 1}
      />
      {band.likely !== null && at(toDays(band.likely)) > 0 && at(toDays(band.likely)) < width && (
        <path d={`M${at(toDays(band.likely))} 3v18`} stroke="var(--hush)" strokeWidth="2" />
      )}
      {(inside || after) && (
        <text
          x={inside ? x1 + 5 : x2 + 5}
          y="16"
          paintOrder="stroke"
          stroke={inside ? 'none' : 'var(--bg)'}
          strokeWidth="3"
          className={inside ? '' : 'fill-muted!'}
        >
          {text}
        </text>
      )}
    </g>
  );
}
