import { useState } from 'react';
import { Button } from '../../ui/Button';
import { shortDate } from '../../ui/dates';
import { ActDialogFor } from '../Journal/ActDialogFor';
import { WhyHead } from '../Reasons/WhyHead';
import type { PagePart } from '../Stock/pagePart';
import { CalciumSpans } from './CalciumSpans';

/** The calcium of a tub: what stands, how long it lasts, when to see to it. */
export const CalciumPanel: PagePart = ({ animal }) => {
  const [looking, setLooking] = useState(false);
  const board = animal.calcium.value;
  return (
    <section aria-labelledby="calcium" className="border-t border-line px-6 pt-3 pb-2 max-sm:px-4">
      <WhyHead
        id="calcium"
        animal={animal}
        title="Calcium"
        why="Why calcium, and when?"
        answer={animal.calcium}
      />
      <p
        className={
          board?.see != null && board.see <= animal.tonight
            ? 'border-l-2 border-lampmark pl-2 font-semibold'
            : ''
        }
      >
        {animal.calcium.summary}
      </p>
      {board != null && board.lines.length > 0 && (
        <div className="mt-1 grid grid-cols-[minmax(0,420px)_1fr] gap-x-8 max-lg:grid-cols-1">
          <figure>
            <figcaption className="text-12 text-muted">
              Full: nine of ten such pieces last so long; pale: half of them. A dot marks powder, the dashed
              line when to see to it.
            </figcaption>
            <CalciumSpans lines={board.lines} see={board.see} tonight={animal.tonight} />
          </figure>
          <ul className="text-13 text-soft">
            {board.lines.map((line) => (
              <li key={line.sourceId} className="py-0.5">
                <b className="font-semibold">{line.name}</b> put in {shortDate(line.putOn, animal.tonight)}
                {line.left !== null &&
                  line.seenOn !== null &&
                  `, ${line.left} left ${shortDate(line.seenOn, animal.tonight)}`}
                {!line.counts && '; does not count as a standing source'}
              </li>
            ))}
          </ul>
        </div>
      )}
      <Button writes onClick={() => setLooking(true)}>
        Calcium seen or put in…
      </Button>
      {looking && (
        <ActDialogFor stockId={animal.stockId} kind="calciumLooked" onClose={() => setLooking(false)} />
      )}
    </section>
  );
};
