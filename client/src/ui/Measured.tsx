import { type ReactNode, useLayoutEffect, useRef, useState } from 'react';

/** Renders a drawing at the width that is there for it. */
export function Measured({ height, children }: { height: number; children: (width: number) => ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const element = box.current;
    if (element === null) {
      return;
    }
    const observer = new ResizeObserver(() => setWidth(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return (
    <div ref={box} style={{ minHeight: height }} className="min-w-0">
      {width > 0 && children(width)}
    </div>
  );
}
