import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { Link } from 'react-router';
import { hazardWord } from '../Stock/words';
import type { RoundLine } from '../../api/client';
import { useNightline } from '../../api/queries';
import { fromDays, toDays } from '../../ui/dates';
import { Lantern } from '../../ui/Lantern';
import { MenuItem, menuClass, pickByLetter } from '../../ui/Menu';
import { useKeys } from '../../ui/useKeys';
import { useIsPhone } from '../../ui/useMedia';
import { ActDialogFor } from '../Journal/ActDialogFor';
import { useDone } from '../Journal/DoneContext';
import { ElseMenu } from '../Journal/ElseMenu';
import { useWhy } from '../Reasons/WhyContext';
import { primaryActs, refusals } from './lineActs';
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
  const first = primaryActs(line)[0];
  return (
    <article
      id={`line-${line.stockId}`}
      aria-current={selected ? 'true' : undefined}
      aria-label={`${line.place} ${line.name}`}
      className={`relative [contain-intrinsic-size:auto_56px] ${selected ? `py-3 ${pool}` : 'py-1.5 [content-visibility:auto]'}`}
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

function Acts({ line, phone }: { line: RoundLine; phone: boolean }) {
  const { quick, busy } = useDone();
  const { why, toggle } = useWhy();
  const [menu, setMenu] = useState<'refused' | 'else' | null>(null);
  const [signing, setSigning] = useState(false);
  const [molting, setMolting] = useState(false);
  const [sorting, setSorting] = useState(false);
  const tray = line.vials !== null && line.act === 'feed' && line.offer !== null;
  const tonight = useNightline().data?.tonight;
  const primary = primaryActs(line);
  const refused = refusals(line);
  const later = () =>
    tonight !== undefined &&
    quick(line.stockId, line.name, {
      kind: 'putOff',
      untilNight: fromDays(toDays(tonight) + 1),
      reason: null,
    });
  // The offer itself is corrected, so that one cricket is not two on the record.
  const ateIt = () =>
    line.preyIn !== null &&
    quick(
      line.stockId,
      line.name,
      { ...line.preyIn.offer, kind: 'offered', outcome: 'takenLater', leftIn: null, untaken: null },
      { corrects: line.preyIn.entryId },
    );
  useKeys({
    ...Object.fromEntries(primary.map((p) => [p.key, () => quick(line.stockId, line.name, p.act)])),
    ...(refused.length > 0 && line.act === 'feed' ? { r: () => setMenu('refused') } : {}),
    ...(tray ? { o: () => setSorting(true) } : {}),
    ...(line.act === 'lookForMolt' ? { m: () => setMolting(true) } : {}),
    ...(line.preyIn !== null ? { t: ateIt } : {}),
    s: () => setSigning(true),
    e: () => setMenu('else'),
    l: later,
  });
  const grown = phone ? 'h-[52px] flex-1 justify-center px-1 text-15' : '';
  return (
    <div
      role="group"
      aria-label={`Log for ${line.name}`}
      className="relative mt-2.5 flex flex-wrap gap-2 pr-6 pl-[46px] max-sm:fixed max-sm:inset-x-0 max-sm:bottom-16 max-sm:z-20 max-sm:mt-0 max-sm:flex-nowrap max-sm:border-t max-sm:border-edge max-sm:bg-raised max-sm:px-4 max-sm:py-2"
    >
      {line.act === 'lookForMolt' && (
        <button type="button" className={`act act-first ${grown}`} onClick={() => setMolting(true)}>
          <kbd>M</kbd>Molted
        </button>
      )}
      {primary.map((p, k) => (
        <button
          key={p.key}
          type="button"
          disabled={busy}
          className={`act ${k === 0 && line.act !== 'lookForMolt' ? 'act-first' : ''} ${grown}`}
          onClick={() => quick(line.stockId, line.name, p.act)}
        >
          <kbd>{p.key.toUpperCase()}</kbd>
          {phone ? p.short : p.label}
        </button>
      ))}
      {tray && (
        <button type="button" className={`act ${grown}`} onClick={() => setSorting(true)}>
          <kbd>O</kbd>
          {phone ? 'Some' : 'Some left it'}
        </button>
      )}
      {line.preyIn !== null && (
        <button type="button" className={`act ${grown}`} onClick={ateIt}>
          <kbd>T</kbd>
          {phone ? 'Eaten' : 'Taken after all'}
        </button>
      )}
      {line.act === 'feed' && refused.length > 0 && (
        <DropdownMenu.Root
          open={menu === 'refused'}
          onOpenChange={(o) => setMenu(o ? 'refused' : null)}
          modal={false}
        >
          <DropdownMenu.Trigger asChild>
            <button type="button" className={`act ${grown}`}>
              <kbd>R</kbd>Refused
            </button>
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="start"
              sideOffset={4}
              collisionPadding={12}
              className={menuClass}
              onKeyDown={pickByLetter}
            >
              {refused.map((r) => (
                <MenuItem key={r.key} letter={r.key} onSelect={() => quick(line.stockId, line.name, r.act)}>
                  {r.label}
                </MenuItem>
              ))}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      )}
      <button type="button" className={`act ${grown}`} onClick={() => setSigning(true)}>
        <kbd>S</kbd>
        {phone ? 'Sign' : 'Sign seen'}
      </button>
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
        <button type="button" className={`act ${phone ? grown : 'act-plain'}`} onClick={later}>
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
      {signing && <ActDialogFor stockId={line.stockId} kind="signSeen" onClose={() => setSigning(false)} />}
      {sorting && <ActDialogFor stockId={line.stockId} kind="offered" onClose={() => setSorting(false)} />}
      {molting && <ActDialogFor stockId={line.stockId} kind="molted" onClose={() => setMolting(false)} />}
    </div>
  );
}
