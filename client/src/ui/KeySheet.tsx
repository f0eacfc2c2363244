import { Dialog } from './Dialog';

const keys: readonly (readonly [string, readonly (readonly [string, string])[]])[] = [
  [
    'Everywhere',
    [
      ['/', 'Find an animal by code, name, species or tag'],
      ['G R · G E · G S', 'Go to Round, Shelves, Stock'],
      ['G C · G A · G L', 'Go to Chores, Almanac, Larder'],
      ['G U · G B · G P', 'Go to Guide, Rulebook, Paper'],
      ['G Y · G N · G M', 'Go to Honesty, Bench, Room'],
      ['G O · G T', 'Go to People, About'],
      ['← · →', 'On the strip of nights: another night'],
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
      ['F', 'Fed as offered; water and food where both are due'],
      ['R then 1–7', 'Refused, or another outcome'],
      ['O', 'Some of a tray left their food'],
      ['X', 'Leftovers taken out'],
      ['T', 'Taken after all'],
      ['W', 'Water given, or water only'],
      ['W · 2 · 3', 'The tube’s water: full, low, gone'],
      ['D', 'Say what is not known yet'],
      ['B · N', 'Fangs black · not yet'],
      ['S', 'Sign seen'],
      ['E', 'Something else'],
      ['L', 'Later: tomorrow’s round'],
      ['A', 'All of this shelf, with exceptions'],
      ['C', 'What to have ready'],
      ['?', 'Why'],
    ],
  ],
  [
    'On the shelves',
    [
      ['Tab', 'From enclosure to enclosure'],
      ['M, arrows, Enter', 'Take it up, choose the place, set it down'],
      ['Esc', 'Put it back'],
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
