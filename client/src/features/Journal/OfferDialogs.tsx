import { useState, type ReactNode } from 'react';
import type { AnimalView, Schemas } from '../../api/client';
import { HushAsk } from '../Hush/HushAsk';
import { ActDialogFor } from './ActDialogFor';
import type { ActOf } from './entryForm';
import { type FormKind, hasForm } from './formKinds';
import { useDone } from './DoneContext';

export type LogOffer = Schemas['LogOffer'];

/** Whether what an offer logs is against the hush tonight. */
export const isHushed = (animal: AnimalView, offer: LogOffer) =>
  offer.care !== null && animal.hush.some((line) => line.act === offer.care && line.verdict === 'never');

interface Picked {
  /** Logs an offer, or opens its form; asks once when it is against the hush. */
  pick: (offer: LogOffer) => void;
  /** The form or question that is open. */
  dialogs: ReactNode;
  isOpen: boolean;
}

/** What happens when one of the things that can be logged of an animal is picked. */
export function useOffers(stockId: string, name: string, animal: AnimalView | undefined): Picked {
  const { quick } = useDone();
  const [form, setForm] = useState<{ kind: FormKind; start: ActOf<FormKind> | undefined } | null>(null);
  const [asking, setAsking] = useState<LogOffer | null>(null);
  const log = (offer: LogOffer) => {
    if (offer.form === null) {
      quick(stockId, name, offer.acts, { label: offer.label.toLowerCase() });
    } else {
      setForm({ kind: offer.form, start: offer.acts.find(hasForm) });
    }
  };
  const pick = (offer: LogOffer) => {
    if (animal !== undefined && isHushed(animal, offer)) {
      setAsking(offer);
    } else {
      log(offer);
    }
  };
  const dialogs = (
    <>
      {form !== null && (
        <ActDialogFor
          stockId={stockId}
          kind={form.kind}
          {...(form.start === undefined ? {} : { start: form.start })}
          onClose={() => setForm(null)}
        />
      )}
      {asking?.care != null && animal !== undefined && (
        <HushAsk
          animal={animal}
          care={asking.care}
          happened={asking.form === 'offered' ? 'It was fed already: log it' : 'It happened: log it'}
          onHappened={() => log(asking)}
          onClose={() => setAsking(null)}
        />
      )}
    </>
  );
  return { pick, dialogs, isOpen: form !== null || asking !== null };
}
