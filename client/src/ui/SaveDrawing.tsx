import { useAsk } from '../api/writing';
import type { RefObject } from 'react';

interface SaveDrawingProps {
  /** What holds the drawing. */
  of: RefObject<HTMLElement | null>;
  /** Name of the file, without its ending. */
  name: string;
}

/** Saves a drawing as it stands there; what does it is fetched when it is asked for. */
export function SaveDrawing({ of, name }: SaveDrawingProps) {
  const write = useAsk(
    async (as: 'svg' | 'png') => {
      const svg = of.current?.querySelector('svg');
      if (svg != null) {
        const { pngFile, save, svgFile } = await import('./drawingFile');
        save(
          as === 'png' ? await pngFile(svg) : new Blob([svgFile(svg)], { type: 'image/svg+xml' }),
          `${name}.${as}`,
        );
      }
    },
    undefined,
    false,
  );
  return (
    <p className="text-right text-12 text-muted print:hidden">
      Save the drawing as{' '}
      {(['svg', 'png'] as const).map((as, k) => (
        <span key={as}>
          {k > 0 && ' or '}
          <button type="button" className="linkish" onClick={() => write.mutate(as)}>
            {as.toUpperCase()}
            <span className="sr-only">: {name}</span>
          </button>
        </span>
      ))}
    </p>
  );
}
