import { Eye } from 'lucide-react';
import { memo } from 'react';
import { Link } from 'react-router';
import { hazardWord } from '../Stock/words';
import type { RoundLine } from '../../api/client';
import { Lantern } from '../../ui/Lantern';
import { LineActs, WhyOfLine } from './LineActs';

/** Where a line stands on the page. */
export const lineId = (stockId: string): string => `line-${stockId}`;

const pool =
  'before:pointer-events-none before:absolute before:inset-y-0 before:right-0 before:-left-14 before:bg-[radial-gradient(520px_150px_at_78px_36px,var(--pool0),var(--pool1)_52%,transparent)] max-sm:before:left-0';

interface DueRowProps {
  line: RoundLine;
  selected: boolean;
  /** Whether there is something to tell of it for whoever is here. */
  mayWrite: boolean;
}

/**
 * One enclosure that needs a hand; the chosen one stands in the light with its acts. As the light walks only two of them are
 * drawn anew: whatever is pressed in another one is heard by the list.
 */
export const DueRow = memo(function DueRow({ line, selected, mayWrite }: DueRowProps) {
  const first = line.beside.find((offer) => offer.isMain) ?? line.choices[0];
  return (
    <article
      id={lineId(line.stockId)}
      data-line=""
      tabIndex={selected ? 0 : -1}
      aria-current={selected ? 'true' : undefined}
      aria-label={`${line.place} ${line.name}: ${line.do}`}
      className={`relative scroll-mt-2 scroll-mb-4 [contain-intrinsic-size:auto_56px] max-sm:scroll-mb-[150px] ${selected ? `py-3 ${pool}` : 'py-1.5 [content-visibility:auto]'}`}
    >
      <div className="relative grid grid-cols-[24px_104px_172px_minmax(0,1fr)_auto] items-center gap-x-3 pr-6 pl-2.5 max-sm:grid-cols-[28px_auto_minmax(0,1fr)_auto] max-sm:items-baseline max-sm:gap-y-0.5 max-sm:px-4 max-lg:grid-cols-[24px_96px_140px_minmax(0,1fr)_auto]">
        <Lantern
          shutters={line.shutters}
          lit
          className={`max-sm:row-span-2 max-sm:size-7 max-sm:self-start ${selected ? '-ml-1 size-8' : 'size-6'}`}
        />
        <div className="leading-tight max-sm:contents">
          <Link to={`/stock/${line.stockId}`} className="code hover:underline max-sm:text-16">
            {line.place}
          </Link>
          <small className="block text-13 text-muted max-sm:col-start-4 max-sm:row-start-1 max-sm:text-right">
            {line.phaseWord}
          </small>
        </div>
        <div className="min-w-0 leading-tight max-sm:col-start-3 max-sm:row-start-1 max-sm:flex max-sm:items-baseline max-sm:gap-2">
          <Link
            to={`/stock/${line.stockId}`}
            className={`block truncate font-display font-semibold hover:underline max-sm:flex-none max-sm:text-16 ${selected ? 'text-18' : 'text-15'}`}
          >
            {line.name}
          </Link>
          <i className={`block truncate text-13 ${selected ? 'text-soft' : 'text-muted'}`}>{line.species}</i>
        </div>
        <div className="min-w-0 leading-snug max-sm:col-start-2 max-sm:col-end-5">
          <b className={selected ? 'font-display text-18 font-semibold' : 'text-15 font-semibold'}>
            {line.do}
          </b>
          {line.hazard !== null && selected && (
            <small className="block text-13 font-semibold text-ember">{hazardWord[line.hazard]}</small>
          )}
          {selected &&
            line.mind.map((text) => (
              <small key={text} className="block text-13 font-semibold text-lamptext">
                {text}
              </small>
            ))}
          {selected && line.offer !== null && line.offer.serving !== '' && (
            <small className="block text-13 text-soft">{line.offer.serving}</small>
          )}
          {line.detail !== '' && (
            <small className={`block text-13 ${selected ? 'text-soft' : 'text-muted'}`}>{line.detail}</small>
          )}
          {line.look !== null && (
            <small className="block text-13 text-hush">
              <Eye className="mr-1 inline size-3.5 align-[-2px]" aria-hidden="true" />
              {line.look}
            </small>
          )}
        </div>
        {!selected && (
          <button
            type="button"
            aria-label={`Go to ${line.place} ${line.name}`}
            className={`grid h-9 w-11 place-items-center text-muted max-sm:absolute max-sm:inset-0 max-sm:size-auto ${first === undefined ? 'sm:hidden' : ''}`}
          >
            {mayWrite && <kbd className="max-sm:hidden">{first?.key.toUpperCase()}</kbd>}
          </button>
        )}
      </div>
      {selected && (mayWrite ? <LineActs line={line} /> : <WhyOfLine line={line} />)}
    </article>
  );
});
