import { useDeferredValue, useState } from 'react';
import { useNavigate } from 'react-router';
import { useFind } from './queries';
import { Dialog } from '../../ui/Dialog';
import { Lantern } from '../../ui/Lantern';

/** Finds an animal by code, name, species or tag; typing mistakes are forgiven. */
export function FindDialog({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [position, setPosition] = useState(0);
  const asked = useDeferredValue(text.trim());
  const answer = useFind(asked);
  const found = asked === '' ? [] : (answer.data?.lines ?? []);
  const more = (answer.data?.total ?? 0) - found.length;
  const at = Math.min(position, Math.max(0, found.length - 1));
  const open = (stockId: string) => {
    onClose();
    void navigate(`/stock/${stockId}`);
  };
  const keys = (event: React.KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      setPosition(Math.max(0, Math.min(found.length - 1, at + step)));
    } else if (event.key === 'Enter' && found[at] !== undefined) {
      event.preventDefault();
      open(found[at].stockId);
    }
  };
  return (
    <Dialog title="Find an animal" grows onClose={onClose}>
      <input
        className="field"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setPosition(0);
        }}
        onKeyDown={keys}
        role="combobox"
        aria-expanded={found.length > 0}
        aria-controls="found"
        aria-activedescendant={found[at] === undefined ? undefined : `found-${found[at].stockId}`}
        aria-label="Code, name, species or tag"
        placeholder="Code, name, species or tag"
        autoComplete="off"
      />
      <ul id="found" role="listbox" aria-label="Found" className="mt-2">
        {found.map((s, k) => (
          <li
            key={s.stockId}
            id={`found-${s.stockId}`}
            role="option"
            aria-selected={k === at}
            onClick={() => open(s.stockId)}
            onPointerMove={() => setPosition(k)}
            className="flex min-h-11 cursor-pointer items-center gap-3 border-t border-line px-2 aria-selected:bg-panel"
          >
            <Lantern shutters={s.shutters} className="size-5" />
            <span className="code w-20">{s.place}</span>
            <b className="font-display font-semibold">{s.name}</b>
            <i className="truncate text-13 text-muted">{s.species}</i>
          </li>
        ))}
      </ul>
      <p role="status" className="pt-2 text-13 text-muted">
        {asked !== '' && answer.isSuccess && found.length === 0 && 'Nothing here is called that.'}
        {more > 0 && `and ${more} more: type on, or look under Stock`}
      </p>
    </Dialog>
  );
}
