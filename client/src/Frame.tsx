import { type ReactNode, useState } from 'react';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { DoneProvider } from './features/Journal/DoneBar';
import { WhyContext, type Why } from './features/Reasons/WhyContext';
import { WhyDrawer } from './features/Reasons/WhyDrawer';
import { NightlineStrip } from './features/Rounds/NightlineStrip';
import { FindDialog } from './features/Stock/FindDialog';
import { KeySheet } from './ui/KeySheet';
import { Lantern } from './ui/Lantern';
import { FindIcon, RoomIcon, RoundIcon, StockIcon } from './ui/PlaceIcons';
import { useKeys } from './ui/useKeys';

const places: readonly (readonly [string, string, string, () => ReactNode])[] = [
  ['/', 'Round', 'r', RoundIcon],
  ['/stock', 'Stock', 's', StockIcon],
  ['/room', 'Room', 'm', RoomIcon],
];

/** What stands round every page: the places, the nightline, the undo bar and the why drawer. */
export function Frame() {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  // A "why" belongs to the page on which it was asked.
  const [asked, setAsked] = useState<{ why: Why; at: string } | null>(null);
  const why = asked !== null && asked.at === pathname ? asked.why : null;
  const [sheet, setSheet] = useState<'find' | 'keys' | null>(null);
  const [going, setGoing] = useState(false);
  const go = (path: string) => () => {
    if (going) {
      setGoing(false);
      void navigate(path);
    }
  };
  useKeys({
    '/': () => setSheet('find'),
    h: () => setSheet('keys'),
    g: () => {
      setGoing(true);
      setTimeout(() => setGoing(false), 1500);
    },
    ...(going ? Object.fromEntries(places.map(([path, , key]) => [key, go(path)])) : {}),
  });
  const show = (next: Why) => setAsked({ why: next, at: pathname });
  const hide = () => setAsked(null);
  const control = {
    why,
    show,
    hide,
    toggle: (next: Why) => (why?.title === next.title && why.place === next.place ? hide() : show(next)),
  };
  return (
    <WhyContext value={control}>
      <DoneProvider>
        {(bar) => (
          <div className="grid h-full grid-cols-[80px_minmax(0,1fr)] max-sm:grid-cols-1 max-sm:grid-rows-[minmax(0,1fr)_64px]">
            <a
              href="#main"
              className="sr-only z-50 bg-lamp p-3 text-onlamp focus:not-sr-only focus:absolute focus:top-2 focus:left-2"
            >
              Skip to the page
            </a>
            <Rail onFind={() => setSheet('find')} onKeys={() => setSheet('keys')} />
            <div className="flex min-h-0 min-w-0 flex-col">
              <NightlineStrip />
              <div className="flex min-h-0 flex-1">
                <div className="flex min-h-0 min-w-0 flex-1 flex-col">
                  <main
                    id="main"
                    tabIndex={-1}
                    className="flex min-h-0 flex-1 flex-col overflow-y-auto outline-none"
                  >
                    <Outlet />
                  </main>
                  <div className={pathname === '/' ? 'max-sm:mb-[69px]' : ''}>{bar}</div>
                </div>
                <WhyDrawer />
              </div>
            </div>
            {sheet === 'find' && <FindDialog onClose={() => setSheet(null)} />}
            {sheet === 'keys' && <KeySheet onClose={() => setSheet(null)} />}
          </div>
        )}
      </DoneProvider>
    </WhyContext>
  );
}

const placeClass =
  'relative grid min-h-[62px] content-center justify-items-center gap-1 text-12 text-muted hover:text-ink aria-[current=page]:font-semibold aria-[current=page]:text-ink aria-[current=page]:after:absolute aria-[current=page]:after:bg-lampmark sm:aria-[current=page]:after:inset-y-2.5 sm:aria-[current=page]:after:-right-px sm:aria-[current=page]:after:w-0.5 max-sm:aria-[current=page]:after:inset-x-6 max-sm:aria-[current=page]:after:-top-px max-sm:aria-[current=page]:after:h-0.5';

function Rail({ onFind, onKeys }: { onFind: () => void; onKeys: () => void }) {
  return (
    <nav
      aria-label="Places"
      className="flex flex-col border-line max-sm:order-last max-sm:grid max-sm:grid-cols-4 max-sm:border-t sm:border-r sm:pt-2.5 sm:pb-2"
    >
      <NavLink
        to="/"
        className="grid justify-items-center gap-1.5 pb-3 text-center font-display text-12 leading-tight font-semibold max-sm:hidden"
      >
        <Lantern shutters={2} lit className="size-[30px]" />
        <span>
          Hushed
          <br />
          Lantern
        </span>
      </NavLink>
      {places.map(([path, word, , Icon]) => (
        <NavLink key={path} to={path} end={path === '/'} className={placeClass}>
          <Icon />
          {word}
        </NavLink>
      ))}
      <button type="button" className={placeClass} onClick={onFind}>
        <FindIcon />
        Find
      </button>
      <button
        type="button"
        className="mt-auto min-h-11 text-12 text-muted hover:text-ink max-sm:hidden"
        onClick={onKeys}
      >
        <kbd>H</kbd>
        <span className="mt-1 block">Keys</span>
      </button>
    </nav>
  );
}
