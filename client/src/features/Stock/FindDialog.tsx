import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useStock } from '../../api/queries';
import { Dialog } from '../../ui/Dialog';
import { Lantern } from '../../ui/Lantern';

const most = 12;

/** Letters and digits only, so that `a1-3` finds `A1·03`. */
const plain = (text: string) => text.toLowerCase().replace(/[^a-z0-9 ]/g, '');
const plainCode = (text: string) =>
  plain(text)
    .replace(/\b0+(?=\d)/g, '')
    .replace(/ /g, '');

/** Finds an animal by code, name or species and opens it. */
export function FindDialog({ onClose }: { onClose: () => void }) {
  const stock = useStock(true).data ?? [];
  const [text, setText] = useState('');
  const navigate = useNavigate();
  const [chosen, setChosen] = useState(0);
  const wanted = plain(text).trim();
  const found = stock
    .filter(
      (s) =>
        wanted === '' ||
        plain(`${s.name} ${s.species}`).includes(wanted) ||
        plainCode(s.place.replace('·', ' ')).startsWith(plainCode(text.replace(/[·.\-/]/g, ' '))),
    )
    .slice(0, most);
  const open = (id: string | undefined) => {
    if (id !== undefined) {
      onClose();
      void navigate(`/stock/${id}`);
    }
  };
  return (
    <Dialog title="Find an animal" onClose={onClose}>
      <input
        className="field"
        role="combobox"
        aria-expanded="true"
        aria-controls="found"
        aria-activedescendant={found[chosen] === undefined ? undefined : `found-${chosen}`}
        aria-label="Code, name or species"
        placeholder="Code, name or species"
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          setChosen(0);
        }}
        onKeyDown={(e) => {
          if (e.key === 'Enter') {
            open(found[chosen]?.stockId);
          } else if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
            e.preventDefault();
            setChosen((k) => Math.max(0, Math.min(found.length - 1, k + (e.key === 'ArrowDown' ? 1 : -1))));
          }
        }}
      />
      <ul id="found" role="listbox" aria-label="Found" className="mt-2">
        {found.map((s, k) => (
          <li
            key={s.stockId}
            id={`found-${k}`}
            role="option"
            aria-selected={k === chosen}
            onClick={() => open(s.stockId)}
            className="flex min-h-11 cursor-pointer items-center gap-3 border-b border-line px-2 hover:bg-raised aria-selected:bg-raised"
          >
            <Lantern shutters={s.shutters} className="size-5" />
            <span className="code w-14">{s.place}</span>
            <b className="font-display font-semibold">{s.name}</b>
            <i className="truncate text-muted">{s.species}</i>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="p-2 text-muted">Nothing by that code, name or species.</p>}
    </Dialog>
  );
}
