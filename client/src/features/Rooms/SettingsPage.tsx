import { useMayWrite } from '../../ui/mayWrite';
import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { type SubmitEvent, useState } from 'react';
import { Refusal, type Schemas, type VersionedSettings } from '../../api/client';
import { NightsDialog } from './NightsDialog';
import { useChangeSettings, useNightsMoved, useSettings } from './queries';
import { Choice, Field, FormError, TextField } from '../../ui/Field';
import { Waiting } from '../../ui/Waiting';
import { looks, setLook, useLook } from './look';

/** What holds for the whole room. */
export function SettingsPage() {
  // Kept here, above the form that begins anew with what was saved, so that "Saved." stays to be read.
  const change = useChangeSettings();
  return (
    <Waiting query={useSettings()} what="The room">
      {(settings) => <SettingsForm key={settings.version} saved={settings} change={change} />}
    </Waiting>
  );
}

interface SettingsFormProps {
  saved: VersionedSettings;
  change: ReturnType<typeof useChangeSettings>;
}

function SettingsForm({ saved, change }: SettingsFormProps) {
  const [settings, setSettings] = useState(saved.settings);
  const isOwner = useMayWrite(true);
  const look = useLook();
  const [hour, setHour] = useState(String(saved.settings.cutoverHour));
  const refusal = change.error instanceof Refusal ? change.error : null;
  const set = (changed: Partial<typeof settings>) => setSettings((s) => ({ ...s, ...changed }));
  // What waited for a slow server is written once a newer version than it was made from has come.
  const isWaiting = change.data === null && saved.version <= change.variables.version;
  const nights = useNightsMoved();
  const [moved, setMoved] = useState<Schemas['NightsMoved'] | null>(null);
  const cutoverHour = Math.trunc(Number(hour)) || 0;
  const save = () => {
    setMoved(null);
    change.mutate({ settings: { ...settings, cutoverHour }, version: saved.version });
  };
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    const { zoneId } = settings;
    if (zoneId === saved.settings.zoneId && cutoverHour === saved.settings.cutoverHour) {
      save();
      return;
    }
    // What would lie on another night is said before it does. What is wrong with the zone is told with the other fields.
    nights.mutate(
      { zoneId, cutoverHour },
      { onSuccess: (found) => (found.moved === 0 ? save() : setMoved(found)), onError: save },
    );
  };
  return (
    <form
      onSubmit={submit}
      noValidate
      className="mx-auto grid w-full max-w-[760px] gap-6 px-6 pt-4 pb-10 max-sm:px-4"
    >
      <PageTitle>Room</PageTitle>
      <h1 className="page-title">Room</h1>
      <section className="grid gap-2">
        <Choice label="Look" options={looks} value={look} onChange={setLook} />
        <p className="text-13 text-muted">
          Ember is deep red on black, for looking at night-active animals without white light. Kept on this
          device.
        </p>
      </section>
      {!isOwner && <p className="text-muted">What follows is set by the owner of the room.</p>}
      <fieldset disabled={!isOwner} className="contents">
        <section className="grid gap-4 border-t border-line pt-4 sm:grid-cols-2">
          <TextField
            label="Name of the room"
            error={refusal?.for('roomName')}

            value={settings.roomName}
            onChange={(value) => set({ roomName: value })}
          />
          <TextField
            label="Name written beside entries"
            error={refusal?.for('keeperName')}

            value={settings.keeperName}
            onChange={(value) => set({ keeperName: value })}
          />
          <Field label="Time zone" error={refusal?.for('zoneId')}>
            {(p) => (
              <input
                {...p}
                list="zones"
                className="field"
                value={settings.zoneId}
                onChange={(e) => set({ zoneId: e.target.value })}
              />
            )}
          </Field>
          <datalist id="zones">
            {Intl.supportedValuesOf('timeZone').map((zone) => (
              <option key={zone} value={zone} />
            ))}
          </datalist>
          <TextField
            label="A new night begins at (hour)"
            hint="A round after midnight still belongs to the evening before"
            error={refusal?.for('cutoverHour')}

            inputMode="numeric"
            value={hour}
            onChange={setHour}
          />
        </section>
        <section className="grid gap-4 border-t border-line pt-4">
          <Choice
            label="Lengths in"
            options={[
              ['mm', 'mm'],
              ['cm', 'cm'],
              ['in', 'inches'],
            ]}
            value={settings.unit}
            onChange={(unit) => set({ unit })}
          />
          <Choice
            label="First meal after a molt"
            options={[
              ['quick', 'Quick school'],
              ['default', 'Our default'],
              ['cautious', 'Cautious school'],
            ]}
            value={settings.firstMeal}
            onChange={(firstMeal) => set({ firstMeal })}
          />
          <Choice
            label="Days between meals"
            options={[
              ['often', 'Feed often'],
              ['default', 'Our default'],
              ['lean', 'Feed lean'],
            ]}
            value={settings.cadence}
            onChange={(cadence) => set({ cadence })}
          />
          <Choice
            label="Feeding a paired female"
            options={[
              ['steady', 'Steady meals (our default)'],
              ['extra', 'A little extra'],
            ]}
            value={settings.afterPairing ?? 'steady'}
            onChange={(afterPairing) => set({ afterPairing })}
          />
          <Choice
            label="Looks at a queen that founds on her reserves"
            options={[
              ['rationed', 'Every few weeks, red light (our default)'],
              ['none', 'None until workers are due'],
            ]}
            value={settings.peeking ?? 'rationed'}
            onChange={(peeking) => set({ peeking })}
          />
          <p className="max-w-[62ch] text-13 text-muted">
            Keepers disagree on all of these. Rich feeding shortens the time between molts and the life, above
            all of males; lean feeding is hard on slings, who have small reserves. Each “why” shows what the
            other schools would say.
          </p>
        </section>
      </fieldset>
      {moved !== null && <NightsDialog moved={moved} onAgree={save} onClose={() => setMoved(null)} />}
      <FormError>{refusal?.all}</FormError>
      <div className="flex items-center gap-3">
        <Button writes="owner" kind="first" type="submit" disabled={change.isPending}>
          Save
        </Button>
        <span role="status" className="text-mosstext">
          {!change.isSuccess ? '' : isWaiting ? 'Not written yet: see below.' : 'Saved.'}
        </span>
      </div>
    </form>
  );
}
