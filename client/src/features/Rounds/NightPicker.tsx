import { useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { dayDate, fromDays, toDays } from '../../ui/dates';

interface Props {
  data: Schemas['Nightline'];
  axis: number;
  width: number;
  first: number;
  last: number;
  at: (night: string) => number;
  nightAt: (px: number) => number;
}

/**
 * The axis of the strip as a slider: dragged, clicked or moved with the arrows it opens another night; back at tonight
 * it opens the round.
 */
export function NightPicker({ data, axis, width, first, last, at, nightAt }: Props) {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const open = /^\/night\/(\d{4}-\d{2}-\d{2})$/.exec(pathname)?.[1] ?? null;
  const [held, setHeld] = useState<string | null>(null);
  // The night last asked for: keys that come faster than pages count from it.
  const asked = useRef<string | null>(null);
  useEffect(() => {
    asked.current = null;
  }, [pathname]);
  const shown = held ?? open;
  const clamp = (day: number) => fromDays(Math.max(first, Math.min(last, day)));
  const under = (event: React.PointerEvent<SVGRectElement>) =>
    clamp(nightAt(event.clientX - event.currentTarget.getBoundingClientRect().left));
  const go = (night: string) => {
    setHeld(null);
    asked.current = night;
    void navigate(night === data.tonight ? '/' : `/night/${night}`);
  };
  const step = (event: React.KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -7, PageDown: 7 }[event.key];
    if (by !== undefined) {
      event.preventDefault();
      event.stopPropagation();
      go(clamp(toDays(asked.current ?? shown ?? data.tonight) + by));
    } else if (event.key === 'Home') {
      event.preventDefault();
      go(data.tonight);
    }
  };
  const mark = shown === null ? null : at(shown);
  const label = shown === null ? '' : dayDate(shown);
  const half = label.length * 3.4 + 8;
  return (
    <>
      {mark !== null && mark >= 0 && mark <= width && shown !== data.tonight && (
        <g pointerEvents="none">
          <path d={`M${mark} 0V${axis}`} stroke="var(--ink)" strokeDasharray="3 3" />
          <rect
            x={Math.max(0, Math.min(width - 2 * half, mark - half))}
            y={axis + 2}
            width={2 * half}
            height="20"
            fill="var(--ink)"
            rx="3"
          />
          <text
            x={Math.max(half, Math.min(width - half, mark))}
            y={axis + 16.5}
            textAnchor="middle"
            className="fill-bg!"
            fontWeight="620"
          >
            {label}
          </text>
        </g>
      )}
      <rect
        x="0"
        y={axis - 5}
        width={width}
        height="27"
        fill="transparent"
        className="cursor-ew-resize touch-none"
        role="slider"
        tabIndex={0}
        aria-label="Look at another night"
        aria-valuemin={first}
        aria-valuemax={last}
        aria-valuenow={toDays(shown ?? data.tonight)}
        aria-valuetext={dayDate(shown ?? data.tonight)}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setHeld(under(event));
        }}
        onPointerMove={(event) => held !== null && setHeld(under(event))}
        onPointerUp={(event) => held !== null && go(under(event))}
        onPointerCancel={() => setHeld(null)}
        onKeyDown={step}
      />
    </>
  );
}
