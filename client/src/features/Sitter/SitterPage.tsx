import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { useParams } from 'react-router';
import { Refusal, type Schemas } from '../../api/client';
import { useSitterSheet, useTakeBackTick, useTick } from './queries';
import { useDelivery } from '../../api/useDelivery';
import { useOutbox } from '../../api/writing';
import { OutboxStrip } from '../Outbox/OutboxStrip';
import { clockTime, longDate } from '../../ui/dates';
import { Dialog } from '../../ui/Dialog';
import { Field, FormError } from '../../ui/Field';
import { Lantern } from '../../ui/Lantern';
import { Waiting } from '../../ui/Waiting';
import { hazardWord } from '../Stock/words';
import { newId } from '../../ui/newId';

/** What somebody who minds the room sees: tonight's safe acts, what to leave shut, whom to call. */
export function SitterPage() {
  const { secret = '' } = useParams();
  useDelivery();
  return (
    <main className="mx-auto flex min-h-full w-full max-w-[720px] flex-col px-6 pt-4 pb-12 max-sm:px-4">
      <Waiting query={useSitterSheet(secret)} what="Tonight’s sheet">
        {(view) => <Sheet view={view} secret={secret} />}
      </Waiting>
      <div className="sticky bottom-0 -mx-6 mt-auto max-sm:-mx-4">
        <OutboxStrip />
      </div>
    </main>
  );
}

interface SheetProps {
  view: Schemas['SitterView'];
  secret: string;
}

function Sheet({ view, secret }: SheetProps) {
  const tick = useTick(secret, false);
  const tell = useTick(secret, true);
  const back = useTakeBackTick(secret);
  const [wrong, setWrong] = useState<{ stockId: string; name: string } | null>(null);
  const { sheet } = view;
  const { items, silentSince } = useOutbox();
  const waiting = new Set(
    silentSince === null ? [] : items.filter((i) => i.setAside === null).flatMap((i) => i.about),
  );
  const send = (line: Schemas['SitterLine'], what: 'done' | 'notTaken') =>
    tick.mutate({
      id: newId(),
      stockId: line.stockId,
      tick: what,
      remark: '',
      text: `${line.name}: ${what === 'done' ? 'done' : 'not taken'}`,
    });
  return (
    <>
      <header>
        <PageTitle>{`Tonight for ${view.sitter}`}</PageTitle>
        <h1 className="page-title">Tonight for {view.sitter}</h1>
        <p className="text-muted">
          {longDate(sheet.night)}, {view.roomName}. This link opens until {longDate(view.lastNight)}.
        </p>
        {view.note !== '' && <p className="mt-2 whitespace-pre-line">{view.note}</p>}
        <p className="mt-3 border-l-2 border-lampmark pl-3">
          <b className="font-semibold">Call: </b>
          <span className="whitespace-pre-line">{view.contacts}</span>
        </p>
      </header>
      {view.alarms.length > 0 && (
        <section aria-label="Alarms" className="mt-4 grid gap-2">
          {view.alarms.map((alarm) => (
            <div
              key={alarm.says}
              role="alert"
              className={`rounded-s border-l-4 bg-panel px-4 py-3 ${alarm.isDanger ? 'border-ember' : 'border-lampmark'}`}
            >
              <p className="font-semibold">{alarm.says}</p>
              <ol className="mt-1">
                {alarm.now.map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
              <p className="mt-1 text-13 text-muted">For {alarm.for.join(', ')}. Call the keeper.</p>
            </div>
          ))}
        </section>
      )}
      <section aria-label="To do" className="mt-4">
        <h2 className="mb-1 text-22">{sheet.lines.length === 0 ? 'Nothing is left to do' : 'To do'}</h2>
        <ul>
          {sheet.lines.map((line) => (
            <Line
              key={line.stockId}
              line={line}
              busy={tick.isPending}
              waiting={waiting.has(line.stockId)}
              onTick={(what) => send(line, what)}
              onWrong={() => setWrong(line)}
            />
          ))}
        </ul>
        {sheet.leftOut > 0 && (
          <p className="mt-2 text-13 text-muted">
            {sheet.leftOut === 1 ? '1 more enclosure waits' : `${sheet.leftOut} more enclosures wait`} for the
            keeper. Leave {sheet.leftOut === 1 ? 'it' : 'them'} be.
          </p>
        )}
      </section>
      {view.ticked.length > 0 && (
        <section aria-label="Done" className="mt-5">
          <h2 className="mb-1 text-18">Done</h2>
          <ul className="text-13 text-muted">
            {view.ticked.map((t, k) => (
              <li key={k} className="flex items-center gap-2 border-t border-line py-1">
                <Check className="size-5 flex-none text-moss" aria-hidden="true" />
                <span className="code text-ink">{t.place}</span>
                <span className="flex-1">
                  {t.name} {t.text}
                </span>
                <time dateTime={t.at}>{clockTime(t.at)}</time>
                <Button
                  kind="link"
                  disabled={back.isPending}
                  onClick={() =>
                    back.mutate({
                      id: newId(),
                      entryId: t.entryId,
                      stockId: t.stockId,
                      text: `${t.name}: taken back`,
                    })
                  }
                >
                  take back
                  <span className="sr-only">
                    {' '}
                    {t.name} {t.text}
                  </span>
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label="Do not open" className="mt-5">
        <h2 className="mb-1 text-22">Do not open</h2>
        {sheet.leaveShut.length === 0 && <p className="text-muted">None tonight.</p>}
        <ul>
          {sheet.leaveShut.map((s) => (
            <li key={s.stockId} className="flex items-start gap-3 border-t border-line py-2">
              <Lantern shutters={3} className="size-6" />
              <span className="flex-1">
                <span className="code">{s.place}</span> <b className="font-semibold">{s.name}</b>{' '}
                <span className="text-soft">{s.why}</span>
              </span>
              <Button kind="link" className="flex-none text-13" onClick={() => setWrong(s)}>
                looks wrong<span className="sr-only">: {s.name}</span>
              </Button>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label="If something looks wrong" className="mt-5">
        <h2 className="mb-1 text-22">If something looks wrong</h2>
        <ul className="list-disc pl-5">
          {view.ifWrong.map((text) => (
            <li key={text} className="py-0.5">
              {text}
            </li>
          ))}
        </ul>
      </section>
      {wrong !== null && (
        <WrongDialog
          name={wrong.name}
          busy={tell.isPending}
          error={tell.error instanceof Refusal ? tell.error.all : undefined}
          onSend={(remark) =>
            tell.mutate(
              {
                id: newId(),
                stockId: wrong.stockId,
                tick: 'looksWrong',
                remark,
                text: `${wrong.name}: looks wrong`,
              },
              { onSuccess: () => setWrong(null) },
            )
          }
          onClose={() => setWrong(null)}
        />
      )}
    </>
  );
}

interface LineProps {
  line: Schemas['SitterLine'];
  busy: boolean;
  /** Whether it was ticked and waits for the server. */
  waiting: boolean;
  onTick: (what: 'done' | 'notTaken') => void;
  onWrong: () => void;
}

function Line({ line, busy, waiting, onTick, onWrong }: LineProps) {
  return (
    <li className="border-t border-line py-3">
      <div className="flex items-baseline gap-3">
        <span className="code text-18">{line.place}</span>
        <b className="font-display text-18 font-semibold">{line.name}</b>
        <i className="truncate text-13 text-muted">{line.species}</i>
      </div>
      <p className="mt-1 text-16 font-semibold">{line.do}</p>
      {line.note !== '' && <p className="text-soft">{line.note}</p>}
      {line.hazard !== null && <p className="font-semibold text-ember">{hazardWord[line.hazard]}</p>}
      {waiting && <p className="mt-1 text-lamptext">Ticked; it waits for the server.</p>}
      <div className={`mt-2 flex flex-wrap gap-2 ${waiting ? 'hidden' : ''}`}>
        <Button kind="first" disabled={busy} onClick={() => onTick('done')}>
          {line.act === 'feed' ? 'Put in' : 'Done'}
          <span className="sr-only">: {line.name}</span>
        </Button>
        {line.act === 'feed' && (
          <Button disabled={busy} onClick={() => onTick('notTaken')}>
            Not taken
          </Button>
        )}
        <Button kind="plain" onClick={onWrong}>
          Looks wrong
        </Button>
      </div>
    </li>
  );
}

interface WrongProps {
  name: string;
  busy: boolean;
  error: string | undefined;
  onSend: (remark: string) => void;
  onClose: () => void;
}

function WrongDialog({ name, busy, error, onSend, onClose }: WrongProps) {
  const [remark, setRemark] = useState('');
  return (
    <Dialog
      title={`${name}: looks wrong`}
      hint="The keeper reads this. If it is urgent, call as well."
      onClose={onClose}
    >
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          onSend(remark);
        }}
      >
        <Field label="What do you see?">
          {(p) => (
            <textarea
              {...p}
              rows={4}
              maxLength={300}
              className="field"
              value={remark}
              onChange={(e) => setRemark(e.target.value)}
            />
          )}
        </Field>
        <FormError>{error}</FormError>
        <Button kind="first" type="submit" className="justify-center" disabled={busy || remark.trim() === ''}>
          Write it down
        </Button>
      </form>
    </Dialog>
  );
}
