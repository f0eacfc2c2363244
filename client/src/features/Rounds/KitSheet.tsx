import { useState } from 'react';
import type { RoundView, Schemas } from '../../api/client';
import { Dialog } from '../../ui/Dialog';
import { kitText } from './kitWords';

const kindWord: Record<Schemas['KitKind'], string> = {
  food: 'Food',
  water: 'Water',
  tool: 'Tools',
  safety: 'For your safety',
};

const kinds: readonly Schemas['KitKind'][] = ['food', 'water', 'tool', 'safety'];

/** What to have ready before the first lid comes off; ticked off by hand, and forgotten with the round. */
export function KitSheet({ round, onClose }: { round: RoundView; onClose: () => void }) {
  const [ready, setReady] = useState<ReadonlySet<string>>(new Set());
  const toggle = (what: string) => {
    const next = new Set(ready);
    if (!next.delete(what)) {
      next.add(what);
    }
    setReady(next);
  };
  return (
    <Dialog
      title="Have ready"
      hint="For everything still to do tonight. At each tub: look, prepare the prey, lid off last, water first, then food, lid on, log."
      onClose={onClose}
      wide
    >
      {round.kit.length === 0 && <p className="text-muted">Nothing is needed: the round is done.</p>}
      {kinds.map((kind) => {
        const needs = round.kit.filter((need) => need.item.kind === kind);
        return (
          needs.length > 0 && (
            <section key={kind} className="mb-3">
              <h3 className={`mb-1 text-15 ${kind === 'safety' ? 'text-ember' : ''}`}>{kindWord[kind]}</h3>
              <ul className="border-t border-line">
                {needs.map((need) => (
                  <li key={need.item.what + need.item.unit} className="border-b border-line">
                    <label className="flex min-h-11 cursor-pointer items-center gap-3 py-1">
                      <input
                        type="checkbox"
                        className="size-5 flex-none accent-lampmark"
                        checked={ready.has(need.item.what)}
                        onChange={() => toggle(need.item.what)}
                      />
                      <span className="min-w-0 flex-1">
                        <b className="font-semibold">{kitText(need.item)}</b>
                        <small className="block text-13 text-muted">{places(need.for)}</small>
                      </span>
                    </label>
                  </li>
                ))}
              </ul>
            </section>
          )
        );
      })}
      {round.chores.some((c) => !c.doneTonight && c.chore.plan.kit !== '') && (
        <section>
          <h3 className="mb-1 text-15">For chores</h3>
          <ul className="list-disc pl-5">
            {round.chores
              .filter((c) => !c.doneTonight && c.chore.plan.kit !== '')
              .map((c) => (
                <li key={c.chore.id}>
                  {c.chore.plan.title}: {c.chore.plan.kit}
                </li>
              ))}
          </ul>
        </section>
      )}
    </Dialog>
  );
}

const shown = 8;

const places = (all: readonly string[]) =>
  all.length <= shown ? all.join(', ') : `${all.slice(0, shown).join(', ')} and ${all.length - shown} more`;
