import { Button, IconButton } from '../../ui/Button';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { type SubmitEvent, useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { useChangeLayout } from './queries';
import { Dialog } from '../../ui/Dialog';
import { FormError, TextField } from '../../ui/Field';
import { fromMm, type LengthUnit, toMm } from '../../ui/lengths';

interface Props {
  view: Schemas['ShelvesView'];
  unit: LengthUnit;
  onClose: () => void;
}

/** A shelf while its numbers are still text. */
interface ShelfDraft {
  number: string;
  width: string;
  height: string;
  depth: string;
  slots: string;
  quarantine: boolean;
  heatNote: string;
  moistureNote: string;
}

interface RackDraft {
  rack: string;
  area: string;
  shelves: ShelfDraft[];
}

const freshShelf = (number: number, unit: LengthUnit): ShelfDraft => ({
  number: String(number),
  width: fromMm(1000, unit),
  height: fromMm(300, unit),
  depth: fromMm(400, unit),
  slots: '8',
  quarantine: false,
  heatNote: '',
  moistureNote: '',
});

/** Racks as they are, those among them that were never measured with a first guess. */
const draftOf = (view: Schemas['ShelvesView'], unit: LengthUnit): RackDraft[] =>
  view.racks.map((rack) => ({
    rack: rack.rack,
    area: rack.area,
    shelves: rack.shelves.map((shelf) => {
      const s = shelf.layout;
      const number = Number(/\d+$/.exec(shelf.code)?.[0] ?? 1);
      return s === null
        ? { ...freshShelf(number, unit), slots: String(Math.max(8, shelf.slots.length + shelf.free.length)) }
        : {
            number: String(s.number),
            width: fromMm(s.widthMm, unit),
            height: fromMm(s.heightMm, unit),
            depth: fromMm(s.depthMm, unit),
            slots: String(s.slots),
            quarantine: s.quarantine,
            heatNote: s.heatNote ?? '',
            moistureNote: s.moistureNote ?? '',
          };
    }),
  }));

const whole = (text: string) => (/^\d+$/.test(text.trim()) ? Number(text) : 0);

/** Racks and shelves with their measures, and the order in which they are walked. */
export function LayoutDialog({ view, unit, onClose }: Props) {
  const change = useChangeLayout();
  const [racks, setRacks] = useState(() => draftOf(view, unit));
  const [walk, setWalk] = useState<readonly string[]>(() =>
    view.racks
      .flatMap((r) => r.shelves)
      .toSorted((a, b) => a.walked - b.walked)
      .map((s) => s.code),
  );
  const refusal = change.error instanceof Refusal ? change.error : null;
  const codes = racks.flatMap((r) =>
    r.shelves.map((s) => `${r.rack.trim().toUpperCase()}${s.number.trim()}`),
  );
  const order = [
    ...walk.filter((code) => codes.includes(code)),
    ...codes.filter((code) => !walk.includes(code)),
  ];
  const mm = (text: string) => {
    const value = toMm(text, unit);
    return Number.isFinite(value) ? value : 0;
  };
  const setRack = (k: number, part: Partial<RackDraft>) =>
    setRacks(racks.map((r, i) => (i === k ? { ...r, ...part } : r)));
  const setShelf = (k: number, n: number, part: Partial<ShelfDraft>) =>
    setRack(k, { shelves: racks[k]?.shelves.map((s, i) => (i === n ? { ...s, ...part } : s)) ?? [] });
  const save = (event: SubmitEvent) => {
    event.preventDefault();
    change.mutate(
      {
        version: view.version,
        layout: {
          racks: racks.map((r) => ({
            rack: r.rack.trim().toUpperCase(),
            area: r.area,
            shelves: r.shelves.map((s) => ({
              number: whole(s.number),
              widthMm: mm(s.width),
              heightMm: mm(s.height),
              depthMm: mm(s.depth),
              slots: whole(s.slots),
              quarantine: s.quarantine,
              heatNote: s.heatNote === '' ? null : s.heatNote,
              moistureNote: s.moistureNote === '' ? null : s.moistureNote,
            })),
          })),
          walk: order,
        },
      },
      { onSuccess: onClose },
    );
  };
  const move = (k: number, by: number) => {
    const next = [...order];
    const [code] = next.splice(k, 1);
    if (code !== undefined) {
      next.splice(k + by, 0, code);
      setWalk(next);
    }
  };
  return (
    <Dialog
      title="Racks, shelves, walking order"
      hint={`Inner measures in ${unit}. The shelf at the top comes first. What stands on a shelf stays where it is.`}
      onClose={onClose}
      wide
    >
      <form onSubmit={save} className="grid gap-4" noValidate>
        {racks.map((rack, k) => (
          <fieldset key={k} className="border-t border-line pt-2">
            <legend className="sr-only">Rack {rack.rack}</legend>
            <div className="grid grid-cols-[84px_minmax(0,1fr)_44px] items-end gap-3">
              <TextField
                label="Rack"
                value={rack.rack}
                error={refusal?.for(`racks[${k}].rack`)}
                onChange={(value) => setRack(k, { rack: value })}
              />
              <TextField
                label="Where it stands"
                value={rack.area}
                error={refusal?.for(`racks[${k}].area`)}
                onChange={(area) => setRack(k, { area })}
              />
              <Remove what={`rack ${rack.rack}`} onRemove={() => setRacks(racks.filter((_, i) => i !== k))} />
            </div>
            {rack.shelves.map((shelf, n) => (
              <div
                key={n}
                className="mt-2 grid grid-cols-[repeat(5,minmax(0,1fr))_44px] items-end gap-2 border-l-2 border-line pl-3 max-sm:grid-cols-2"
              >
                {(
                  [
                    ['number', 'Shelf', 'number'],
                    ['width', 'Width', 'widthMm'],
                    ['height', 'Height', 'heightMm'],
                    ['depth', 'Depth', 'depthMm'],
                    ['slots', 'Places', 'slots'],
                  ] as const
                ).map(([key, label, field]) => (
                  <TextField
                    key={key}
                    label={label}
                    inputMode="decimal"
                    value={shelf[key]}
                    error={refusal?.for(`racks[${k}].shelves[${n}].${field}`)}
                    onChange={(value) => setShelf(k, n, { [key]: value })}
                  />
                ))}
                <Remove
                  what={`shelf ${rack.rack}${shelf.number}`}
                  onRemove={() => setRack(k, { shelves: rack.shelves.filter((_, i) => i !== n) })}
                />
                <div className="col-span-full grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] items-end gap-2 max-sm:grid-cols-1">
                  <TextField
                    label="Warmth, noted"
                    value={shelf.heatNote}
                    error={refusal?.for(`racks[${k}].shelves[${n}].heatNote`)}
                    onChange={(heatNote) => setShelf(k, n, { heatNote })}
                  />
                  <TextField
                    label="Moisture, noted"
                    value={shelf.moistureNote}
                    error={refusal?.for(`racks[${k}].shelves[${n}].moistureNote`)}
                    onChange={(moistureNote) => setShelf(k, n, { moistureNote })}
                  />
                  <label className="flex min-h-11 cursor-pointer items-center gap-2 text-13">
                    <input
                      type="checkbox"
                      className="size-5 accent-lampmark"
                      checked={shelf.quarantine}
                      onChange={(event) => setShelf(k, n, { quarantine: event.target.checked })}
                    />
                    Quarantine
                  </label>
                </div>
              </div>
            ))}
            <Button
              kind="link"
              className="mt-2 text-13"
              onClick={() =>
                setRack(k, { shelves: [...rack.shelves, freshShelf(rack.shelves.length + 1, unit)] })
              }
            >
              One more shelf
            </Button>
          </fieldset>
        ))}
        <Button
          className="justify-self-start"
          onClick={() =>
            setRacks([
              ...racks,
              { rack: nextLetter(racks.map((r) => r.rack)), area: '', shelves: [freshShelf(1, unit)] },
            ])
          }
        >
          One more rack
        </Button>
        <section>
          <h3 className="mb-1 text-15">Walking order</h3>
          <p className="mb-1 text-13 text-muted">Quarantine shelves are always walked last.</p>
          <ol className="flex flex-wrap gap-x-4">
            {order.map((code, k) => (
              <li key={code} className="flex items-center">
                <span className="code w-9">{code}</span>
                <IconButton disabled={k === 0} label={`${code} earlier`} onClick={() => move(k, -1)}>
                  <ArrowUp className="size-4" />
                </IconButton>
                <IconButton
                  disabled={k === order.length - 1}
                  label={`${code} later`}
                  onClick={() => move(k, 1)}
                >
                  <ArrowDown className="size-4" />
                </IconButton>
              </li>
            ))}
          </ol>
        </section>
        <FormError>{refusal?.all}</FormError>
        <div className="flex justify-end gap-2">
          <Button kind="plain" onClick={onClose}>
            Cancel
          </Button>
          <Button kind="first" type="submit" disabled={change.isPending}>
            Save
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

function Remove({ what, onRemove }: { what: string; onRemove: () => void }) {
  return (
    <IconButton label={`Take ${what} away`} onClick={onRemove}>
      <X className="size-4" />
    </IconButton>
  );
}

function nextLetter(used: readonly string[]): string {
  const letters = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
  return Array.from(letters).find((letter) => !used.includes(letter)) ?? 'AA';
}
