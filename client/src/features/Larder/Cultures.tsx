import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useLogInLarder } from './queries';
import { shortDate } from '../../ui/dates';
import { Menu, MenuItem, MenuRule } from '../../ui/Menu';
import { CultureCurve } from './CultureCurve';
import { StartDialog } from './StartDialog';
import { WhyLink } from './WhyLink';
import { newId } from '../../ui/newId';

type Culture = Schemas['CultureView'];

/** Every culture and pot of pupae: when it gives, and how much tonight. */
export function Cultures({ cultures, tonight }: { cultures: readonly Culture[]; tonight: string }) {
  const [starting, setStarting] = useState(false);
  return (
    <section aria-labelledby="cultures" className="mt-5">
      <div className="flex items-baseline justify-between">
        <h2 id="cultures" className="text-18">
          Cultures
        </h2>
        <Button writes kind="link" onClick={() => setStarting(true)}>
          Start one
        </Button>
      </div>
      {cultures.length === 0 && <p className="py-1 text-muted">None stands here.</p>}
      <ul>
        {cultures.map((culture) => (
          <li
            key={culture.id}
            className="grid grid-cols-[minmax(0,1fr)_132px_auto] items-center gap-x-3 border-t border-line py-1.5"
          >
            <span className="min-w-0">
              <span className="font-semibold">{culture.name}</span>
              {culture.pots > 1 && <span className="text-muted"> × {culture.pots}</span>}
              <WhyLink
                of={`this pot of ${culture.name}`}
                summary={`${words(culture, tonight)}.`}
                reasons={culture.reasons}
              />
              <span className="block text-12 text-muted">{words(culture, tonight)}</span>
              {culture.quarantineUntil !== null && culture.quarantineUntil >= tonight && (
                <span className="block text-12 font-semibold text-ember">
                  mites: throw it away, or keep it apart and last until{' '}
                  {shortDate(culture.quarantineUntil, tonight)}
                </span>
              )}
            </span>
            <CultureCurve culture={culture} tonight={tonight} />
            <CultureMenu culture={culture} />
          </li>
        ))}
      </ul>
      {starting && <StartDialog onClose={() => setStarting(false)} />}
    </section>
  );
}

function words(c: Culture, tonight: string): string {
  const alive = c.viable < 0.995 ? `, ${Math.round(c.viable * 100)} in 100 still hatch` : '';
  switch (c.state) {
    case 'cold':
      return `in the cold${alive}`;
    case 'growing':
      return `first about ${shortDate(c.firstOn, tonight)}, most ${shortDate(c.peakOn, tonight)}${alive}`;
    case 'giving':
      return `about ${c.tonight < 10 ? c.tonight.toFixed(1) : Math.round(c.tonight)} a day, ends ${shortDate(c.endsOn, tonight)}${alive}`;
    case 'spent':
      return `past its time since ${shortDate(c.endsOn, tonight)}: throw it away`;
  }
}

function CultureMenu({ culture }: { culture: Culture }) {
  const log = useLogInLarder('button');
  const act = (next: Schemas['LarderAct'], what: string) => () =>
    log.mutate({ id: newId(), act: next, text: `${culture.name}: ${what}` });
  const cultureId = culture.id;
  const half = Math.floor(culture.pots / 2);
  return (
    <Menu
      align="end"
      trigger={
        <Button writes aria-label={`What happened to the ${culture.name}`}>
          …
        </Button>
      }
    >
      {half > 0 && culture.canChill && culture.state !== 'cold' && (
        <MenuItem
          letter="h"
          onSelect={act(
            { kind: 'cultureSplit', cultureId, newCultureId: newId(), pots: half, intoCold: true },
            'half into the cold',
          )}
        >
          Half of the pots into the cold
        </MenuItem>
      )}
      {culture.canChill && (
        <MenuItem
          letter="c"
          onSelect={act(
            { kind: 'cultureChilled', cultureId, intoCold: culture.state !== 'cold' },
            culture.state === 'cold' ? 'out of the cold' : 'into the cold',
          )}
        >
          {culture.state === 'cold' ? 'Out of the cold' : 'Into the cold'}
        </MenuItem>
      )}
      <MenuItem letter="m" onSelect={act({ kind: 'mitesSeen', cultureId }, 'mites seen')}>
        Mites seen
      </MenuItem>
      <MenuRule />
      <MenuItem letter="s" onSelect={act({ kind: 'cultureEnded', cultureId, end: 'spent' }, 'thrown away')}>
        Thrown away: spent
      </MenuItem>
      <MenuItem letter="o" onSelect={act({ kind: 'cultureEnded', cultureId, end: 'mold' }, 'thrown away')}>
        Thrown away: moldy
      </MenuItem>
      <MenuItem letter="i" onSelect={act({ kind: 'cultureEnded', cultureId, end: 'mites' }, 'thrown away')}>
        Thrown away: mites
      </MenuItem>
      <MenuItem letter="n" onSelect={act({ kind: 'cultureEnded', cultureId, end: 'failed' }, 'thrown away')}>
        Thrown away: never gave anything
      </MenuItem>
    </Menu>
  );
}
