import { Button } from '../../ui/Button';
import { Check, ChevronDown, ChevronRight, Hourglass } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { RoundLine, Schemas } from '../../api/client';
import { useResting } from './queries';
import { clockTime, dayDate } from '../../ui/dates';
import { Lantern } from '../../ui/Lantern';
import { useWhy } from '../Reasons/WhyContext';
import { whyOf } from './whyOf';

/** An enclosure that is done. */
export function DoneRow({ done, keeper }: { done: Schemas['DoneLine']; keeper: string | null }) {
  return (
    <article className="grid min-h-8 grid-cols-[24px_62px_minmax(0,1fr)_auto] items-center gap-x-3 py-1 pr-6 pl-2.5 text-13 text-muted touch:min-h-10 max-sm:px-4">
      <Check className="size-5 text-moss" aria-label="done" />
      <Link to={`/stock/${done.stockId}`} className="code hover:underline">
        {done.place}
      </Link>
      <span>
        <b className="font-semibold text-soft">{done.name}</b> {done.text}
        {done.by !== keeper && <span className="text-lamptext"> · {done.by}</span>}
      </span>
      <time dateTime={done.at}>{clockTime(done.at)}</time>
    </article>
  );
}

/** An enclosure at which something was done that the server does not know yet. */
export function WaitingRow({ line, text }: { line: RoundLine; text: string }) {
  return (
    <article className="grid min-h-8 grid-cols-[24px_62px_minmax(0,1fr)_auto] items-center gap-x-3 py-1 pr-6 pl-2.5 text-13 text-muted touch:min-h-10 max-sm:px-4">
      <Hourglass className="size-5 text-lamptext" aria-hidden="true" />
      <Link to={`/stock/${line.stockId}`} className="code hover:underline">
        {line.place}
      </Link>
      <span className="text-soft">{text}</span>
      <span className="text-lamptext">waiting</span>
    </article>
  );
}

/** The hushed ones of a shelf, folded: named with reason and until when. */
export function PassByFold({ lines }: { lines: RoundLine[] }) {
  const { toggle } = useWhy();
  return (
    <div className="grid grid-cols-[24px_62px_minmax(0,1fr)] items-start gap-x-3 py-1.5 pr-6 pl-2.5 text-13 text-muted max-sm:grid-cols-[28px_minmax(0,1fr)] max-sm:px-4">
      <span aria-hidden="true" />
      <span className="pt-0.5 max-sm:hidden">pass by {lines.length}</span>
      <ul className="flex flex-wrap gap-x-5 gap-y-1 max-sm:flex-col">
        {lines.map((line) => (
          <li key={line.stockId} className="flex items-start gap-2">
            <Lantern shutters={line.shutters} className="size-5" />
            <span className="pt-0.5">
              <Link to={`/stock/${line.stockId}`} className="code text-ink hover:underline">
                {line.place}
              </Link>{' '}
              <b className="font-semibold text-ink">{line.name}</b> {line.do}{' '}
              <Button kind="link" className="text-lamptext max-sm:py-1.5" onClick={() => toggle(whyOf(line))}>
                why<span className="sr-only"> pass {line.name} by</span>
              </Button>
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The ones that need nothing tonight, folded away and fetched when asked for. */
export function RestingFold({ shelf, count }: { shelf: string; count: number }) {
  const [open, setOpen] = useState(false);
  const lines = useResting(shelf, open).data;
  const Chevron = open ? ChevronDown : ChevronRight;
  return (
    <div className="text-13 text-muted">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="grid min-h-8 w-full grid-cols-[24px_minmax(0,1fr)] items-center gap-x-3 pr-6 pl-2.5 text-left touch:min-h-11 max-sm:px-4"
      >
        <Chevron className="mx-auto size-4" aria-hidden="true" />
        {count === 1 ? '1 with nothing tonight' : `${count} with nothing tonight`}
      </button>
      {open && (
        <ul className="pb-2 pl-[46px]">
          {lines?.map((line) => (
            <li key={line.stockId} className="py-1">
              <Link to={`/stock/${line.stockId}`} className="code text-ink hover:underline">
                {line.place}
              </Link>{' '}
              <b className="font-semibold text-ink">{line.name}</b>{' '}
              {line.nextDue === null ? 'nothing planned' : `next ${dayDate(line.nextDue)}`}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
