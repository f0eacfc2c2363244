import { type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import type { RoundLine, Schemas } from '../../api/client';
import { keyOf } from '../../commands/catalogue';
import { type Command, useCommands } from '../../commands/useCommands';
import { Button } from '../../ui/Button';
import { Menu, MenuItem, MenuRule } from '../../ui/Menu';
import { useIsPhone } from '../../ui/useMedia';
import { ActDialogFor } from '../Journal/ActDialogFor';
import { useDone } from '../Journal/DoneContext';
import { ElseItems, useElse } from '../Journal/ElseMenu';
import type { FormKind } from '../Journal/formKinds';
import { useWhy } from '../Reasons/WhyContext';
import { useActing } from './Acting';
import { whyOf } from './whyOf';

type Choice = Schemas['LineChoice'];
type Offer = Schemas['LineOffer'];

/** One thing that can be done at the line, whatever it comes from. */
interface Act {
  key: string;
  label: string;
  brief: string;
  run: () => void;
}

const releaseMs = 80;

/** Pages to which a line leads. */
const pages: Record<NonNullable<Offer['opens']>, (stockId: string) => string> = {
  details: (id) => `/stock/${id}/edit`,
  run: (id) => `/pairing/${id}`,
};

/** On a phone so many acts stand in the bar; the others are behind one tap. */
const fixedOnPhone = 2;

/** What can be logged at the lit line: as the server offers it, each by its own key. */
export function LineActs({ line }: { line: RoundLine }) {
  const phone = useIsPhone();
  const { quick, isBusy } = useDone();
  const { settled, settling, acted, hold } = useActing();
  const { why, toggle } = useWhy();
  const navigate = useNavigate();
  const [menu, setMenu] = useState<'refused' | 'more' | null>(null);
  const [form, setForm] = useState<FormKind | null>(null);
  /** Runs an act unless the light has only just moved here: then the press was meant for what stood here before. */
  const guarded = (act: () => void) => () => {
    if (settled()) {
      acted();
      act();
    }
  };
  // The click comes after the finger is up: the round is let go of only then.
  const release = () => setTimeout(() => hold(false), releaseMs);
  const log = (acts: Choice['acts'], label: string, corrects: string | null = null) =>
    quick(line.stockId, line.name, acts, { label: label.toLowerCase(), corrects });
  const choose = (choice: Choice): Act => ({
    ...choice,
    run: guarded(() => log(choice.acts, choice.label)),
  });
  const tell = (offer: Offer): Act => ({
    ...offer,
    run: guarded(() => {
      if (offer.form !== null) {
        setForm(offer.form);
      } else if (offer.opens !== null) {
        void navigate(pages[offer.opens](line.stockId));
      } else {
        log(offer.acts, offer.label, offer.corrects);
      }
    }),
  });
  // The obvious first: what the server calls the main thing, then the choices, then what else can be told.
  const main = line.beside.filter((offer) => offer.isMain).map(tell);
  const choices = line.choices.filter((choice) => !choice.isRefusal).map(choose);
  const refusals = line.choices.filter((choice) => choice.isRefusal).map(choose);
  const others = line.beside.filter((offer) => !offer.isMain).map(tell);
  const first = [...main, ...choices];
  const askWhy = () => toggle(whyOf(line));
  useCommands([
    ...[...first, ...refusals, ...others].map((act): Command => ({
      key: act.key,
      title: `${line.place} ${line.name}: ${act.label}`,
      section: 'On the round',
      run: act.run,
    })),
    ...(refusals.length > 0
      ? [{ id: 'round.refused', run: guarded(() => setMenu('refused')) } satisfies Command]
      : []),
    { id: 'round.more', run: guarded(() => setMenu('more')) },
    { id: 'round.why', run: askWhy },
  ]);
  const busy = isBusy(line.stockId);
  const button = (act: Act, k: number) => (
    <Button
      key={act.key}
      kind={k === 0 ? 'first' : 'usual'}
      letter={act.key}
      disabled={busy}
      className={phone ? 'act-thumb' : ''}
      onClick={act.run}
    >
      {phone ? act.brief : act.label}
    </Button>
  );
  const shared = { line, menu, setMenu, askWhy, busy };
  return (
    <div
      role="group"
      data-settling={settling}
      aria-label={`Log for ${line.name}`}
      onPointerDown={() => hold(true)}
      onPointerUp={release}
      onPointerCancel={release}
      onPointerLeave={release}
      className="line-acts"
    >
      {phone ? (
        <>
          <p className="-my-0.5 w-full truncate text-13">
            <span className="code">{line.place}</span> <b className="font-semibold">{line.name}</b>{' '}
            <span className="text-soft">{line.do}</span>
          </p>
          {[...first, ...others].slice(0, fixedOnPhone).map(button)}
          <MoreOfLine
            {...shared}
            acts={[...first, ...others].slice(fixedOnPhone)}
            refusals={refusals}
            thumb
          />
        </>
      ) : (
        <>
          {first.map(button)}
          {refusals.length > 0 && (
            <Menu
              open={menu === 'refused'}
              onOpenChange={(open) => setMenu(open ? 'refused' : null)}
              trigger={<Button letter={keyOf('round.refused')}>Refused, other</Button>}
            >
              {refusals.map((act) => (
                <MenuItem key={act.key} letter={act.key} onSelect={act.run}>
                  {act.label}
                </MenuItem>
              ))}
            </Menu>
          )}
          {others.map((act) => (
            <Button key={act.key} letter={act.key} disabled={busy} onClick={act.run}>
              {act.label}
            </Button>
          ))}
          <MoreOfLine {...shared} acts={[]} refusals={[]} />
          <WhyButton asked={why !== null} onAsk={askWhy} />
        </>
      )}
      {form !== null && <ActDialogFor stockId={line.stockId} kind={form} onClose={() => setForm(null)} />}
    </div>
  );
}

/** For who only reads: why the line is here, and nothing to tell of it. */
export function WhyOfLine({ line }: { line: RoundLine }) {
  const { why, toggle } = useWhy();
  const askWhy = () => toggle(whyOf(line));
  useCommands([{ id: 'round.why', run: askWhy }]);
  return (
    <div className="line-acts">
      <WhyButton asked={why !== null} onAsk={askWhy} />
    </div>
  );
}

function WhyButton({ asked, onAsk }: { asked: boolean; onAsk: () => void }) {
  return (
    <Button
      kind="plain"
      letter={keyOf('round.why')}
      aria-pressed={asked}
      className="ml-auto text-lamptext"
      onClick={onAsk}
    >
      Why
    </Button>
  );
}

interface MoreProps {
  line: RoundLine;
  menu: 'refused' | 'more' | null;
  setMenu: (menu: 'refused' | 'more' | null) => void;
  askWhy: () => void;
  busy: boolean;
  acts: readonly Act[];
  refusals: readonly Act[];
  /** For the bar under a thumb. */
  thumb?: boolean;
}

/** Everything else: on a phone all that found no room in the bar, and what any animal of the kind can be told. */
function MoreOfLine({ line, menu, setMenu, askWhy, busy, acts, refusals, thumb = false }: MoreProps) {
  const isOpen = menu === 'more' || (thumb && menu === 'refused');
  const more = useElse(line.stockId, line.name, isOpen);
  const lines = (all: readonly Act[]): ReactNode =>
    all.map((act) => (
      <MenuItem key={act.key} letter={act.key} onSelect={act.run}>
        {act.label}
      </MenuItem>
    ));
  return (
    <>
      <Menu
        open={isOpen}
        onOpenChange={(open) => setMenu(open ? 'more' : null)}
        trigger={
          <Button letter={keyOf('round.more')} disabled={busy} className={thumb ? 'act-thumb' : ''}>
            {thumb ? 'More' : 'Something else'}
          </Button>
        }
      >
        {thumb && (
          <>
            {lines(acts)}
            {refusals.length > 0 && acts.length > 0 && <MenuRule />}
            {lines(refusals)}
            <MenuItem letter="?" onSelect={askWhy}>
              Why
            </MenuItem>
            <MenuRule />
          </>
        )}
        <ElseItems more={more} taken={thumb ? [...acts, ...refusals].map((act) => act.label) : []} />
      </Menu>
      {more.dialogs}
    </>
  );
}
