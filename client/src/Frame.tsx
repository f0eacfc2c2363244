import { type Hand, HandContext } from './ui/mayWrite';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Outlet, useLocation, useNavigate } from 'react-router';
import { useDelivery } from './api/useDelivery';
import { useLive } from './api/useLive';
import { placeIds, placeOf } from './commands/catalogue';
import { type Command, useCommands } from './commands/useCommands';
import type { Schemas } from './api/client';
import { useSession } from './features/Access/queries';
import { DoneProvider } from './features/Journal/DoneProvider';
import { OfferRunner, type RunningOffer } from './features/Journal/OfferRunner';
import { OutboxStrip } from './features/Outbox/OutboxStrip';
import { WhyContext, type Why } from './features/Reasons/WhyContext';
import { setLook } from './features/Rooms/look';
import { NightlineStrip } from './features/Rounds/NightlineStrip';
import { Rail } from './Rail';
import { aside } from './ui/aside';
import { Opening, TroubleHere } from './ui/Trouble';
import { Waiting } from './ui/Waiting';

// The round answers first; what is asked for beside it is fetched when it is asked for.
const SignInPage = aside(async () => (await import('./features/Access/SignInPage')).SignInPage);
const SignInAgain = aside(async () => (await import('./features/Access/SignInPage')).SignInAgain);
const AlarmCall = aside(async () => (await import('./features/Climate/AlarmCall')).AlarmCall);
const TroubleStrip = aside(async () => (await import('./features/Safekeeping/TroubleStrip')).TroubleStrip);
const WhyDrawer = lazy(async () => ({ default: (await import('./features/Reasons/WhyDrawer')).WhyDrawer }));
const Palette = lazy(async () => ({ default: (await import('./commands/Palette')).Palette }));
const KeySheet = lazy(async () => ({ default: (await import('./commands/KeySheet')).KeySheet }));

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
      {isOut && <Suspense fallback={<Coming />}>{entered ? <SignInAgain /> : <SignInPage />}</Suspense>}
    </>
  );
}

/** The reason that is shown belongs to the page on which it was asked, and the focus goes back to where it was asked. */
function useWhyOfPage() {
  const { pathname } = useLocation();
  const [asked, setAsked] = useState<{ why: Why; at: string } | null>(null);
  const askedFrom = useRef<Element | null>(null);
  const why = asked !== null && asked.at === pathname ? asked.why : null;
  const show = (next: Why) => {
    askedFrom.current ??= document.activeElement;
    setAsked({ why: next, at: pathname });
  };
  const hide = () => {
    setAsked(null);
    const from = askedFrom.current;
    askedFrom.current = null;
    if (from instanceof HTMLElement && from.isConnected && from !== document.body) {
      from.focus({ preventScroll: true });
    }
  };
  const isAsked = (next: Why) => why?.title === next.title && why.animal?.stockId === next.animal?.stockId;
  return { why, show, hide, toggle: (next: Why) => (isAsked(next) ? hide() : show(next)) };
}

/** As whom one is here; until that is known, as who sees everything. */
const handOf = (session: Schemas['SessionView'] | undefined): Hand =>
  session === undefined || session.isOwner ? 'owner' : session.isReader ? 'reader' : 'helper';

function Room() {
  useLive();
  useDelivery();
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const hand = handOf(useSession().data);
  const why = useWhyOfPage();
  const [sheet, setSheet] = useState<'palette' | 'keys' | null>(null);
  const [offer, setOffer] = useState<RunningOffer | null>(null);
  useCommands([
    { id: 'palette', run: () => setSheet('palette') },
    { id: 'keys', run: () => setSheet('keys') },
    ...(hand === 'reader'
      ? []
      : ([
          { id: 'animal.add', run: () => void navigate('/stock/new') },
          { id: 'animal.many', run: () => void navigate('/stock/many') },
        ] satisfies Command[])),
    ...(['daylight', 'lantern', 'ember'] as const).map((look): Command => ({
      id: `look.${look}`,
      run: () => setLook(look),
    })),
    ...placeIds.map((id): Command => ({ id: `go.${id}`, run: () => void navigate(placeOf(id).path) })),
  ]);
  useFocusOnNewPage(pathname);
  return (
    <HandContext value={hand}>
      <WhyContext value={why}>
        <DoneProvider>
          {(bar) => (
            <div className="frame grid h-full print:block print:h-auto grid-cols-[80px_minmax(0,1fr)] max-sm:grid-cols-1 max-sm:grid-rows-[minmax(0,1fr)_auto]">
              <a
                href="#main"
                className="sr-only z-50 bg-lamp p-3 text-onlamp focus:not-sr-only focus:absolute focus:top-2 focus:left-2"
              >
                Skip to the page
              </a>
              <Rail onFind={() => setSheet('palette')} onKeys={() => setSheet('keys')} />
              <div className="flex min-h-0 min-w-0 flex-col">
                <div className="contents print:hidden">
                  <NightlineStrip />
                  <Suspense>
                    <TroubleStrip />
                  </Suspense>
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
                    <div className="max-sm:[.frame:has(.line-acts)_&]:mb-[var(--acts-height)]">
                      <OutboxStrip />
                      {bar}
                    </div>
                  </div>
                  {why.why !== null && (
                    <Opening onClose={why.hide}>
                      <WhyDrawer />
                    </Opening>
                  )}
                  <Suspense>
                    <AlarmCall />
                  </Suspense>
                </div>
              </div>
              {sheet !== null && (
                <Opening key={sheet} onClose={() => setSheet(null)}>
                  {sheet === 'palette' ? (
                    <Palette
                      onClose={() => setSheet(null)}
                      onOffer={(stockId, of) => setOffer({ stockId, offer: of })}
                    />
                  ) : (
                    <KeySheet onClose={() => setSheet(null)} />
                  )}
                </Opening>
              )}
              {offer !== null && (
                <OfferRunner
                  key={offer.stockId + offer.offer.label}
                  running={offer}
                  onDone={() => setOffer(null)}
                />
              )}
            </div>
          )}
        </DoneProvider>
      </WhyContext>
    </HandContext>
  );
}

/** A page that was gone to has the focus at its start, so that Tab goes on there and a reader reads it. */
function useFocusOnNewPage(pathname: string): void {
  const before = useRef(pathname);
  useEffect(() => {
    if (before.current !== pathname) {
      before.current = pathname;
      // Unless the page has put it somewhere already.
      const main = document.getElementById('main');
      if (main?.contains(document.activeElement) !== true || document.activeElement === main) {
        main?.focus({ preventScroll: true });
      }
    }
  }, [pathname]);
}

/** While the code of a page is on its way. */
function Coming() {
  return (
    <p role="status" className="m-auto text-muted">
      Opening…
    </p>
  );
}
