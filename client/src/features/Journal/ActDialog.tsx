import { Button } from '../../ui/Button';
import { useState } from 'react';
import { type Act, Refusal, refusalOf } from '../../api/client';
import { useSettings } from '../Rooms/queries';
import { useNightline } from '../Rounds/queries';
import { Dialog } from '../../ui/Dialog';
import { Choice, FormError, TextField } from '../../ui/Field';
import { draftOf, type Draft, finish } from './actDraft';
import type { ActOf, ActSubject } from './entryForm';
import type { FormKind } from './formKinds';
import { formOf } from './forms';
import { useDone } from './DoneContext';

export interface ActDialogProps {
  subject: ActSubject;
  kind: FormKind;
  /** What the form holds when it opens; else the usual. */
  start?: ActOf<FormKind>;
  /** An entry that is being corrected. */
  corrects?: { id: string; act: ActOf<FormKind>; night: string; notBefore: string | null };
  onClose: () => void;
}

type Timing = 'tonight' | 'night' | 'between';

/** The form of one entry, new or corrected. */
export function ActDialog({ subject, kind, start, corrects, onClose }: ActDialogProps) {
  const form = formOf(kind);
  const settings = useSettings();
  const tonight = useNightline().data?.tonight;
  const unit = settings.data?.settings.unit ?? 'mm';
  const { log } = useDone();
  const [draft, setDraft] = useState<Draft>(() => draftOf(kind, subject, unit, corrects?.act ?? start));
  const [timing, setTiming] = useState<Timing>(
    corrects === undefined ? 'tonight' : corrects.notBefore === null ? 'night' : 'between',
  );
  const [foundOn, setFoundOn] = useState((corrects?.night ?? '') || (tonight ?? ''));
  const [before, setBefore] = useState(corrects?.notBefore ?? '');
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const error = (field: string) => refusal?.for(field);

  const submit = async (complete: Draft) => {
    const act: Act | Refusal = finish(complete, unit);
    if (act instanceof Refusal) {
      setRefusal(act);
      return;
    }
    setBusy(true);
    try {
      await log(subject.stockId, subject.name, act, {
        label: form.title.toLowerCase(),
        // A correction without a date keeps the former one, so that tonight must be said.
        foundOn: timing !== 'tonight' ? foundOn || null : corrects === undefined ? null : (tonight ?? null),
        lastSeenBefore: timing === 'between' ? before || null : null,
        corrects: corrects?.id ?? null,
      });
      onClose();
    } catch (caught) {
      setBusy(false);
      setRefusal(refusalOf(caught));
    }
  };

  const whenOptions: [Timing, string][] =
    form.foundLater === true
      ? [
          ['tonight', 'Tonight, seen'],
          ['night', 'On a night'],
          ['between', 'Found later'],
        ]
      : [
          ['tonight', 'Tonight'],
          ['night', 'Another night'],
        ];
  const when = (
    <>
      <Choice label="When" options={whenOptions} value={timing} onChange={setTiming} />
      {timing !== 'tonight' && (
        <div className="grid grid-cols-2 gap-3">
          {timing === 'between' && (
            <TextField
              label="Last seen before"
              error={error('lastSeenBefore') ?? error('from')}
              type="date"

              value={before}
              onChange={setBefore}
            />
          )}
          <TextField
            label={timing === 'between' ? 'Found on' : 'Night'}
            error={error('foundOn') ?? error('to')}
            type="date"

            value={foundOn}
            onChange={setFoundOn}
          />
        </div>
      )}
    </>
  );
  const many = subject.many && form.someOf !== undefined && (
    <TextField
      label={`How many of the ${subject.count}`}
      hint={form.someOf(draft.act, subject)}
      error={error('count')}
      inputMode="numeric"
      value={draft.some}
      onChange={(some) => setDraft((d) => ({ ...d, some }))}
    />
  );
  // What is seen is chosen from a few words: the choice itself logs it, so the night stands above.
  const oneTap = form.oneTap === true;
  return (
    <Dialog
      title={corrects === undefined ? form.title : `Correct: ${form.title.toLowerCase()}`}
      hint={
        <>
          <span className="code">{subject.code}</span> {subject.name}, <i>{subject.species}</i>
        </>
      }
      onClose={onClose}
      wide={form.wide === true}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void submit(draft);
        }}
        className="grid gap-4"
        noValidate
      >
        {oneTap && when}
        {oneTap && many}
        <form.Fields
          act={draft.act}
          change={(act) => setDraft((d) => ({ ...d, act }))}
          texts={draft.texts}
          write={(field, text) => setDraft((d) => ({ ...d, texts: { ...d.texts, [field]: text } }))}
          subject={subject}
          unit={unit}
          error={error}
          busy={busy}
          said={draft.said}
          say={(act) => setDraft((d) => ({ ...d, act, said: true }))}
          submit={(act) => void submit({ ...draft, act })}
        />
        {!oneTap && many}
        {!oneTap && form.ahead !== true && when}
        <FormError>{refusal?.all}</FormError>
        <div className="flex justify-end gap-2">
          <Button kind="plain" onClick={onClose}>
            Cancel
          </Button>
          {!oneTap && (
            <Button kind="first" type="submit" disabled={busy}>
              {corrects === undefined ? 'Log it' : 'Log the correction'}
            </Button>
          )}
        </div>
      </form>
    </Dialog>
  );
}
