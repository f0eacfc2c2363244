import type { AnimalView, Schemas } from '../../api/client';
import { shortDate } from '../../ui/dates';

const signed = (by: number) => (by > 0 ? `+${by}` : by < 0 ? `−${-by}` : '±0');

/** How many came, were born and left, and whether it adds up. */
export function NumbersBook({
  animal,
  numbers,
}: {
  animal: AnimalView;
  numbers: NonNullable<Schemas['AnimalView']['numbers']>;
}) {
  return (
    <>
      <p className="text-13 text-soft">{numbers.summary}</p>
      {numbers.missing > 0 && (
        <p className="mt-1 border-l-2 border-lampmark pl-2 text-13">
          {numbers.missing} gone, and nobody has said how: mend that count and give the reason, once it is
          known.
        </p>
      )}
      {numbers.lines.length > 1 && (
        <table className="mt-2 w-full text-13">
          <thead className="text-left text-12 text-muted">
            <tr>
              <th className="py-1 font-normal">Night</th>
              <th className="font-normal">What</th>
              <th className="pl-3 text-right font-normal">Change</th>
              <th className="pl-3 text-right font-normal">There</th>
            </tr>
          </thead>
          <tbody>
            {numbers.lines.map((line) => (
              <tr key={line.entryId} className="border-t border-line align-top">
                <td className="py-1 pr-3 whitespace-nowrap">{shortDate(line.night, animal.tonight)}</td>
                <td className="py-1 pr-2">
                  {line.text}
                  {line.isUnexplained && <span className="text-hush"> · unexplained</span>}
                </td>
                <td className="py-1 text-right tabular-nums">{signed(line.by)}</td>
                <td className="py-1 text-right tabular-nums">{line.now}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
