import { type ReactNode, useLayoutEffect, useRef, useState } from 'react';
import { SaveDrawing } from './SaveDrawing';

interface MeasuredProps {
  height: number;
  children: (width: number) => ReactNode;
  /** Name under which the drawing can be saved as a file; left out, it is not offered. */
  savedAs?: string;
}

/** Renders a drawing at the width that is there for it. */
export function Measured({ height, children, savedAs }: MeasuredProps) {
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
    <>
      <div ref={box} style={{ minHeight: height }} className="min-w-0">
        {width > 0 && children(width)}
      </div>
      {savedAs !== undefined && <SaveDrawing of={box} name={savedAs} />}
    </>
  );
}
