import { Slider } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { dayDate, fromDays, toDays } from '../../ui/dates';

/** The night that is looked at, or tried while the axis is dragged; back at tonight the round opens. */
export function useNight(tonight: string) {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const open = /^\/night\/(\d{4}-\d{2}-\d{2})$/.exec(pathname)?.[1] ?? null;
  const [held, setHeld] = useState<string | null>(null);
  // The night last asked for: keys that come faster than pages count from it.
  const asked = useRef<string | null>(null);
  useEffect(() => {
    asked.current = null;
  }, [pathname]);
  return {
    shown: held ?? open ?? tonight,
    hold: (night: string) => {
      asked.current = night;
      setHeld(night);
    },
    go: (night: string) => {
      asked.current = night;
      setHeld(null);
      void navigate(night === tonight ? '/' : `/night/${night}`);
    },
    /** From where the next key counts. */
    from: () => asked.current ?? held ?? open ?? tonight,
  };
}

export type Night = ReturnType<typeof useNight>;

interface NightPickerProps {
  night: Night;
  tonight: string;
  first: number;
  last: number;
  axis: number;
  /** Where the first and the last night lie, in pixels from the left. */
  from: number;
  to: number;
}

/** The axis of the strip as a slider: dragged, clicked or moved with the arrows it opens another night. */
export function NightPicker({ night, tonight, first, last, axis, from, to }: NightPickerProps) {
  const clamp = (day: number) => fromDays(Math.max(first, Math.min(last, day)));
  const step = (event: React.KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -7, PageDown: 7 }[event.key];
    if (by !== undefined) {
      event.preventDefault();
      event.stopPropagation();
      night.go(clamp(toDays(night.from()) + by));
    } else if (event.key === 'Home') {
      event.preventDefault();
      night.go(tonight);
    }
  };
  return (
    <Slider.Root
      min={first}
      max={last}
      step={1}
      value={[toDays(night.shown)]}
      onValueChange={([day]) => day !== undefined && night.hold(fromDays(day))}
      onValueCommit={([day]) => day !== undefined && night.go(fromDays(day))}
      onKeyDown={step}
      className="absolute flex h-[27px] cursor-ew-resize touch-none items-center"
      style={{ left: from, width: to - from, top: axis - 5 }}
    >
      <Slider.Track className="h-full grow" />
      <Slider.Thumb
        aria-label="Look at another night"
        aria-valuetext={dayDate(night.shown)}
        className="block h-[27px] w-4 rounded-[3px]"
      />
    </Slider.Root>
  );
}

interface NightMarkProps {
  night: string;
  at: number;
  width: number;
  axis: number;
}

/** The night that is looked at, in the strip. */
export function NightMark({ night, at, width, axis }: NightMarkProps) {
  const label = dayDate(night);
  const half = label.length * 3.4 + 8;
  return (
    <g pointerEvents="none">
      <path d={`M${at} 0V${axis}`} stroke="var(--ink)" strokeDasharray="3 3" />
      <rect
        x={Math.max(0, Math.min(width - 2 * half, at - half))}
        y={axis + 2}
        width={2 * half}
        height="20"
        fill="var(--ink)"
        rx="3"
      />
      <text
        x={Math.max(half, Math.min(width - half, at))}
        y={axis + 16.5}
        textAnchor="middle"
        className="fill-bg!"
        fontWeight="620"
      >
        {label}
      </text>
    </g>
  );
}
