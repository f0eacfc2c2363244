import { DropdownMenu } from 'radix-ui';
import { type ReactNode, Suspense, useState } from 'react';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { useSession } from './features/Access/queries';
import { useLive } from './api/useLive';
import { useDelivery } from './api/useDelivery';
import { SignInAgain, SignInPage } from './features/Access/SignInPage';
import { DoneProvider } from './features/Journal/DoneBar';
import { OutboxStrip } from './features/Outbox/OutboxStrip';
import { WhyContext, type Why } from './features/Reasons/WhyContext';
import { WhyDrawer } from './features/Reasons/WhyDrawer';
import { NightlineStrip } from './features/Rounds/NightlineStrip';
import { FindDialog } from './features/Stock/FindDialog';
import { KeySheet } from './ui/KeySheet';
import { Lantern } from './ui/Lantern';
import { MenuItem, menuClass, menuPadding, pickByLetter } from './ui/Menu';
import {
  AboutIcon,
  AlmanacIcon,
  BenchIcon,
  ChoresIcon,
  FindIcon,
  GuideIcon,
  HonestyIcon,
  LarderIcon,
  MoreIcon,
  PaperIcon,
  PeopleIcon,
  RoomIcon,
  RoundIcon,
  RulebookIcon,
  ShelvesIcon,
  StockIcon,
} from './ui/PlaceIcons';
import { TroubleHere } from './ui/Trouble';
import { useKeys } from './ui/useKeys';
import { useIsPhone } from './ui/useMedia';
import { Waiting } from './ui/Waiting';

type Place = readonly [path: string, word: string, key: string, icon: () => ReactNode];

const places: readonly Place[] = [
  ['/', 'Round', 'r', RoundIcon],
  ['/shelves', 'Shelves', 'e', ShelvesIcon],
  ['/stock', 'Stock', 's', StockIcon],
  ['/chores', 'Chores', 'c', ChoresIcon],
  ['/almanac', 'Almanac', 'a', AlmanacIcon],
  ['/larder', 'Larder', 'l', LarderIcon],
  ['/guide', 'Guide', 'u', GuideIcon],
  ['/rulebook', 'Rulebook', 'b', RulebookIcon],
  ['/paper', 'Paper', 'p', PaperIcon],
  ['/honesty', 'Honesty', 'y', HonestyIcon],
  ['/bench', 'Bench', 'n', BenchIcon],
  ['/room', 'Room', 'm', RoomIcon],
  ['/people', 'People', 'o', PeopleIcon],
  ['/about', 'About', 't', AboutIcon],
];

/** On a phone the first three places stand in the bar, at the rail the first eight; the others are behind "More". */
const inBar = 3;
const inRail = 8;

/** What stands round every page: the places, the nightline, the undo bar and the why drawer. */
export function Frame() {
  const session = useSession();
  const isOut = session.data?.needed === true && session.data.name === null;
  // Who was in and is out again signs in over the page, and goes on where they were: a half-filled form stays.
  const [entered, setEntered] = useState(false);
  if (session.data !== undefined && !isOut && !entered) {
    setEntered(true);
  }
  if (session.data === undefined) {
    return (
      <Waiting query={session} what="The room">
        {() => null}
      </Waiting>
    );
  }
  return (
    <>
      {entered && <Room />}
      {isOut && (entered ? <SignInAgain /> : <SignInPage />)}
    </>
  );
}

function Room() {
  useLive();
  useDelivery();
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
    toggle: (next: Why) =>
      why?.title === next.title && why.animal?.stockId === next.animal?.stockId ? hide() : show(next),
  };
  return (
    <WhyContext value={control}>
      <DoneProvider>
        {(bar) => (
          <div className="grid h-full print:block print:h-auto grid-cols-[80px_minmax(0,1fr)] max-sm:grid-cols-1 max-sm:grid-rows-[minmax(0,1fr)_64px]">
            <a
              href="#main"
              className="sr-only z-50 bg-lamp p-3 text-onlamp focus:not-sr-only focus:absolute focus:top-2 focus:left-2"
            >
              Skip to the page
            </a>
            <Rail onFind={() => setSheet('find')} onKeys={() => setSheet('keys')} />
            <div className="flex min-h-0 min-w-0 flex-col">
              <div className="contents print:hidden">
                <NightlineStrip />
              </div>
              <div className="flex min-h-0 flex-1">
                <div className="flex min-h-0 min-w-0 flex-1 flex-col">
                  <main
                    id="main"
                    tabIndex={-1}
                    className="relative flex min-h-0 flex-1 flex-col overflow-y-auto outline-none"
                  >
                    <TroubleHere key={pathname}>
                      <Suspense fallback={<Coming />}>
                        <Outlet />
                      </Suspense>
                    </TroubleHere>
                  </main>
                  <div className={pathname === '/' ? 'max-sm:mb-[97px]' : ''}>
                    <OutboxStrip />
                    {bar}
                  </div>
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

/** While the code of a page is on its way. */
function Coming() {
  return (
    <p role="status" className="m-auto text-muted">
      Opening…
    </p>
  );
}

const placeClass =
  'relative grid min-h-[52px] content-center justify-items-center gap-1 text-12 text-muted hover:text-ink aria-[current=page]:font-semibold aria-[current=page]:text-ink aria-[current=page]:after:absolute aria-[current=page]:after:bg-lampmark sm:aria-[current=page]:after:inset-y-2.5 sm:aria-[current=page]:after:-right-px sm:aria-[current=page]:after:w-0.5 max-sm:aria-[current=page]:after:inset-x-6 max-sm:aria-[current=page]:after:-top-px max-sm:aria-[current=page]:after:h-0.5';

/** The places that find no room at the rail, or in a phone's bar. */
function More() {
  const navigate = useNavigate();
  const phone = useIsPhone();
  const { pathname } = useLocation();
  const hidden = places.slice(phone ? inBar : inRail);
  const here = hidden.find(([path]) => pathname.startsWith(path));
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        <button
          type="button"
          className={`${placeClass} ${here === undefined ? '' : 'font-semibold text-ink'}`}
        >
          <MoreIcon />
          {here?.[1] ?? 'More'}
        </button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={8}
          collisionPadding={menuPadding}
          className={menuClass}
          onKeyDown={pickByLetter}
        >
          {hidden.map(([path, word, key]) => (
            <MenuItem key={path} letter={key} onSelect={() => void navigate(path)}>
              {word}
            </MenuItem>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function Rail({ onFind, onKeys }: { onFind: () => void; onKeys: () => void }) {
  return (
    <nav
      aria-label="Places"
      className="flex flex-col print:hidden border-line max-sm:order-last max-sm:grid max-sm:grid-cols-5 max-sm:border-t sm:border-r sm:pt-2.5 sm:pb-2"
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
      {places.map(([path, word, , Icon], k) => (
        <NavLink
          key={path}
          to={path}
          end={path === '/'}
          className={`${placeClass} ${k < inBar ? '' : k < inRail ? 'max-sm:hidden' : 'hidden'}`}
        >
          <Icon />
          {word}
        </NavLink>
      ))}
      <button type="button" className={placeClass} onClick={onFind}>
        <FindIcon />
        Find
      </button>
      <More />
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
