import { useState } from 'react';

/** Steps of a list; where they are done one by one they can be ticked, for oneself alone. */
export function Steps({
  title,
  steps,
  ticked = false,
}: {
  title: string;
  steps: readonly string[];
  ticked?: boolean;
}) {
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  const tick = (step: string) =>
    setDone((former) => {
      const next = new Set(former);
      if (!next.delete(step)) {
        next.add(step);
      }
      return next;
    });
  return (
    <section aria-label={title} className="mt-3">
      <h2 className="text-13 font-semibold text-muted">{title}</h2>
      <ul>
        {steps.map((step) => (
          <li key={step} className="border-t border-line">
            {ticked ? (
              <label className="flex min-h-11 cursor-pointer items-center gap-3 py-1">
                <input
                  type="checkbox"
                  className="size-5 shrink-0 accent-lampmark"
                  checked={done.has(step)}
                  onChange={() => tick(step)}
                />
                <span className={done.has(step) ? 'text-muted line-through' : ''}>{step}</span>
              </label>
            ) : (
              <p className="py-1.5">{step}</p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
