import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { hazardWord } from '../Stock/words';
import type { RoundLine } from '../../api/client';
import { useNightline } from './queries';
import { fromDays, toDays } from '../../ui/dates';
import { Lantern } from '../../ui/Lantern';
import { MenuItem, menuClass, menuPadding, pickByLetter } from '../../ui/Menu';
import { useKeys } from '../../ui/useKeys';
import { useIsPhone } from '../../ui/useMedia';
import { ActDialogFor } from '../Journal/ActDialogFor';
import { useDone } from '../Journal/DoneContext';
import { ElseMenu } from '../Journal/ElseMenu';
import { useWhy } from '../Reasons/WhyContext';
import { type LineChoice, primaryChoices, refusals } from './lineActs';
import { useActing } from './Acting';
import type { FormKind } from '../Journal/forms';
import { whyOf } from './whyOf';

const pool =
  'before:pointer-events-none before:absolute before:inset-y-0 before:right-0 before:-left-14 before:bg-[radial-gradient(520px_150px_at_78px_36px,var(--pool0),var(--pool1)_52%,transparent)] max-sm:before:left-0';

interface DueRowProps {
  line: RoundLine;
  selected: boolean;
  onSelect: () => void;
}

/** One enclosure that needs a hand; the chosen one stands in the light with its acts. */
export function DueRow({ line, selected, onSelect }: DueRowProps) {
  const phone = useIsPhone();
  const first = primaryChoices(line)[0];
  return (
    <article
      id={`line-${line.stockId}`}
      aria-current={selected ? 'true' : undefined}
      aria-label={`${line.place} ${line.name}`}
      className={`relative scroll-mt-2 scroll-mb-4 [contain-intrinsic-size:auto_56px] max-sm:scroll-mb-[150px] ${selected ? `py-3 ${pool}` : 'py-1.5 [content-visibility:auto]'}`}
    >
      <div
        className="relative grid grid-cols-[24px_104px_172px_minmax(0,1fr)_auto] items-center gap-x-3 pr-6 pl-2.5 max-sm:grid-cols-[28px_auto_minmax(0,1fr)_auto] max-sm:items-baseline max-sm:gap-y-0.5 max-sm:px-4 max-lg:grid-cols-[24px_96px_140px_minmax(0,1fr)_auto]"
        onClick={selected ? undefined : onSelect}
      >
        <Lantern
          shutters={line.shutters}
          lit
          className={`max-sm:row-span-2 max-sm:size-7 max-sm:self-start ${selected ? '-ml-1 size-8' : 'size-6'}`}
        />
        <div className="leading-tight max-sm:contents">
          <Link to={`/stock/${line.stockId}`} className="code hover:underline max-sm:text-16">
            {line.place}
          </Link>
          <small className="block text-13 text-muted max-sm:col-start-4 max-sm:row-start-1 max-sm:text-right">
            {line.phaseWord}
          </small>
        </div>
        <div className="min-w-0 leading-tight max-sm:col-start-3 max-sm:row-start-1 max-sm:flex max-sm:items-baseline max-sm:gap-2">
          <Link
            to={`/stock/${line.stockId}`}
            className={`block truncate font-display font-semibold hover:underline max-sm:flex-none max-sm:text-16 ${selected ? 'text-18' : 'text-15'}`}
          >
            {line.name}
          </Link>
          <i className={`block truncate text-13 ${selected ? 'text-soft' : 'text-muted'}`}>{line.species}</i>
        </div>
        <div className="min-w-0 leading-snug max-sm:col-start-2 max-sm:col-end-5">
          <b className={selected ? 'font-display text-18 font-semibold' : 'text-15 font-semibold'}>
            {line.do}
          </b>
          {line.hazard !== null && selected && (
            <small className="block text-13 font-semibold text-ember">{hazardWord[line.hazard]}</small>
          )}
          {selected &&
            line.mind.map((text) => (
              <small key={text} className="block text-13 font-semibold text-lamptext">
                {text}
              </small>
            ))}
          {selected && line.offer !== null && line.offer.serving !== '' && (
            <small className="block text-13 text-soft">{line.offer.serving}</small>
          )}
          {line.detail !== '' && (
            <small className={`block text-13 ${selected ? 'text-soft' : 'text-muted'}`}>{line.detail}</small>
          )}
        </div>
        {!selected && !phone && first !== undefined && (
          <button
            type="button"
            onClick={onSelect}
            aria-label={`Go to ${line.place} ${line.name}`}
            className="grid h-9 w-11 place-items-center text-muted"
          >
            <kbd>{first.key.toUpperCase()}</kbd>
          </button>
        )}
        {phone && !selected && (
          <button
            type="button"
            onClick={onSelect}
            className="absolute inset-0"
            aria-label={`Go to ${line.place} ${line.name}`}
          />
        )}
      </div>
      {selected && <Acts line={line} phone={phone} />}
    </article>
  );
}

const releaseMs = 80;

function Acts({ line, phone }: { line: RoundLine; phone: boolean }) {
  const { quick, isBusy } = useDone();
  const busy = isBusy(line.stockId);
  const { settled, settling, acted, hold } = useActing();
  const { why, toggle } = useWhy();
  const [menu, setMenu] = useState<'refused' | 'else' | null>(null);
  const [form, setForm] = useState<FormKind | null>(null);
  const navigate = useNavigate();
  const tray = line.vials !== null && line.act === 'feed' && line.offer !== null;
  const tonight = useNightline().data?.tonight;
  const primary = primaryChoices(line);
  const refused = refusals(line);
  /** Runs an act unless the light has only just moved here: then the press was meant for what stood here before. */
  const guarded = (act: () => void) => () => {
    if (settled()) {
      acted();
      act();
    }
  };
  // The click comes after the finger is up: the round is let go of only then.
  const release = () => setTimeout(() => hold(false), releaseMs);
  const choose = (choice: LineChoice) => () =>
    quick(line.stockId, line.name, choice.acts, { label: choice.label.toLowerCase() });
  const later = () =>
    tonight !== undefined &&
    quick(
      line.stockId,
      line.name,
      { kind: 'putOff', untilNight: fromDays(toDays(tonight) + 1), reason: null },
      { label: 'later' },
    );
  // The offer itself is corrected, so that one cricket is not two on the record.
  const ateIt = () =>
    line.preyIn !== null &&
    quick(
      line.stockId,
      line.name,
      { ...line.preyIn.offer, kind: 'offered', outcome: 'takenLater', leftIn: null, untaken: null },
      { label: 'eaten after all', corrects: line.preyIn.entryId },
    );
  const tell = () => void navigate(`/stock/${line.stockId}/edit`);
  const keys: Record<string, () => void> = {
    ...Object.fromEntries(primary.map((p) => [p.key, choose(p)])),
    ...(refused.length > 0 ? { r: () => setMenu('refused') } : {}),
    ...(tray ? { o: () => setForm('offered') } : {}),
    ...(line.act === 'lookForMolt' ? { m: () => setForm('molted') } : {}),
    ...(line.act === 'ask' ? { d: tell } : {}),
    ...(line.preyIn !== null ? { t: ateIt } : {}),
    ...(line.signs ? { s: () => setForm('signSeen') } : {}),
    e: () => setMenu('else'),
    l: later,
  };
  useKeys(Object.fromEntries(Object.entries(keys).map(([key, act]) => [key, guarded(act)])));
  const grown = phone ? 'h-[52px] flex-1 justify-center px-1 text-15' : '';
  const button = (key: string, label: string, act: () => void, main = false) => (
    <button
      key={key}
      type="button"
      disabled={busy}
      className={`act ${main ? 'act-first' : ''} ${grown}`}
      onClick={guarded(act)}
    >
      <kbd>{key.toUpperCase()}</kbd>
      {label}
    </button>
  );
  return (
    <div
      role="group"
      data-settling={settling}
      aria-label={`Log for ${line.name}`}
      onPointerDown={() => hold(true)}
      onPointerUp={release}
      onPointerCancel={release}
      onPointerLeave={release}
      className="relative mt-2.5 flex flex-wrap gap-2 transition-opacity data-[settling=true]:opacity-60 pr-6 pl-[46px] max-sm:fixed max-sm:inset-x-0 max-sm:bottom-16 max-sm:z-20 max-sm:mt-0 max-sm:border-t max-sm:border-edge max-sm:bg-raised max-sm:px-4 max-sm:py-2"
    >
      {phone && (
        <p className="-my-0.5 w-full truncate text-13">
          <span className="code">{line.place}</span> <b className="font-semibold">{line.name}</b>{' '}
          <span className="text-soft">{line.do}</span>
        </p>
      )}
      {line.act === 'lookForMolt' && button('m', 'Molted', () => setForm('molted'), true)}
      {line.act === 'ask' && button('d', phone ? 'Details' : 'Say it in her details', tell, true)}
      {primary.map((p, k) =>
        button(p.key, phone ? p.brief : p.label, choose(p), k === 0 && line.act !== 'lookForMolt'),
      )}
      {tray && button('o', phone ? 'Some' : 'Some left it', () => setForm('offered'))}
      {line.preyIn !== null && button('t', phone ? 'Eaten' : 'Taken after all', ateIt)}
      {refused.length > 0 && (
        <DropdownMenu.Root
          open={menu === 'refused'}
          onOpenChange={(o) => setMenu(o ? 'refused' : null)}
          modal={false}
        >
          <DropdownMenu.Trigger asChild>
            <button type="button" className={`act ${grown}`}>
              <kbd>R</kbd>
              {phone ? 'Other' : 'Refused, other'}
            </button>
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="start"
              sideOffset={4}
              collisionPadding={menuPadding}
              className={menuClass}
              onKeyDown={pickByLetter}
            >
              {refused.map((r) => (
                <MenuItem key={r.key} letter={r.key} onSelect={choose(r)}>
                  {r.label}
                </MenuItem>
              ))}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      )}
      {line.signs && button('s', phone ? 'Sign' : 'Sign seen', () => setForm('signSeen'))}
      <ElseMenu
        stockId={line.stockId}
        name={line.name}
        open={menu === 'else'}
        onOpenChange={(o) => setMenu(o ? 'else' : null)}
        trigger={
          <button type="button" className={`act ${grown}`}>
            <kbd>E</kbd>
            {phone ? 'More' : 'Something else'}
          </button>
        }
      />
      {(!phone || line.act === 'lookForMolt') && (
        <button type="button" className={`act ${phone ? grown : 'act-plain'}`} onClick={guarded(later)}>
          <kbd>L</kbd>
          {line.act === 'lookForMolt' ? 'Not yet' : 'Later'}
        </button>
      )}
      <button
        type="button"
        aria-pressed={why !== null}
        className={`act act-plain ml-auto text-lamptext ${phone ? 'min-w-11 px-1 linkish' : ''}`}
        onClick={() => toggle(whyOf(line))}
      >
        <kbd>?</kbd>Why
      </button>
      {form !== null && <ActDialogFor stockId={line.stockId} kind={form} onClose={() => setForm(null)} />}
    </div>
  );
}
