import { DataTable } from '../../ui/DataTable';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { Refusal, type AnimalView, type Schemas } from '../../api/client';
import { useFedOtherwise } from './queries';
import { Dialog } from '../../ui/Dialog';
import { fromDays, dateRange, shortDate, toDays } from '../../ui/dates';
import { Measured } from '../../ui/Measured';
import { TextField } from '../../ui/Field';

type Path = Schemas['FeedingPath'];

const plain = (days: number) => (days < 10 ? days.toFixed(1).replace('.0', '') : Math.round(days).toString());

/** The present cadence beside another: when adult, how long a life, how much food. Nothing is stored. */
export function FedOtherwise({ animal, onClose }: { animal: AnimalView; onClose: () => void }) {
  const now = animal.meal.value.everyDays;
  const [text, setText] = useState(plain(now * 2));
  const every = Number(text.replace(',', '.'));
  const valid = every >= 0.5 && every <= 120;
  const { data, error } = useFedOtherwise(animal.stockId, every, valid);
  const choice = data?.value ?? null;
  return (
    <Dialog
      title={`If ${animal.details.nickname} were fed otherwise`}
      hint="An outlook by the rulebook and what this room has taught; nothing is changed."
      onClose={onClose}
      wide
    >
      <div className="max-w-56">
        <TextField
          label="Days between meals"
          inputMode="decimal"
          value={text}
          onChange={setText}
          hint={`now every ${plain(now)} days`}
          error={valid ? undefined : 'A number of days from 0.5 to 120.'}
        />
      </div>
      {error instanceof Refusal && <p className="mt-3 text-ember">{error.all}</p>}
      {data !== undefined && (
        <p className="mt-3" role="status">
          {data.summary}
        </p>
      )}
      {choice !== null && (
        <>
          <Measured height={96}>
            {(width) => <Lives choice={choice} tonight={animal.tonight} width={width} />}
          </Measured>
          <DataTable
            label="As now and otherwise"
            className="mt-3"
            rows={rows(choice, animal.tonight)}
            keyOf={([label]) => label}
            columns={[
              {
                id: 'what',
                title: <span className="sr-only">What</span>,
                names: true,
                cellClass: 'text-muted',
                cell: ([label]) => label,
              },
              { id: 'now', title: 'as now', cell: ([, now]) => now },
              {
                id: 'other',
                title: `every ${plain(every)} days`,
                cellClass: 'font-semibold',
                cell: ([, , other]) => other,
              },
            ]}
          />
          <ul className="mt-3 grid gap-1 text-12 text-muted">
            {data?.reasons.slice(0, 2).map((r) => (
              <li key={r.topic}>{r.text}</li>
            ))}
          </ul>
        </>
      )}
    </Dialog>
  );
}

function rows(
  { now, other }: Schemas['FeedingChoice'],
  tonight: string,
): (readonly [string, string, string])[] {
  const both = (of: (path: Path) => string) => [of(now), of(other)] as const;
  const span = (from: string | null, to: string | null) =>
    from === null || to === null ? '–' : dateRange(from, to, tonight);
  const grows = now.adultOn !== null;
  return [
    ...(grows
      ? [
          [
            'Adult',
            ...both((p) =>
              p.adultOn === null
                ? '–'
                : `about ${shortDate(p.adultOn, tonight)} (${span(p.adultFrom, p.adultTo)})`,
            ),
          ] as const,
        ]
      : []),
    ['Life usually ends', ...both((p) => span(p.endsFrom, p.endsTo))],
    [grows ? 'Meals until adult' : 'Meals in a year', ...both((p) => String(p.meals))],
    [
      'Food, dry',
      ...both((p) => (p.foodMg < 1000 ? `${Math.round(p.foodMg)} mg` : `${(p.foodMg / 1000).toFixed(1)} g`)),
    ],
  ];
}

/** Two lives on one axis: growing until the adult band, adult until its usual end. */
function Lives({
  choice,
  tonight,
  width,
}: {
  choice: Schemas['FeedingChoice'];
  tonight: string;
  width: number;
}) {
  const paths = [choice.now, choice.other];
  const start = toDays(tonight);
  const end = Math.max(...paths.map((p) => toDays(p.endsTo ?? tonight)));
  const x = scaleLinear([start, end + 1], [64, width - 4]);
  return (
    <svg width={width} height="96" aria-hidden="true" className="mt-2 block">
      {paths.map((p, k) => {
        const y = 12 + k * 34;
        const adult = p.adultOn === null ? start : toDays(p.adultOn);
        return (
          <g key={k}>
            <text x="0" y={y + 13}>
              {k === 0 ? 'as now' : 'otherwise'}
            </text>
            <rect
              x={x(start)}
              y={y + 4}
              width={Math.max(0, x(adult) - x(start))}
              height="10"
              fill="var(--line)"
            />
            <rect
              x={x(adult)}
              y={y}
              width={Math.max(1, x(toDays(p.endsFrom ?? tonight)) - x(adult))}
              height="18"
              fill="var(--moss)"
              fillOpacity="0.6"
            />
            <rect
              x={x(toDays(p.endsFrom ?? tonight))}
              y={y}
              width={Math.max(1, x(toDays(p.endsTo ?? tonight)) - x(toDays(p.endsFrom ?? tonight)))}
              height="18"
              fill="var(--moss)"
              fillOpacity="0.22"
            />
            {p.adultFrom !== null && p.adultTo !== null && (
              <path
                d={`M${x(toDays(p.adultFrom))} ${y + 9}H${x(toDays(p.adultTo))}`}
                stroke="var(--hush)"
                strokeWidth="3"
              />
            )}
            {p.adultOn !== null && (
              <path d={`M${x(adult)} ${y - 3}v24`} stroke="var(--hush)" strokeWidth="2" />
            )}
          </g>
        );
      })}
      <path d={`M${x(start)} 4V80`} stroke="var(--lampmark)" strokeWidth="2" />
      <text x={x(start)} y="93" className="fill-lamptext!" fontWeight="650">
        tonight
      </text>
      <text x={width - 4} y="93" textAnchor="end" className="fill-muted!">
        {shortDate(fromDays(end), tonight)}
      </text>
    </svg>
  );
}
