import { Button } from '../../ui/Button';
import { useRef, useState } from 'react';
import type { RoundView } from '../../api/client';
import { useRound } from '../Rounds/queries';
import { dayDate, fromDays, toDays } from '../../ui/dates';
import { Choice } from '../../ui/Field';
import { Waiting } from '../../ui/Waiting';
import { useDone } from '../Journal/DoneContext';
import { sheetLines } from './RoundSheet';
import { boxes, lineMeant, readLetters } from './sheetLetters';

/** Types a sheet back: letters behind each line, Enter goes on to the next. */
export function TypingPage() {
  return (
    <Waiting query={useRound()} what="Tonight’s round">
      {(round) => <Typing round={round} />}
    </Waiting>
  );
}

function Typing({ round }: { round: RoundView }) {
  const { logMany, busy } = useDone();
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [when, setWhen] = useState<'tonight' | 'last'>('tonight');
  const [jump, setJump] = useState('');
  const fields = useRef(new Map<string, HTMLInputElement>());
  const lines = sheetLines(round);
  const reads = lines.map((line) => ({ line, read: readLetters(typed[line.stockId] ?? '', line) }));
  const acts = reads.flatMap(({ line, read }) => read.acts.map((act) => ({ stockId: line.stockId, act })));
  const wrong = reads.filter(({ read }) => read.trouble !== null).length;
  const lastNight = fromDays(toDays(round.night) - 1);
  const focus = (k: number) => {
    const id = lines[k]?.stockId;
    const field = id === undefined ? undefined : fields.current.get(id);
    field?.focus();
    field?.select();
  };
  const keys = (k: number) => (event: React.KeyboardEvent) => {
    const step = { Enter: 1, ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      focus(k + step);
    }
  };
  const log = async () => {
    const done = await logMany(
      acts,
      `Sheet of ${acts.length === 1 ? '1 entry' : `${acts.length} entries`}`,
      when === 'last' ? lastNight : null,
    );
    if (done) {
      setTyped({});
    }
  };
  return (
    <div className="border-t border-line px-6 pt-3 pb-8 max-sm:px-4">
      <p className="text-13 text-muted">
        {boxes.map(([box, word]) => `${box} ${word}`).join(' · ')}. Several letters on one line are several
        boxes; Enter goes on.
      </p>
      <div className="my-3 flex flex-wrap items-end gap-4">
        <Choice
          label="Which night"
          options={[
            ['tonight', `Tonight, ${dayDate(round.night)}`],
            ['last', `Last night, ${dayDate(lastNight)}`],
          ]}
          value={when}
          onChange={setWhen}
        />
        <form
          className="flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            focus(lineMeant(jump, lines));
            setJump('');
          }}
        >
          <label className="text-13 font-semibold">
            Go to a place or number
            <input
              className="field mt-1 block w-32!"
              placeholder="a1-3"
              value={jump}
              onChange={(event) => setJump(event.target.value)}
            />
          </label>
        </form>
      </div>
      {lines.length === 0 && <p className="py-8 text-center text-muted">Nothing is open on the round.</p>}
      <ol className="border-t border-line">
        {reads.map(({ line, read }, k) => (
          <li
            key={line.stockId}
            className="grid grid-cols-[32px_72px_150px_96px_minmax(0,1fr)] items-center gap-x-3 border-b border-line py-1 max-sm:grid-cols-[32px_72px_minmax(0,1fr)_84px]"
          >
            <span className="text-13 text-muted">{k + 1}</span>
            <span className="code">{line.place}</span>
            <b className="truncate font-display font-semibold">{line.name}</b>
            <input
              ref={(element) => {
                if (element === null) {
                  fields.current.delete(line.stockId);
                } else {
                  fields.current.set(line.stockId, element);
                }
              }}
              className="field min-h-9! tracking-widest uppercase"
              aria-label={`Boxes of ${line.place} ${line.name}`}
              aria-invalid={read.trouble === null ? undefined : true}
              autoComplete="off"
              spellCheck={false}
              value={typed[line.stockId] ?? ''}
              onChange={(event) => setTyped({ ...typed, [line.stockId]: event.target.value })}
              onKeyDown={keys(k)}
            />
            <span className="min-w-0 text-13 max-sm:col-span-4">
              {read.trouble !== null ? (
                <span className="text-ember">{read.trouble}</span>
              ) : read.words === '' ? (
                <span className="text-muted">{line.do}</span>
              ) : (
                <b className="font-semibold text-mosstext">{read.words}</b>
              )}
            </span>
          </li>
        ))}
      </ol>
      <div className="sticky bottom-0 flex items-center justify-end gap-4 bg-bg py-3">
        {wrong > 0 && <span className="text-ember">{wrong} cannot be read</span>}
        <Button kind="first" disabled={busy || acts.length === 0 || wrong > 0} onClick={() => void log()}>
          Log {acts.length === 1 ? '1 entry' : `${acts.length} entries`}
        </Button>
      </div>
    </div>
  );
}
