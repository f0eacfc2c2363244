import { useMayWrite } from '../../ui/mayWrite';
import { NavTabs } from '../../ui/NavTabs';
import { PageHeader } from '../../ui/PageHeader';
import { Button } from '../../ui/Button';
import { useEffect, useState } from 'react';
import { Outlet } from 'react-router';
import type { Schemas } from '../../api/client';
import { useSettings } from '../Rooms/queries';
import { useShelves } from './queries';
import { shortDate } from '../../ui/dates';
import { builtAtOnce } from '../../ui/parts';
import { useCommands } from '../../commands/useCommands';
import { useRoving } from '../../ui/useRoving';
import { useIsPhone } from '../../ui/useMedia';
import { Waiting } from '../../ui/Waiting';
import { useDone } from '../Journal/DoneContext';
import { EnclosurePanel } from './EnclosurePanel';
import { LayoutDialog } from './LayoutDialog';
import { RackDrawing } from './RackDrawing';
import { shelfOf } from '../Rounds/shelves';
import { codeOf, freeOrTaken, type Carried } from './carrying';

const nothing = () => undefined;

/** What stands round the shelves and the planner of moves. */
export function ShelvesFrame() {
  return (
    <>
      <PageHeader title="Shelves">
        <NavTabs
          label="Shelves"
          tabs={[
            ['/shelves', 'Where they stand'],
            ['/shelves/rehousing', 'Who needs another enclosure'],
          ]}
        />
      </PageHeader>
      <Outlet />
    </>
  );
}

/** The racks drawn in true proportion, with what stands on them. */
export function ShelvesPage() {
  return (
    <Waiting query={useShelves()} what="The shelves">
      {(view) => <Shelves view={view} />}
    </Waiting>
  );
}

function Shelves({ view }: { view: Schemas['ShelvesView'] }) {
  const unit = useSettings().data?.settings.unit ?? 'mm';
  const phone = useIsPhone();
  const { logMany } = useDone();
  const [looked, setLooked] = useState<string | null>(null);
  const [carried, setCarried] = useState<Carried | null>(null);
  const [editing, setEditing] = useState(false);
  const slots = view.racks.flatMap((r) => r.shelves.flatMap((s) => s.slots));
  const at = slots.find((s) => s.stockId === looked) ?? null;

  const setDown = async (what: Carried) => {
    setCarried(null);
    if (what.to === what.slot.place) {
      return;
    }
    const other = slots.find((s) => s.place === what.to);
    await logMany(
      [
        { stockId: what.slot.stockId, act: { kind: 'moved', place: what.to } },
        ...(other === undefined
          ? []
          : [{ stockId: other.stockId, act: { kind: 'moved', place: what.slot.place } as const }]),
      ],
      other === undefined
        ? `${what.slot.name} moved to ${what.to}`
        : `${what.slot.name} and ${other.name} changed places`,
    );
  };

  const roving = useRoving(slots.map((slot) => slot.stockId));

  // What is carried stays in sight, also onto a shelf that is not drawn yet.
  const target = carried?.to;
  useEffect(() => {
    const at =
      target === undefined
        ? null
        : (document.querySelector(`[data-place="${target}"]`) ??
          document.querySelector(`[data-shelf="${shelfOf(target)}"]`));
    at?.scrollIntoView({ block: 'nearest' });
  }, [target]);

  const mayWrite = useMayWrite();
  const step = (columns: number, rows: number) => () => {
    if (carried !== null) {
      setCarried({ ...carried, to: freeOrTaken(view, carried.to, columns, rows) });
    }
  };
  useCommands(
    carried === null
      ? []
      : [
          { id: 'shelves.left', run: step(-1, 0) },
          { id: 'shelves.right', run: step(1, 0) },
          { id: 'shelves.up', run: step(0, -1) },
          { id: 'shelves.down', run: step(0, 1) },
          { id: 'shelves.set', run: () => void setDown(carried) },
          { id: 'shelves.back', run: () => setCarried(null) },
        ],
    '[data-place]',
  );

  if (slots.length === 0 && view.racks.length === 0) {
    return (
      <div className="mx-auto max-w-md px-6 py-16 text-center">
        <p className="font-display text-22">No shelf was measured yet.</p>
        <p className="mt-2 mb-5 text-muted">
          Give each rack its letter and its shelves their inner width and height; then every enclosure is
          drawn where it stands.
        </p>
        <Button writes="owner" kind="first" onClick={() => setEditing(true)}>
          Measure a rack
        </Button>
        {editing && <LayoutDialog view={view} unit={unit} onClose={() => setEditing(false)} />}
      </div>
    );
  }
  const widest = Math.max(
    600,
    ...view.racks.flatMap((r) => r.shelves.map((s) => s.layout?.widthMm ?? s.slots.length * 130)),
  );
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_280px] border-t border-line max-lg:block max-lg:flex-none">
      <div
        {...(carried === null ? roving.group : {})}
        className="min-w-0 overflow-y-auto px-6 pt-2 pb-8 max-sm:px-4"
      >
        <p aria-live="polite" className="min-h-6 text-13 text-soft">
          {carried !== null
            ? `Carrying ${carried.slot.place} ${carried.slot.name} to ${carried.to}${takenBy(slots, carried)}: arrows choose the place, Enter sets it down, Escape puts it back.`
            : `${phone ? 'Touch an enclosure to see or move it.' : 'Drag an enclosure to its new place, or stand on it and press M.'} ${slots.length} stand here.`}
        </p>
        <FitLegend />
        {view.racks.map((rack) => (
          <RackDrawing
            key={rack.rack}
            rack={rack}
            widestMm={widest}
            vast={slots.length > builtAtOnce}
            looked={looked}
            carried={carried}
            onLook={setLooked}
            onCarry={mayWrite ? setCarried : nothing}
            onSetDown={(what) => void setDown(what)}
            roving={roving.item}
          />
        ))}
      </div>
      <aside
        aria-label="Chosen enclosure"
        className={`border-l border-line bg-panel px-5 py-4 max-lg:border-t max-lg:border-l-0 ${
          at === null ? '' : 'max-lg:sticky max-lg:bottom-0 max-lg:max-h-[44vh] max-lg:overflow-y-auto'
        }`}
      >
        {at === null ? (
          <Overview view={view} onEdit={() => setEditing(true)} onLook={setLooked} />
        ) : (
          <EnclosurePanel
            slot={at}
            unit={unit}
            onCarry={() => setCarried({ slot: at, to: at.place })}
            onClose={() => setLooked(null)}
          />
        )}
      </aside>
      {editing && <LayoutDialog view={view} unit={unit} onClose={() => setEditing(false)} />}
    </div>
  );
}

function takenBy(slots: readonly Schemas['SlotView'][], carried: Carried): string {
  const other = slots.find((s) => s.place === carried.to && s.stockId !== carried.slot.stockId);
  return other === undefined ? '' : ` (${other.name} stands there: they change places)`;
}

interface OverviewProps {
  view: Schemas['ShelvesView'];
  onEdit: () => void;
  onLook: (stockId: string) => void;
}

function Overview({ view, onEdit, onLook }: OverviewProps) {
  const shelves = view.racks.flatMap((r) => r.shelves);
  const free = shelves.reduce((sum, s) => sum + (s.layout === null ? 0 : s.free.length), 0);
  const wrong = shelves.filter((s) => s.overfull || s.tooTall.length > 0);
  const misfits = shelves.flatMap((s) => s.slots).filter((s) => s.fit === 'misfits');
  const quarantine = shelves.filter((s) => s.layout?.quarantine === true).map((s) => s.code);
  return (
    <>
      <h2 className="text-18">The room</h2>
      <dl className="mt-2 text-13">
        <Fact term="Free places">{free}</Fact>
        <Fact term="Quarantine">
          {quarantine.length === 0 ? 'no shelf set apart' : quarantine.join(', ')}
        </Fact>
        <Fact term="Walked">
          {shelves
            .toSorted((a, b) => a.walked - b.walked)
            .map((s) => s.code)
            .join(' · ')}
        </Fact>
        {wrong.map((s) => (
          <Fact key={s.code} term={s.code}>
            {[
              s.overfull ? 'its enclosures are wider than the shelf' : '',
              ...s.tooTall.map((slot) => `${codeOf(s.code, slot)} is taller than the shelf`),
            ]
              .filter((t) => t !== '')
              .join('; ')}
          </Fact>
        ))}
      </dl>
      <Named title="Does not fit now" slots={misfits} text={(s) => s.fitText} onLook={onLook} />
      <Named
        title="New, and not apart"
        slots={view.misplaced}
        text={(s) => (s.quarantine === null ? '' : `until ${shortDate(s.quarantine)}`)}
        onLook={onLook}
      />
      <Button writes="owner" className="mt-4" onClick={onEdit}>
        Racks, shelves, walking order
      </Button>
    </>
  );
}

function Fact({ term, children }: { term: string; children: React.ReactNode }) {
  return (
    <div className="grid grid-cols-[92px_minmax(0,1fr)] gap-2 border-t border-line py-1.5">
      <dt className="font-semibold">{term}</dt>
      <dd>{children}</dd>
    </div>
  );
}

interface NamedProps {
  title: string;
  slots: readonly Schemas['SlotView'][];
  text: (slot: Schemas['SlotView']) => string;
  onLook: (stockId: string) => void;
}

function Named({ title, slots, text, onLook }: NamedProps) {
  return slots.length === 0 ? null : (
    <section className="mt-4">
      <h3 className="text-15">{title}</h3>
      <ul className="text-13">
        {slots.map((s) => (
          <li key={s.stockId} className="border-t border-line py-1">
            <button type="button" className="text-left hover:underline" onClick={() => onLook(s.stockId)}>
              <span className="code">{s.place}</span> <b className="font-semibold">{s.name}</b>
            </button>{' '}
            {text(s)}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What the outlines of the drawing mean. */
function FitLegend() {
  const kinds = [
    { outline: 'border-2 border-ember', floor: false, text: 'too low or too small for it' },
    { outline: 'border border-dashed border-edge', floor: false, text: 'not measured' },
    { outline: 'border border-edge', floor: true, text: 'depth of floor' },
  ];
  return (
    <ul className="flex flex-wrap gap-x-5 gap-y-1 text-13 text-muted">
      {kinds.map(({ outline, floor, text }) => (
        <li key={text} className="flex items-center gap-1.5">
          <span aria-hidden="true" className={`flex h-3.5 w-4 items-end bg-raised ${outline}`}>
            {floor && <span className="h-1/2 w-full bg-edge/40" />}
          </span>
          {text}
        </li>
      ))}
    </ul>
  );
}
