import { Button } from '../../ui/Button';
import type { RoundLine, RoundView } from '../../api/client';
import { useLarderWork } from '../Larder/queries';
import { useRound } from '../Rounds/queries';
import { longDate } from '../../ui/dates';
import { Waiting } from '../../ui/Waiting';
import { kitText } from '../Rounds/kitWords';
import { byShelf, leftoversFirst } from '../Rounds/shelves';
import { hazardWord } from '../Stock/words';
import { boxes } from './sheetLetters';

/** The lines of the round in the order in which they are printed and typed back. */
export const sheetLines = (round: RoundView): RoundLine[] =>
  byShelf(round).flatMap((s) => s.rows.flatMap((row) => (row.kind === 'due' ? [row.line] : [])));

/** Tonight's round on paper: what to have ready, a line for each enclosure with its boxes, and what to pass by. */
export function RoundSheet() {
  return (
    <Waiting query={useRound()} what="Tonight’s round">
      {(round) => <Sheet round={round} />}
    </Waiting>
  );
}

function Sheet({ round }: { round: RoundView }) {
  const lines = sheetLines(round);
  const numbers = new Map(lines.map((line, k) => [line.stockId, k + 1]));
  const shelves = byShelf(round);
  const larder = useLarderWork(round.night).data ?? [];
  const chores = [
    ...round.chores
      .filter((c) => !c.doneTonight)
      .map(({ chore: { plan } }) => (plan.where === '' ? plan.title : `${plan.title}, ${plan.where}`)),
    ...larder.map((work) => work.text),
  ];
  return (
    <div className="border-t border-line px-6 pt-3 pb-8 max-sm:px-4 print:border-0 print:p-0 print:text-black">
      <div className="mb-3 flex items-center gap-3 print:hidden">
        <Button kind="first" onClick={() => window.print()}>
          Print
        </Button>
        <p className="text-13 text-muted">
          Tick the boxes at the tubs and type the letters back later; they are the same.
        </p>
      </div>
      <h2 className="text-22">
        {round.roomName}, {longDate(round.night)}
      </h2>
      <p className="text-13">
        {boxes.map(([box, word]) => `${box} ${word}`).join(' · ')}. {lines.length} enclosures.
      </p>
      {round.kit.length > 0 && (
        <p className="mt-1 text-13">
          <b className="font-semibold">Have ready:</b> {round.kit.map(({ item }) => kitText(item)).join('; ')}
        </p>
      )}
      <table className="mt-2 w-full border-collapse text-13">
        <thead>
          <tr className="border-b border-ink text-left">
            <th scope="col" className="w-8 py-1 font-semibold">
              No.
            </th>
            <th scope="col" className="w-16 font-semibold">
              Place
            </th>
            <th scope="col" className="font-semibold">
              Animal
            </th>
            <th scope="col" className="font-semibold">
              Do
            </th>
            {boxes.map(([box, word]) => (
              <th key={box} scope="col" className="w-7 text-center font-semibold">
                {box}
                <span className="sr-only"> {word}</span>
              </th>
            ))}
            <th scope="col" className="w-40 pl-2 font-semibold">
              Note
            </th>
          </tr>
        </thead>
        {shelves.map((shelf) => {
          const due = shelf.rows.flatMap((row) => (row.kind === 'due' ? [row.line] : []));
          return (
            <tbody key={shelf.code} className="break-inside-avoid-page">
              {(due.length > 0 || shelf.passBy.length > 0) && (
                <tr>
                  <th scope="rowgroup" colSpan={5 + boxes.length} className="pt-2 text-left text-15">
                    {shelf.code === leftoversFirst ? 'Leftovers, out first' : shelf.code}
                    {shelf.quarantine && (
                      <span className="font-normal"> quarantine: last, with tools of its own</span>
                    )}
                  </th>
                </tr>
              )}
              {due.map((line) => (
                <tr key={line.stockId} className="border-b border-line">
                  <td className="py-1.5">{numbers.get(line.stockId)}</td>
                  <td className="code">{line.place}</td>
                  <td>
                    <b className="font-semibold">{line.name}</b>
                    {line.hazard !== null && (
                      <small className="block font-semibold">{hazardWord[line.hazard]}</small>
                    )}
                  </td>
                  <td>{line.do}</td>
                  {boxes.map(([box]) => (
                    <td key={box} className="text-center">
                      <span aria-hidden="true" className="inline-block size-3.5 border border-ink" />
                    </td>
                  ))}
                  <td className="pl-2">
                    <span aria-hidden="true" className="block border-b border-edge">
                      &nbsp;
                    </span>
                  </td>
                </tr>
              ))}
              {shelf.passBy.map((line) => (
                <tr key={line.stockId} className="text-muted print:text-black">
                  <td />
                  <td className="code">{line.place}</td>
                  <td colSpan={3 + boxes.length}>
                    <b className="font-semibold">Do not open.</b> {line.name}: {line.do}
                  </td>
                </tr>
              ))}
            </tbody>
          );
        })}
      </table>
      {chores.length > 0 && (
        <section className="mt-3">
          <h3 className="text-15">Chores</h3>
          <ul className="text-13">
            {chores.map((chore) => (
              <li key={chore} className="flex items-center gap-2 py-0.5">
                <span aria-hidden="true" className="inline-block size-3.5 border border-ink" />
                {chore}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
