import { useRef } from 'react';
import type { Schemas } from '../../api/client';
import { LanternShape } from '../../ui/Lantern';
import { Measured } from '../../ui/Measured';
import { Near } from '../../ui/Near';
import type { RovingItem } from '../../ui/useRoving';
import { type Carried, codeOf } from './carrying';

type Slot = Schemas['SlotView'];

interface Props {
  rack: Schemas['RackView'];
  /** Width of the widest shelf of the room, so that all racks are drawn to one scale. */
  widestMm: number;
  /** Whether the room is so large that only shelves in sight are drawn. */
  vast: boolean;
  looked: string | null;
  carried: Carried | null;
  onLook: (stockId: string) => void;
  onCarry: (carried: Carried | null) => void;
  onSetDown: (carried: Carried) => void;
  /** Makes all enclosures one stop of the Tab key. */
  roving: (stockId: string) => RovingItem;
}

/** How long a finger rests on an enclosure before it is picked up. */
const longPressMs = 500;

/** Taken for a shelf that nobody measured. */
const usual = { slotMm: 130, heightMm: 200 };

/** Taken for an enclosure that nobody measured; drawn dashed. */
const guess = { widthMm: 90, heightMm: 110 };

const pixels = { codeRow: 20, shelfBoard: 3, leastHeight: 54, usualHeight: 180 };

/** One rack seen from the front, its shelves and enclosures in true proportion to each other. */
export function RackDrawing(props: Props) {
  const { rack, widestMm, vast } = props;
  return (
    <section aria-label={`Rack ${rack.rack}`} className="mt-3">
      <h2 className="text-18">
        Rack {rack.rack}
        {rack.area !== '' && (
          <span className="ml-2 font-text text-13 font-normal tracking-normal text-muted">{rack.area}</span>
        )}
      </h2>
      {rack.shelves.map((shelf) => (
        <div key={shelf.code} data-shelf={shelf.code}>
          <Near height={pixels.usualHeight} always={!vast}>
            {() => (
              <Measured height={pixels.leastHeight}>
                {(width) => (
                  <>
                    <ShelfCaption shelf={shelf} />
                    <ShelfDrawing {...props} shelf={shelf} width={width} scale={width / (widestMm + 20)} />
                  </>
                )}
              </Measured>
            )}
          </Near>
        </div>
      ))}
    </section>
  );
}

/** The shelf's code and what the keeper noted of it; above the drawing, where no enclosure hides it. */
function ShelfCaption({ shelf }: { shelf: Schemas['ShelfView'] }) {
  const notes = [
    shelf.layout?.quarantine === true ? 'quarantine, walked last' : '',
    shelf.layout?.heatNote ?? '',
    shelf.layout?.moistureNote ?? '',
    shelf.layout === null ? 'not measured' : '',
  ].filter((note) => note !== '');
  return (
    <p className="mt-1 text-12 text-muted">
      <b className="font-semibold">{shelf.code}</b>
      {notes.map((note) => ` · ${note}`)}
    </p>
  );
}

interface ShelfProps extends Props {
  shelf: Schemas['ShelfView'];
  width: number;
  /** Pixels a millimetre. */
  scale: number;
}

function ShelfDrawing({
  shelf,
  width,
  scale,
  looked,
  carried,
  onLook,
  onCarry,
  onSetDown,
  roving,
}: ShelfProps) {
  // A finger that scrolls must not carry anything off: on touch an enclosure is picked up by a long press only.
  const pressed = useRef<{ slot: Slot; x: number; y: number; timer: number | null } | null>(null);
  const letGo = () => {
    if (pressed.current?.timer != null) {
      clearTimeout(pressed.current.timer);
    }
    pressed.current = null;
  };
  const highest = Math.max(0, ...shelf.slots.map((s) => s.enclosure?.heightMm ?? guess.heightMm));
  const heightMm = shelf.layout?.heightMm ?? Math.max(usual.heightMm, highest + 20);
  const count = shelf.slots.length + shelf.free.length;
  const widthMm = shelf.layout?.widthMm ?? Math.max(count * usual.slotMm, 400);
  const floor = Math.max(pixels.leastHeight - pixels.codeRow, heightMm * scale);
  const pitch = (widthMm / Math.max(1, count)) * scale;
  const boxes = place(shelf, pitch, scale);
  const move = (event: React.PointerEvent) => {
    const start = pressed.current;
    const far = start !== null && Math.hypot(event.clientX - start.x, event.clientY - start.y) >= 6;
    if (start !== null && event.pointerType !== 'mouse' && carried === null) {
      if (far) {
        letGo();
      }
      return;
    }
    if (start === null || (carried === null && !far)) {
      return;
    }
    const to = document
      .elementFromPoint(event.clientX, event.clientY)
      ?.closest('[data-place]')
      ?.getAttribute('data-place');
    onCarry({ slot: start.slot, to: to ?? carried?.to ?? start.slot.place });
  };
  return (
    <svg
      width={width}
      height={floor + pixels.codeRow + pixels.shelfBoard}
      role="group"
      aria-label={`Shelf ${shelf.code}${shelf.layout?.quarantine === true ? ', quarantine' : ''}`}
      className="block overflow-visible"
    >
      {shelf.layout?.quarantine === true && (
        <rect x="0" y="0" width={widthMm * scale} height={floor} fill="var(--hushpale)" />
      )}
      <path d={`M0 ${floor + 1.5}h${widthMm * scale}`} stroke="var(--ink)" strokeWidth={pixels.shelfBoard} />
      {shelf.layout !== null && (
        <path d={`M0 0V${floor}M${widthMm * scale} 0V${floor}`} stroke="var(--edge)" />
      )}
      {boxes.free.map(({ slot, x }) => {
        const code = codeOf(shelf.code, slot);
        const target = carried?.to === code;
        return (
          <g key={slot} data-place={code}>
            <rect
              x={x + 2}
              y={target ? floor - 40 : floor - 14}
              width={Math.max(8, pitch - 4)}
              height={target ? 40 : 14}
              fill={target ? 'var(--pool0)' : 'transparent'}
              stroke={target ? 'var(--lampmark)' : 'none'}
              strokeWidth="2"
            />
            <rect x={x} y="0" width={pitch} height={floor + pixels.codeRow} fill="transparent" />
            <text
              x={x + pitch / 2}
              y={floor + 16}
              textAnchor="middle"
              className={target ? '' : 'fill-muted!'}
              opacity={target || (pitch > 22 && x + pitch / 2 < widthMm * scale) ? 1 : 0}
            >
              {String(slot).padStart(2, '0')}
            </text>
          </g>
        );
      })}
      {boxes.taken.map(({ slot, x, w, h }) => (
        <EnclosureBox
          key={slot.stockId}
          slot={slot}
          x={x}
          w={w}
          h={Math.min(h, floor - 2)}
          floor={floor}
          scale={scale}
          tall={shelf.tooTall.includes(Number(slot.place.split('·')[1]))}
          looked={looked === slot.stockId}
          inHand={carried?.slot.stockId === slot.stockId}
          target={carried?.to === slot.place && carried.slot.stockId !== slot.stockId}
          roving={roving(slot.stockId)}
          onLook={() => onLook(slot.stockId)}
          onCarry={() => onCarry({ slot, to: slot.place })}
          onPointerDown={(event) => {
            const held = { slot, x: event.clientX, y: event.clientY };
            const target = event.currentTarget;
            const { pointerId } = event;
            if (event.pointerType === 'mouse') {
              pressed.current = { ...held, timer: null };
              target.setPointerCapture(pointerId);
              return;
            }
            const timer = window.setTimeout(() => {
              target.setPointerCapture(pointerId);
              onCarry({ slot, to: slot.place });
            }, longPressMs);
            pressed.current = { ...held, timer };
          }}
          onPointerCancel={() => {
            // The page took the finger over to scroll: whatever was in hand is put back.
            letGo();
            if (carried !== null) {
              onCarry(null);
            }
          }}
          onPointerMove={move}
          onPointerUp={() => {
            letGo();
            if (carried !== null) {
              onSetDown(carried);
            }
          }}
        />
      ))}
    </svg>
  );
}

/** Left edges: each stands at its place, pushed on where its neighbour is wider than a place. */
function place(shelf: Schemas['ShelfView'], pitch: number, scale: number) {
  const slots = new Map(shelf.slots.map((s) => [Number(s.place.split('·')[1]), s]));
  const numbers = [...slots.keys(), ...shelf.free].toSorted((a, b) => a - b);
  const taken: { slot: Slot; x: number; w: number; h: number }[] = [];
  const free: { slot: number; x: number }[] = [];
  let cursor = 0;
  numbers.forEach((number, k) => {
    const slot = slots.get(number);
    if (slot === undefined) {
      const x = Math.max(cursor, k * pitch);
      free.push({ slot: number, x });
      // Their numbers stay apart even where wide neighbours have pushed them on.
      cursor = Math.max(cursor, x + 18);
      return;
    }
    const w = Math.max(14, (slot.enclosure?.widthMm ?? guess.widthMm) * scale);
    const h = Math.max(16, (slot.enclosure?.heightMm ?? guess.heightMm) * scale);
    const x = Math.max(cursor, k * pitch + Math.max(1, (pitch - w) / 2));
    taken.push({ slot, x, w, h });
    cursor = x + w + 2;
  });
  return { taken, free };
}

interface BoxProps {
  slot: Slot;
  x: number;
  w: number;
  h: number;
  floor: number;
  scale: number;
  tall: boolean;
  looked: boolean;
  inHand: boolean;
  target: boolean;
  roving: RovingItem;
  onLook: () => void;
  onCarry: () => void;
  onPointerDown: (event: React.PointerEvent<SVGGElement>) => void;
  onPointerMove: (event: React.PointerEvent) => void;
  onPointerUp: () => void;
  onPointerCancel: () => void;
}

function EnclosureBox(props: BoxProps) {
  const { slot, x, w, h, floor, scale, tall, looked, inHand, target, roving, onLook, onCarry } = props;
  const measured = slot.enclosure !== null;
  const soil = Math.min(h, (slot.enclosure?.substrateMm ?? 0) * scale);
  const glyph = Math.max(11, Math.min(26, w - 3, h - 3));
  const warn = slot.fit === 'misfits' || tall;
  const words = [
    `${slot.place} ${slot.name}, ${slot.species}, ${slot.phaseWord}`,
    slot.due ? 'needs a hand tonight' : '',
    slot.fitText,
  ].filter((t) => t !== '');
  return (
    <g
      {...roving}
      role="button"
      aria-label={words.join('. ')}
      aria-pressed={looked}
      data-place={slot.place}
      data-stock={slot.stockId}
      className={`cursor-grab outline-offset-1 select-none ${inHand ? 'touch-none' : 'touch-pan-y'}`}
      opacity={inHand ? 0.45 : 1}
      onClick={onLook}
      onFocus={() => {
        roving.onFocus();
        onLook();
      }}
      onKeyDown={(event) => {
        if (event.key === 'm' || event.key === 'M') {
          event.preventDefault();
          event.stopPropagation();
          onCarry();
        }
      }}
      onPointerDown={props.onPointerDown}
      onPointerMove={props.onPointerMove}
      onPointerUp={props.onPointerUp}
      onPointerCancel={props.onPointerCancel}
    >
      <rect
        x={x}
        y={floor - h}
        width={w}
        height={h}
        fill={target ? 'var(--pool0)' : looked ? 'var(--pool1)' : 'var(--raised)'}
        stroke={warn ? 'var(--ember)' : target || looked ? 'var(--lampmark)' : 'var(--edge)'}
        strokeWidth={warn || looked || target ? 2 : 1.2}
        strokeDasharray={measured ? undefined : '3 3'}
      />
      {soil > 0 && (
        <rect x={x + 1} y={floor - soil} width={w - 2} height={soil} fill="var(--edge)" fillOpacity="0.38" />
      )}
      <svg
        x={x + (w - glyph) / 2}
        y={floor - Math.max(glyph + 1, (h + glyph) / 2)}
        width={glyph}
        height={glyph}
        viewBox="0 0 24 24"
        className={slot.shutters > 0 ? 'text-hush' : 'text-ink'}
      >
        <LanternShape shutters={slot.shutters} lit={slot.due} />
      </svg>
      {(slot.hazard === 'medicallySignificant' || slot.hazard === 'unknown') && (
        <path d={`M${x + w - 8} ${floor - h + 9}l4-7 4 7Z`} fill="var(--ember)" aria-hidden="true" />
      )}
      <text
        aria-hidden="true"
        x={x + w / 2}
        y={floor + 16}
        textAnchor="middle"
        fontWeight={looked ? 650 : 400}
        opacity={w > 15 ? 1 : 0}
      >
        {slot.place.split('·')[1]}
      </text>
    </g>
  );
}
