import { scaleLinear } from 'd3-scale';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { fromDays, shortDate, toDays } from '../../ui/dates';
import { NightMark, NightPicker, useNight } from './NightPicker';
import { useRoving } from '../../ui/useRoving';
import { laneHeight, placeBands } from './nightlineLayout';

type NightlineData = Schemas['Nightline'];

const bandHeight = 14;

interface DrawingProps {
  data: NightlineData;
  width: number;
  lanes: number;
  height: number;
  phone: boolean;
}

/** Tonight, what is behind it and what is awaited, as bands and marks by night. */
export function NightlineDrawing({ data, width, lanes, height, phone }: DrawingProps) {
  const navigate = useNavigate();
  const night = useNight(data.tonight);
  const first = phone ? toDays(data.tonight) - 6 : toDays(data.from);
  const last = phone ? first + 34 : toDays(data.to);
  const scale = scaleLinear([first, last], [4, width - 4]);
  const x = (night: string) => scale(toDays(night));
  const tonight = x(data.tonight);
  const axis = lanes * laneHeight + 4;
  const { placed } = placeBands(
    data.bands.filter((band) => x(band.from) < width - 40),
    { width, lanes, x, from: tonight },
  );
  const left = data.awaited - placed.length;
  const marks = phone ? [] : data.marks.slice(0, lanes);
  const roving = useRoving([
    ...marks.map((mark) => `mark ${mark.stockId}`),
    ...placed.map((p) => `${p.band.stockId}${p.band.kind}`),
  ]);
  const nights = Array.from({ length: Math.floor(last - first) + 1 }, (_, k) => first + k);
  const open = (stockId: string) => void navigate(`/stock/${stockId}`);
  const key = (stockId: string) => (event: React.KeyboardEvent) => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      open(stockId);
    }
  };
  return (
    <div className="relative">
      <svg
        width={width}
        height={height}
        className="block overflow-hidden"
        {...roving.group}
        role="group"
        aria-label={`Nights from ${shortDate(fromDays(first))} to ${shortDate(fromDays(Math.floor(last)))}, tonight ${shortDate(data.tonight)}`}
      >
        {nights.map((day) => {
          const monday = (day + 3) % 7 === 0;
          return (
            <path
              key={day}
              d={`M${scale(day)} ${axis}v${monday ? 6 : 3}`}
              stroke={monday ? 'var(--muted)' : 'var(--edge)'}
            />
          );
        })}
        {nights
          .filter(
            (day) =>
              (day + 3) % 7 === 0 &&
              Math.abs(scale(day) - tonight) > 62 &&
              scale(day) < width - (left > 0 ? 112 + 7 * String(left).length : 16) &&
              scale(day) > 16,
          )
          .map((day) => (
            <text key={day} x={scale(day)} y={axis + 18} textAnchor="middle" className="fill-muted!">
              {shortDate(fromDays(day))}
            </text>
          ))}
        <path d={`M0 ${axis}H${width}`} stroke="var(--edge)" />
        {data.chores
          .filter((chore) => x(chore.night) < width)
          .map((chore) => (
            <path
              key={chore.night}
              d={`M${x(chore.night)} ${axis - 4}l3.5 4-3.5 4-3.5-4Z`}
              fill="var(--bg)"
              stroke="var(--muted)"
              strokeWidth="1.2"
            >
              <title>{`${shortDate(chore.night)}: ${chore.count === 1 ? '1 meal' : `${chore.count} meals`} due`}</title>
            </path>
          ))}
        {marks.map((mark, k) => {
          const at = x(mark.night);
          const text = `${mark.code} ${mark.label}`;
          const before = at - 8 - text.length * 6.4 > 0;
          return (
            <g
              key={mark.stockId}
              {...roving.item(`mark ${mark.stockId}`)}
              role="link"
              className="cursor-pointer"
              aria-label={`${mark.name}, ${mark.code}, ${mark.label} ${shortDate(mark.night)}`}
              onClick={() => open(mark.stockId)}
              onKeyDown={key(mark.stockId)}
            >
              <circle cx={at} cy={k * laneHeight + 10} r="3" fill="var(--muted)" />
              <text
                x={before ? at - 8 : at + 8}
                y={k * laneHeight + 14}
                textAnchor={before ? 'end' : 'start'}
                className="fill-muted!"
              >
                {text}
              </text>
            </g>
          );
        })}
        {placed.map((p) => (
          <g
            key={`${p.band.stockId}${p.band.kind}`}
            {...roving.item(`${p.band.stockId}${p.band.kind}`)}
            role="link"
            className="cursor-pointer"
            aria-label={`${p.band.name}, ${p.band.code}, ${p.band.label} between ${shortDate(p.band.from)} and ${shortDate(p.band.to)}, about ${shortDate(p.band.likely)}`}
            onClick={() => open(p.band.stockId)}
            onKeyDown={key(p.band.stockId)}
          >
            <rect
              x={p.x1}
              y={p.lane * laneHeight + 3}
              width={p.x2 - p.x1}
              height={bandHeight}
              fill="var(--hushpale)"
            />
            <path
              d={`M${p.x1} ${p.lane * laneHeight + 3}v${bandHeight}M${p.x2} ${p.lane * laneHeight + 3}v${bandHeight}`}
              stroke="var(--hush)"
              strokeOpacity="0.75"
            />
            {p.middle !== null && (
              <path d={`M${p.middle} ${p.lane * laneHeight + 1.5}v17`} stroke="var(--hush)" strokeWidth="2" />
            )}
            <text
              x={p.textX}
              y={p.lane * laneHeight + 14}
              textAnchor={p.textAnchor}
              paintOrder="stroke"
              stroke="var(--bg)"
              strokeWidth="3"
              strokeOpacity="0.85"
            >
              <tspan fontWeight="620">{p.band.code}</tspan> {p.band.label}
            </text>
          </g>
        ))}
        <path d={`M${tonight} 0V${axis + 4}`} stroke="var(--lampmark)" strokeWidth="2" />
        <text x={tonight} y={axis + 18} textAnchor="middle" fontWeight="650" className="fill-lamptext!">
          {phone ? 'tonight' : `tonight, ${shortDate(data.tonight)}`}
        </text>
        {night.shown !== data.tonight && x(night.shown) >= 0 && x(night.shown) <= width && (
          <NightMark night={night.shown} at={x(night.shown)} width={width} axis={axis} />
        )}
        {left > 0 && (
          <text x={width} y={axis + 18} textAnchor="end" className="fill-muted!">
            {left} more awaited
          </text>
        )}
      </svg>
      <NightPicker
        night={night}
        tonight={data.tonight}
        first={first}
        last={Math.floor(last)}
        axis={axis}
        from={scale(first)}
        to={scale(Math.floor(last))}
      />
    </div>
  );
}
