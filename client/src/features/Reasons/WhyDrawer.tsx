import { Writes } from '../../ui/Writes';
import { useMayWrite } from '../../ui/mayWrite';
import { useEffect, useRef } from 'react';
import { useCommands } from '../../commands/useCommands';
import { IconButton } from '../../ui/Button';
import { X } from 'lucide-react';
import type { Reason, Schemas } from '../../api/client';
import { useChangeSettings, useSettings } from '../Rooms/queries';
import { useNightline } from '../Rounds/queries';
import { useLineWhy } from '../Rounds/queries';
import { Dialog } from '../../ui/Dialog';
import { useIsWide } from '../../ui/useMedia';
import { Waiting } from '../../ui/Waiting';
import { MoltBand } from '../Vigils/MoltBand';
import { ChangeRule } from '../Rulebook/ChangeRule';
import { tagWord } from './tags';
import { useWhy, type Why } from './WhyContext';

/** The drawer on a wide screen, a sheet on a narrow one. */
export function WhyDrawer() {
  const { why, hide } = useWhy();
  const wide = useIsWide();
  if (why === null) {
    return null;
  }
  if (!wide) {
    return (
      <Dialog title={why.title} hint={<About why={why} />} onClose={hide}>
        <Steps why={why} />
      </Dialog>
    );
  }
  return <Beside why={why} hide={hide} />;
}

/** Takes the focus when it opens and gives it back; what it stands beside goes on by its keys. */
function Beside({ why, hide }: { why: Why; hide: () => void }) {
  const drawer = useRef<HTMLElement>(null);
  useEffect(() => drawer.current?.focus({ preventScroll: true }), []);
  useCommands([{ id: 'why.close', run: hide }]);
  return (
    <aside
      ref={drawer}
      tabIndex={-1}
      aria-label="Why"
      className="outline-none flex w-[348px] flex-none flex-col overflow-y-auto border-l border-line bg-panel px-5 pt-4 pb-3"
    >
      <header className="flex items-start justify-between gap-2">
        <h2 className="text-22">{why.title}</h2>
        <IconButton onClick={hide} label="Close why" className="-mt-1 -mr-2">
          <X className="size-5" />
        </IconButton>
      </header>
      <p className="mt-1 text-13 text-muted">
        <About why={why} />
      </p>
      <Steps why={why} />
    </aside>
  );
}

function About({ why }: { why: Why }) {
  return why.animal === null ? (
    <>For the whole room</>
  ) : (
    <>
      <span className="code">{why.animal.place}</span> {why.animal.name}, <i>{why.animal.species}</i>
    </>
  );
}

/** A line of the round is explained when somebody asks. */
function Steps({ why }: { why: Why }) {
  const asked = why.ofLine === true && why.animal !== null;
  const line = useLineWhy(why.animal?.stockId ?? '', asked);
  return !asked ? (
    <Reasons why={why} />
  ) : (
    <Waiting query={line} what="The reasons">
      {(told) => <Reasons why={{ ...why, ...told }} />}
    </Waiting>
  );
}

function Reasons({ why }: { why: Why }) {
  const tonight = useNightline().data?.tonight;
  return (
    <>
      <p className="mt-2 mb-2 text-15">{why.summary}</p>
      <ol>
        {why.reasons.map((reason, k) => (
          <li
            key={`${reason.rule}${k}`}
            className="grid grid-cols-[82px_minmax(0,1fr)] gap-x-2.5 border-t border-line py-2 text-13"
          >
            <b className="font-semibold">{reason.topic}</b>
            <div>
              <p>
                {reason.text}{' '}
                <span className="whitespace-nowrap text-12 text-muted">{tagWord[reason.tag]}</span>
              </p>
              {reason.rule === 'vigil.molt' && why.molt != null && tonight !== undefined && (
                <MoltBand forecast={why.molt} tonight={tonight} />
              )}
              <Schools reason={reason} />
              {why.animal !== null && <ChangeRule reason={reason} stockId={why.animal.stockId} />}
              {reason.tag !== 'practice' && reason.tag !== 'record' && (
                <p className="mt-0.5 text-12 text-muted">{reason.source}</p>
              )}
            </div>
          </li>
        ))}
      </ol>
      {why.reasons.length === 0 && <p className="text-muted">There is nothing to judge by yet.</p>}
    </>
  );
}

type Settings = Schemas['RoomSettings'];

/** Which setting a rule with schools belongs to, and how its schools are called there. */
function settingOf(rule: string, school: string): Partial<Settings> | null {
  if (rule.startsWith('group.firstMeal')) {
    return { firstMeal: school as Settings['firstMeal'] };
  }
  if (rule.startsWith('room.pairing.fedAfter')) {
    return { afterPairing: school as NonNullable<Settings['afterPairing']> };
  }
  if (rule === 'room.claustralLookDays') {
    return { peeking: school as NonNullable<Settings['peeking']> };
  }
  return rule.startsWith('group.cadence') ? { cadence: school as Settings['cadence'] } : null;
}

function Schools({ reason }: { reason: Reason }) {
  const mayWrite = useMayWrite(true);
  const settings = useSettings();
  const change = useChangeSettings();
  const { hide } = useWhy();
  if (reason.schools.length === 0) {
    return null;
  }
  const follow = (school: string) => {
    const changed = settingOf(reason.rule, school);
    if (changed !== null && settings.data !== undefined) {
      change.mutate(
        { ...settings.data, settings: { ...settings.data.settings, ...changed } },
        { onSuccess: hide },
      );
    }
  };
  return (
    <div
      className="mt-1.5"
      role="group"
      aria-label={`Schools: ${reason.topic}.${mayWrite ? ' Choosing one changes it for the whole room.' : ''}`}
    >
      <div className="grid rounded-s border border-edge">
        {reason.schools.map((school) => (
          <button
            key={school.name}
            type="button"
            aria-pressed={school.chosen}
            disabled={change.isPending || !mayWrite}
            onClick={() => follow(school.name)}
            className="flex min-h-7 items-center justify-between border-edge px-2 text-left not-first:border-t aria-pressed:bg-ink aria-pressed:font-semibold aria-pressed:text-bg touch:min-h-11"
          >
            {school.name}
            <span className="font-normal">{school.text}</span>
          </button>
        ))}
      </div>
      <Writes ownersOnly>
        <p className="mt-0.5 text-12 text-muted">Choosing one changes it for the whole room.</p>
      </Writes>
    </div>
  );
}
