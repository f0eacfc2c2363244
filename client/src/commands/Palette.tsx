import { Writes } from '../ui/Writes';
import { Command } from 'cmdk';
import { type ReactNode, useDeferredValue, useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { KeyCap } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { Lantern } from '../ui/Lantern';
import type { LogOffer } from '../features/Journal/OfferDialogs';
import { useRulebook } from '../features/Rulebook/queries';
import { fetchStock, useAnimal, useFind } from '../features/Stock/queries';
import { capOf } from './catalogue';
import { asksForLabels, fits, split } from './paletteWords';
import { commandsNow } from './useCommands';

interface PaletteProps {
  onClose: () => void;
  /** Logs something of an animal that was named. */
  onOffer: (stockId: string, offer: LogOffer) => void;
}

const mostSpecies = 5;

const moves: readonly string[] = ['ArrowDown', 'ArrowUp', 'Home', 'End'];

/** Finds an animal by code, name, species or tag, and does or opens anything by its words: "feed A1·03", "labels for B2". */
export function Palette(props: PaletteProps) {
  return (
    <Dialog title="Find or do" grows onClose={props.onClose}>
      <Search {...props} />
    </Dialog>
  );
}

function Search({ onClose, onOffer }: PaletteProps) {
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const asked = useDeferredValue(text.trim());
  // What was on the page when it opened.
  const [commands] = useState(() => commandsNow().filter((command) => command.id !== 'palette'));
  const found = useFind(asked);
  const animals = asked === '' ? [] : (found.data?.lines ?? []);
  const more = asked === '' ? 0 : (found.data?.total ?? 0) - animals.length;
  const species = (useRulebook().data?.species ?? []).filter(
    (s) => asked.length > 2 && fits(s.scientificName, asked),
  );
  // What fits comes bit by bit; the first of it is what Enter means, until the keeper has moved on.
  const list = useRef<HTMLDivElement>(null);
  const [chosen, setChosen] = useState('');
  const movedOn = useRef(false);
  useEffect(() => {
    const box = list.current;
    if (box === null) {
      return;
    }
    const look = () => {
      const there = [...box.querySelectorAll('[cmdk-item]')].map((item) => item.getAttribute('data-value'));
      setChosen((now) => (movedOn.current && there.includes(now) ? now : (there[0] ?? '')));
    };
    look();
    const observer = new MutationObserver(look);
    observer.observe(box, { childList: true, subtree: true });
    return () => observer.disconnect();
  }, []);
  const then = (act: () => void) => () => {
    onClose();
    act();
  };
  const go = (path: string) => then(() => void navigate(path));
  // What is here alone would come before the animals that are still looked for, and Enter would do it: who types a name
  // means the animal. Where the server is out of reach nothing is waited for.
  const looking = asked !== '' && found.isFetching && found.failureCount === 0;
  const fitting = looking
    ? []
    : commands.filter((command) =>
        fits(command.section === 'Go to' ? `go to ${command.title}` : command.title, asked),
      );
  return (
    <Command
      ref={list}
      shouldFilter={false}
      label="Find or do"
      value={chosen}
      onValueChange={(next) => movedOn.current && setChosen(next)}
      onKeyDown={(event) => {
        movedOn.current ||= moves.includes(event.key);
      }}
      onPointerMove={() => {
        movedOn.current = true;
      }}
    >
      <Command.Input
        value={text}
        onValueChange={(next) => {
          movedOn.current = false;
          setText(next);
        }}
        className="field"
        placeholder="A1·03, a name, feed Tansy, go to larder, labels for B2"
      />
      <Command.List className="mt-2">
        <Writes>
          <Named asked={asked} onOffer={(stockId, offer) => then(() => onOffer(stockId, offer))()} />
        </Writes>
        <Labels
          asked={asked}
          onGo={(ids) => then(() => void navigate('/paper/labels', { state: { stockIds: ids } }))()}
        />
        <Group heading="Animals">
          {animals.map((animal) => (
            <Row key={animal.stockId} id={animal.stockId} onSelect={go(`/stock/${animal.stockId}`)}>
              <Lantern shutters={animal.shutters} className="size-5" />
              <span className="code w-18">{animal.place}</span>
              <b className="font-display font-semibold">{animal.name}</b>
              <i className="min-w-0 truncate text-13 text-muted">{animal.species}</i>
            </Row>
          ))}
        </Group>
        {more > 0 && (
          <p className="px-3 py-1 text-13 text-muted">and {more} more: type on, or look under Stock</p>
        )}
        <Group heading="Here">
          {fitting.map((command) => (
            <Row
              key={`${command.section}${command.title}`}
              id={`${command.section} ${command.title}`}
              onSelect={then(() => command.run())}
            >
              <span className="min-w-0 flex-1">
                {command.section === 'Go to' ? `Go to ${command.title}` : command.title}
              </span>
              {command.keys.slice(0, 1).map((key) => (
                <KeyCap key={key}>{capOf(key)}</KeyCap>
              ))}
            </Row>
          ))}
        </Group>
        <Group heading="Rulebook">
          {species.slice(0, mostSpecies).map((s) => (
            <Row key={s.id} id={s.id} onSelect={go(`/rulebook/${s.id}`)}>
              <i>{s.scientificName}</i>
            </Row>
          ))}
        </Group>
        <Command.Empty className="px-3 py-2 text-muted">
          {found.isFetching ? 'Looking…' : 'Nothing here is called that.'}
        </Command.Empty>
      </Command.List>
    </Command>
  );
}

/** "feed A1·03": what the animal can be told, by the server's own words, for the animal that fits the rest best. */
function Named({ asked, onOffer }: { asked: string; onOffer: (stockId: string, offer: LogOffer) => void }) {
  const { verb, rest } = split(asked);
  const line = useFind(rest).data?.lines[0];
  const animal = useAnimal(line?.stockId ?? '', rest !== '' && line !== undefined).data;
  if (rest === '' || animal === undefined || animal.stockId !== line?.stockId) {
    return null;
  }
  const { head, atOnce, found, forms } = animal.log;
  const offers = [...head, ...atOnce, ...found, ...forms].filter((offer) => fits(offer.label, verb));
  return (
    <Group heading={`${animal.place} ${animal.details.nickname}`}>
      {offers.map((offer) => (
        <Row
          key={offer.key + offer.label}
          id={`${animal.stockId} ${offer.label}`}
          onSelect={() => onOffer(animal.stockId, offer)}
        >
          <span className="min-w-0 flex-1">{offer.label}</span>
          <span className="code">{animal.place}</span>
        </Row>
      ))}
    </Group>
  );
}

/** "labels for B2". */
function Labels({ asked, onGo }: { asked: string; onGo: (stockIds: string[]) => void }) {
  const of = asksForLabels(asked);
  const total = useFind(of).data?.total ?? 0;
  return of === '' || total === 0 ? null : (
    <Group heading="Paper">
      <Row
        id="labels"
        onSelect={() =>
          void fetchStock({ here: true, find: of }).then((lines) => onGo(lines.map((line) => line.stockId)))
        }
      >
        Labels for {of}: {total === 1 ? '1 enclosure' : `${total} enclosures`}
      </Row>
    </Group>
  );
}

function Group({ heading, children }: { heading: string; children: ReactNode }) {
  return Array.isArray(children) && children.length === 0 ? null : (
    <Command.Group heading={heading} className="palette-group">
      {children}
    </Command.Group>
  );
}

function Row({ id, onSelect, children }: { id: string; onSelect: () => void; children: ReactNode }) {
  return (
    <Command.Item value={id} onSelect={onSelect} className="palette-item">
      {children}
    </Command.Item>
  );
}
