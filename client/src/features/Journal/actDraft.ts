import { Refusal } from '../../api/client';
import type { LengthUnit } from '../../ui/lengths';
import { type ActOf, type ActSubject, type Texts, wholeNumberIfAny } from './entryForm';
import type { FormKind } from './formKinds';
import { formOf } from './forms';

/** What is in the form: the act itself, and numbers still as text. */
export interface Draft {
  act: ActOf<FormKind>;
  texts: Texts;
  /** Of many: how many it is about; empty for all. */
  some: string;
  /** Whether the one thing that must be said has been said; nobody departs by a default. */
  said: boolean;
}

/** A form to begin with: a new act, or the one that is corrected. */
export function draftOf(
  kind: FormKind,
  subject: ActSubject,
  unit: LengthUnit,
  former?: ActOf<FormKind>,
): Draft {
  const form = formOf(kind);
  const act = former ?? form.begin(subject);
  return {
    act,
    texts: form.texts?.(act, former === undefined, unit) ?? {},
    some: form.someOf !== undefined && 'count' in act && act.count != null ? String(act.count) : '',
    said: former !== undefined || form.mustSay === undefined,
  };
}

/** The act as it will be sent, or what is missing. */
export function finish({ act, texts, some, said }: Draft, unit: LengthUnit): ActOf<FormKind> | Refusal {
  const form = formOf(act.kind);
  if (!said && form.mustSay !== undefined) {
    return new Refusal('', { [form.mustSay.field]: [form.mustSay.text] }, 400);
  }
  const done = form.finish?.(act, texts, unit) ?? act;
  if (form.someOf === undefined || done instanceof Refusal) {
    return done;
  }
  const count = wholeNumberIfAny('count', some);
  return count instanceof Refusal
    ? new Refusal('', { count: ['Write a whole number, or leave it empty for all of them.'] }, 400)
    : ({ ...done, count } as ActOf<FormKind>);
}
