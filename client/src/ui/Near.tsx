import { type ReactNode, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';

interface NearProps {
  /** About how high it will be, so that the page does not jump. */
  height: number;
  /** Builds it at once: for pages that are small enough. */
  always: boolean;
  children: () => ReactNode;
}

/** Builds what is inside once it comes near the window, or when the page is printed; a space of its height stands there until then. */
export function Near({ height, always, children }: NearProps) {
  const space = useRef<HTMLDivElement>(null);
  const [near, setNear] = useState(false);
  const built = always || near;
  useEffect(() => {
    const element = space.current;
    if (built || element === null) {
      return;
    }
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some((e) => e.isIntersecting)) {
          setNear(true);
        }
      },
      { root: scrollerOf(element), rootMargin: '600px' },
    );
    observer.observe(element);
    const print = () => flushSync(() => setNear(true));
    window.addEventListener('beforeprint', print);
    return () => {
      observer.disconnect();
      window.removeEventListener('beforeprint', print);
    };
  }, [built]);
  return built ? children() : <div ref={space} style={{ height }} />;
}

/** What scrolls an element: only of it can "near" be said in pixels. */
function scrollerOf(element: Element): Element | null {
  for (let at = element.parentElement; at !== null; at = at.parentElement) {
    if (at.scrollHeight > at.clientHeight && /auto|scroll/.test(getComputedStyle(at).overflowY)) {
      return at;
    }
  }
  return null;
}
