import { Tooltip as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

/** A few words beside what one rests on; never the only place where they stand. */
export function Tooltip({ text, children }: { text: string; children: ReactNode }) {
  return (
    <Radix.Provider delayDuration={400}>
      <Radix.Root>
        <Radix.Trigger asChild>{children}</Radix.Trigger>
        <Radix.Portal>
          <Radix.Content sideOffset={4} collisionPadding={8} className="tip">
            {text}
          </Radix.Content>
        </Radix.Portal>
      </Radix.Root>
    </Radix.Provider>
  );
}
