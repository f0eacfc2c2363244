import { Suspense } from 'react';
import { useNightline } from './queries';
import { aside } from '../../ui/aside';
import { Measured } from '../../ui/Measured';
import { useIsPhone } from '../../ui/useMedia';
import { laneHeight } from './nightlineLayout';

// The round is told before it is drawn.
const NightlineDrawing = aside(async () => (await import('./NightlineDrawing')).NightlineDrawing);

/** The strip of nights across the top of every page: what happened, what is awaited, what will be due. */
export function NightlineStrip() {
  const { data } = useNightline();
  const phone = useIsPhone();
  const lanes = phone ? 2 : 4;
  const height = lanes * laneHeight + 26;
  return (
    <header className="border-b border-line px-4 pt-2 pb-1">
      <Measured height={height}>
        {(width) =>
          data !== undefined && (
            <Suspense>
              <NightlineDrawing data={data} width={width} lanes={lanes} height={height} phone={phone} />
            </Suspense>
          )
        }
      </Measured>
    </header>
  );
}
