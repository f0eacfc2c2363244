import { Button } from '../../ui/Button';
import { useState } from 'react';
import type { Reason } from '../../api/client';
import { useGiveUpOverride, useRule, useRulebook } from './queries';
import { useWhy } from '../Reasons/WhyContext';
import { RuleForm } from './RuleForm';
import { canChange } from './ruleParts';

const scopeWord = { room: 'the whole room', species: 'its species', animal: 'it alone' } as const;

/** At the foot of a reason: change its rule for this animal, its species or the room, or give a change up. */
export function ChangeRule({ reason, stockId }: { reason: Reason; stockId: string }) {
  const mayBe = /^(group|species|room)\./.test(reason.rule);
  const rule = useRule(reason.rule, stockId, mayBe).data;
  const groups = useRulebook().data?.groups;
  const giveUp = useGiveUpOverride();
  const [open, setOpen] = useState(false);
  // What was asked is answered otherwise now: the drawer closes rather than show what no longer holds.
  const { hide } = useWhy();
  if (rule === undefined || !canChange(rule.line.form)) {
    return null;
  }
  return (
    <div className="mt-1 text-12">
      <Button writes="owner" kind="link" onClick={() => setOpen(true)}>
        change<span className="sr-only"> “{reason.topic}”</span>
      </Button>
      {rule.changes.map((change) => (
        <Button
          writes="owner"
          kind="link"
          key={change.id}
          className="ml-3 text-lamptext"
          disabled={giveUp.isPending}
          onClick={() => giveUp.mutate({ id: change.id, rule: change.rule }, { onSuccess: hide })}
        >
          back to the rulebook for {scopeWord[change.scope]}
        </Button>
      ))}
      {open && (
        <RuleForm
          target={{
            line: rule.line,
            group: rule.group,
            groupName: groups?.find((g) => g.id === rule.group)?.name ?? rule.group,
            speciesId: rule.speciesId,
            species: rule.species,
            animal: { stockId, name: rule.animal },
            scope: reason.rule.startsWith('room.') ? 'room' : 'animal',
          }}
          onClose={() => setOpen(false)}
          onSaved={hide}
        />
      )}
    </div>
  );
}
