import { useEffect, useEffectEvent, useLayoutEffect, useRef, useState } from 'react';
import type { RoundLine, RoundView } from '../../api/client';

/** A press this soon after the light moved by itself was meant for where it stood before. */
export const settleMs = 500;

/** Where the light stood and how far the page was scrolled when the round was left; it lasts as long as the tab. */
let left: { night: string; stockId: string | null; scroll: number } | null = null;

const scroller = () => document.getElementById('main');

/** Whether the focus is on the walk, or nowhere: what had it is gone with the act that was pressed. */
const isIdle = (focus: Element | null) =>
  focus === null || focus === document.body || focus.id === 'main' || focus.closest('[data-line]') !== null;

/** What stands in the light: an enclosure and what it asks for. */
const standsAt = (line: RoundLine | undefined) =>
  line === undefined ? '' : `${line.stockId} ${line.act} ${line.do}`;

/** The line in the light, as the keeper walks and as lines come and go. */
export function useLight(round: RoundView, due: readonly RoundLine[]) {
  const remembered = left?.night === round.night ? left : null;
  const [chosen, setChosen] = useState<string | null>(remembered?.stockId ?? null);
  // After an act the same enclosure stays chosen while it needs more; else the walk goes on from where it was.
  const [position, setPosition] = useState(() =>
    Math.max(
      0,
      due.findIndex((line) => line.stockId === round.left?.goOnAt),
    ),
  );
  const found = due.findIndex((line) => line.stockId === chosen);
  const at = found >= 0 ? found : Math.min(position, Math.max(0, due.length - 1));
  const selected = due[at];
  const here = standsAt(selected);

  // Where a key of the keeper's own has put the light: that needs no time to settle.
  const [walkedTo, setWalkedTo] = useState<string | null>(null);
  // The half second begins once the eye has the new place: a slow device that is still laying it out has not shown it.
  const light = useRef({ here, stands: true });
  useLayoutEffect(() => {
    if (light.current.here !== here) {
      light.current = { here, stands: false };
    }
  }, [here]);
  // The same for the eye: acts stand back until a press on them counts.
  const [stoodAt, setStoodAt] = useState(here);
  useEffect(() => {
    const timer = setTimeout(() => {
      light.current = { here, stands: true };
      setStoodAt(here);
    }, settleMs);
    return () => clearTimeout(timer);
  }, [here]);

  /** Whether a press may count: not in the half second after the light moved by itself under the finger. */
  const settled = () => walkedTo === here || light.current.stands;

  // The lit line never leaves the screen, whatever moved the light.
  const first = useRef(true);
  const stockId = selected?.stockId;
  useLayoutEffect(() => {
    const main = scroller();
    if (first.current && remembered !== null && main !== null) {
      main.scrollTop = remembered.scroll;
    }
    if (first.current && remembered === null && round.left === null) {
      first.current = false;
      return;
    }
    first.current = false;
    const line = stockId === undefined ? null : document.getElementById(`line-${stockId}`);
    line?.scrollIntoView({ block: 'nearest' });
    // The focus walks with the light, unless it is somewhere else on purpose.
    if (isIdle(document.activeElement)) {
      line?.focus({ preventScroll: true });
    }
    // Only where the light stands decides; what was remembered is read once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [stockId, here]);

  const remember = useEffectEvent(() => {
    left = { night: round.night, stockId: stockId ?? null, scroll: scroller()?.scrollTop ?? 0 };
  });
  useEffect(() => {
    const main = scroller();
    const listen = () => remember();
    main?.addEventListener('scroll', listen, { passive: true });
    return () => main?.removeEventListener('scroll', listen);
  }, []);
  useEffect(() => remember(), [stockId]);

  const select = (index: number, byKey: boolean) => {
    const line = due[Math.max(0, Math.min(due.length - 1, index))];
    if (line !== undefined) {
      setWalkedTo(byKey ? standsAt(line) : null);
      setChosen(line.stockId);
      setPosition(due.indexOf(line));
    }
  };
  /** The keeper logged something here: what moves the light next is no step of theirs. */
  const acted = () => setWalkedTo(null);
  return { at, selected, select, settled, settling: stoodAt !== here && walkedTo !== here, acted };
}

/** So much of a line must be seen that one knows whose it is. */
const beginningPx = 48;

/** Whether the beginning of a line can be seen between the page's head and the bar at its foot. */
function beginsInView(line: HTMLElement, main: HTMLElement): boolean {
  const [seen, frame] = [line.getBoundingClientRect(), main.getBoundingClientRect()];
  const covered = Number.parseFloat(getComputedStyle(line).scrollMarginBottom) || 0;
  return seen.top >= frame.top && seen.top + beginningPx <= frame.bottom - covered;
}

/**
 * What stands above the list and grows by itself, as an alarm does that comes: it never pushes the lit line off the screen
 * of somebody who has not scrolled away from it.
 */
export function useGrowsAbove(stockId: string | undefined) {
  const above = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const main = scroller();
    if (main === null || above.current === null || stockId === undefined) {
      return;
    }
    let stoodAt = main.scrollTop;
    const watch = new ResizeObserver(() => {
      const line = document.getElementById(`line-${stockId}`);
      if (main.scrollTop === stoodAt && line !== null && !beginsInView(line, main)) {
        line.scrollIntoView({ block: 'nearest' });
        stoodAt = main.scrollTop;
      }
    });
    watch.observe(above.current);
    return () => watch.disconnect();
  }, [stockId]);
  return above;
}

/**
 * The round as it is shown: while a finger is down on an act nothing moves under it, and what came meanwhile is shown
 * once it is up again.
 */
export function useHeld<T>(value: T): readonly [T, (down: boolean) => void] {
  const [held, setHeld] = useState<{ value: T } | null>(null);
  const hold = (down: boolean) => setHeld(down ? { value } : null);
  return [held === null ? value : held.value, hold];
}
