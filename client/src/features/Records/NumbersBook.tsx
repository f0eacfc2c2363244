import { DataTable } from '../../ui/DataTable';
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
        <DataTable
          label="How the number changed"
          className="mt-2"
          rows={numbers.lines}
          keyOf={(line) => line.entryId}
          columns={[
            {
              id: 'night',
              title: 'Night',
              className: 'whitespace-nowrap',
              cell: (line) => shortDate(line.night, animal.tonight),
            },
            {
              id: 'what',
              title: 'What',
              cell: (line) => (
                <>
                  {line.text}
                  {line.isUnexplained && <span className="text-hush"> · unexplained</span>}
                </>
              ),
            },
            { id: 'change', title: 'Change', right: true, cell: (line) => signed(line.by) },
            { id: 'there', title: 'There', right: true, cell: (line) => line.now },
          ]}
        />
      )}
    </>
  );
}
