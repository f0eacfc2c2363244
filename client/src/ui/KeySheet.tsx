import { Dialog } from './Dialog';

const keys: readonly (readonly [string, readonly (readonly [string, string])[]])[] = [
  [
    'Everywhere',
    [
      ['/', 'Find an animal by code, name or species'],
      ['G R · G S · G U', 'Go to Round, Stock, Guide'],
      ['G B · G Y · G N · G M', 'Go to Rulebook, Honesty, Bench, Room'],
      ['Z', 'Take the last entry back (ten seconds)'],
      ['H', 'This sheet'],
      ['Esc', 'Close what is open'],
    ],
  ],
  [
    'On the round',
    [
      ['J · K · ↓ · ↑', 'Next and previous enclosure'],
      ['Enter', 'Open the animal’s page'],
      ['F', 'Fed as offered'],
      ['R then 1–4', 'Refused, and how'],
      ['X', 'Leftovers taken out'],
      ['T', 'Taken after all'],
      ['W', 'Water given'],
      ['B · N', 'Fangs black · not yet'],
      ['S', 'Sign seen'],
      ['E', 'Something else'],
      ['L', 'Later: tomorrow’s round'],
      ['?', 'Why'],
    ],
  ],
  [
    'On an animal’s page',
    [
      ['F · S · W · M · E', 'Feed, sign, water, molted, something else'],
      ['?', 'Why this phase'],
    ],
  ],
];

/** All keys on one sheet. */
export function KeySheet({ onClose }: { onClose: () => void }) {
  return (
    <Dialog title="Keys" onClose={onClose}>
      {keys.map(([title, list]) => (
        <section key={title} className="mb-4">
          <h3 className="mb-1 text-15">{title}</h3>
          <dl className="grid grid-cols-[136px_minmax(0,1fr)] border-t border-line">
            {list.map(([key, what]) => (
              <div key={key} className="contents">
                <dt className="border-b border-line py-1.5 font-semibold">{key}</dt>
                <dd className="border-b border-line py-1.5">{what}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </Dialog>
  );
}
