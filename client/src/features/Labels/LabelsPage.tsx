import { Select } from '../../ui/Select';
import { Button } from '../../ui/Button';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { refusalOf, type Schemas } from '../../api/client';
import { fetchLabelSheet, useLabels, useLoadRoll, usePrintLabels } from './queries';
import { fetchStock, useStockStretch } from '../Stock/queries';
import { shortDate, dayOf } from '../../ui/dates';
import { FormError, TextField } from '../../ui/Field';
import { Waiting } from '../../ui/Waiting';

const previews = 12;

/** Labels for enclosures: chosen, looked at, and printed as a PDF or on the printer. */
export function LabelsPage() {
  return (
    <Waiting query={useLabels()} what="The labels">
      {(view) => <Labels view={view} />}
    </Waiting>
  );
}

/** What was chosen in the stock list is handed over with the address. */
function useChosen(): readonly string[] | null {
  const state = useLocation().state as { stockIds?: unknown } | null;
  return Array.isArray(state?.stockIds) ? (state.stockIds as string[]) : null;
}

function Labels({ view }: { view: Schemas['LabelsView'] }) {
  const given = useChosen();
  const [ids, setIds] = useState<readonly string[]>(given ?? []);
  const [format, setFormat] = useState(view.formats[0]?.id ?? '');
  const [skip, setSkip] = useState('0');
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const [busy, setBusy] = useState(false);
  const print = usePrintLabels();
  const size = view.formats.find((f) => f.id === format);
  // Until something is chosen, the first enclosure shows what a label of this size looks like.
  const sample = useStockStretch({ here: true, order: 'place' }, 0).data?.lines[0]?.stockId;
  const shown = ids.length > 0 ? ids.slice(0, previews) : sample === undefined ? [] : [sample];
  const body = {
    stockIds: [...ids],
    format,
    skip: size?.onRoll === true ? 0 : Math.round(Number(skip)) || 0,
  };
  const attempt = async (work: () => Promise<unknown>) => {
    setBusy(true);
    setTrouble(undefined);
    try {
      await work();
    } catch (error) {
      setTrouble(refusalOf(error).all);
    } finally {
      setBusy(false);
    }
  };
  const sheet = () =>
    attempt(async () => {
      const url = URL.createObjectURL(await fetchLabelSheet(body));
      const link = document.createElement('a');
      link.href = url;
      link.download = 'labels.pdf';
      link.click();
      setTimeout(() => URL.revokeObjectURL(url), 10_000);
    });
  return (
    <div className="grid flex-1 grid-cols-[minmax(0,1fr)_300px] border-t border-line max-lg:grid-cols-1">
      <div className="min-w-0 px-6 pt-3 pb-8 max-sm:px-4">
        <Source onIds={setIds} given={given} />
        <div className="mt-3 grid grid-cols-[minmax(0,1fr)_140px] gap-3 sm:max-w-xl">
          <Select
            label="Size"
            options={view.formats.map((f) => [f.id, f.name] as const)}
            value={format}
            onChange={setFormat}
          />
          {size?.onRoll === false && (
            <TextField label="Used up on the sheet" inputMode="numeric" value={skip} onChange={setSkip} />
          )}
        </div>
        <div className="mt-3 flex flex-wrap items-center gap-2">
          <Button kind="first" disabled={busy || ids.length === 0} onClick={() => void sheet()}>
            PDF of {ids.length === 1 ? '1 label' : `${ids.length} labels`}
          </Button>
          {size?.onRoll === true && (
            <Button
              writes
              disabled={busy || ids.length === 0}
              onClick={() => void attempt(() => print.mutateAsync(body))}
            >
              Print on the roll
            </Button>
          )}
        </div>
        <FormError>{trouble}</FormError>
        <p className="mt-3 max-w-2xl text-13 text-muted">
          {view.onNetwork
            ? `The code on a label opens the animal on a phone in your network: ${view.address}.`
            : 'The code on a label opens the animal on this computer only. Let the room be opened on your network first (under People), and phones can read it too.'}
        </p>
        <h2 className="mt-4 mb-2 text-15">
          {ids.length > 0 ? 'As they will be printed' : 'What a label of this size looks like'}
        </h2>
        <ul
          className="flex flex-wrap gap-3"
          aria-label={ids.length > 0 ? 'As they will be printed' : 'An example'}
        >
          {shown.map((id) => (
            <li key={id}>
              <img
                src={`/api/labels/preview/${id}?format=${format}`}
                alt="Label"
                width={size === undefined ? 200 : size.widthMm * 3.4}
                height={size === undefined ? 100 : size.heightMm * 3.4}
                className="border border-edge bg-white"
              />
            </li>
          ))}
        </ul>
        {ids.length > previews && <p className="mt-2 text-13 text-muted">and {ids.length - previews} more</p>}
      </div>
      <Printer view={view} format={format} />
    </div>
  );
}

interface SourceProps {
  given: readonly string[] | null;
  onIds: (ids: readonly string[]) => void;
}

/** For whom: what was chosen in the stock list, a rack, a tag, or all. */
function Source({ given, onIds }: SourceProps) {
  const choices = useStockStretch({ here: true, order: 'place' }, 0).data?.choices;
  const [source, setSource] = useState(given === null ? '' : 'given');
  const pick = async (value: string) => {
    setSource(value);
    if (value === 'given') {
      onIds(given ?? []);
      return;
    }
    const [kind, key] = value.split(':');
    const filter = { here: true, order: 'place' } as const;
    const lines =
      value === ''
        ? []
        : await fetchStock(
            kind === 'rack'
              ? { ...filter, rack: key ?? '' }
              : kind === 'tag'
                ? { ...filter, tag: key ?? '' }
                : filter,
          );
    onIds(lines.map((line) => line.stockId));
  };
  return (
    <div className="sm:max-w-xl">
      <Select
        label="For"
        hint="Or choose animals under Stock, then Labels."
        placeholder="Choose…"
        options={[
          ...(given === null ? [] : [['given', `Those chosen in the stock list (${given.length})`] as const]),
          ...(choices?.racks ?? []).map((r) => [`rack:${r}`, `Rack ${r}`] as const),
          ...(choices?.tags ?? []).map((t) => [`tag:${t}`, `Tag: ${t}`] as const),
          ['all', 'Everything that is here'],
        ]}
        value={source}
        onChange={(next) => void pick(next)}
      />
    </div>
  );
}

/** The printer that comes with the product, and what it printed. */
function Printer({ view, format }: { view: Schemas['LabelsView']; format: string }) {
  const load = useLoadRoll();
  const { roll, printed } = view.printer;
  const size = view.formats.find((f) => f.id === format);
  const nameOf = (id: string) => view.formats.find((f) => f.id === id)?.name ?? id;
  return (
    <aside
      aria-label="Label printer"
      className="border-l border-line bg-panel px-5 py-4 max-lg:border-t max-lg:border-l-0"
    >
      <h2 className="text-18">Label printer</h2>
      <p className="text-13 text-muted">
        A stand-in that ships with the product: it keeps a picture of all it prints.
      </p>
      <p className="mt-2">
        {roll === null ? 'No roll in it.' : `${nameOf(roll.formatId)}: ${roll.left} left`}
      </p>
      {size?.onRoll === true && (
        <Button writes className="mt-2" disabled={load.isPending} onClick={() => load.mutate({ format })}>
          Put in a roll of {size.widthMm} × {size.heightMm} mm
        </Button>
      )}
      <ul className="mt-4 grid gap-3">
        {printed.slice(0, 8).map((label) => (
          <li key={label.id}>
            <img
              src={`/api/labels/printed/${label.id}`}
              alt={`Printed: ${label.title}`}
              className="w-full max-w-[220px] border border-edge bg-white"
            />
            <small className="text-12 text-muted">
              {label.title}, {shortDate(dayOf(label.printedAt))}
            </small>
          </li>
        ))}
      </ul>
    </aside>
  );
}
