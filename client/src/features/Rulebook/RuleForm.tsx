import { Button } from '../../ui/Button';
import { type SubmitEvent, useState } from 'react';
import { Refusal, type Schemas } from '../../api/client';
import { usePreviewOverride, useSetOverride } from './queries';
import { Dialog } from '../../ui/Dialog';
import { Choice, FormError, TextField } from '../../ui/Field';
import { parseValue, partsOf, RuleValue } from './RuleValue';
import { newId } from '../../ui/newId';

type Scope = Schemas['OverrideScope'];

export interface RuleTarget {
  line: Schemas['RuleLine'];
  group: string;
  groupName: string;
  speciesId: string | null;
  species: string;
  /** The animal, when the rule is changed from its page. */
  animal?: { stockId: string; name: string };
  scope: Scope;
}

interface RuleFormProps {
  target: RuleTarget;
  onClose: () => void;
  /** Instead of closing, once it is saved. */
  onSaved?: () => void;
}

/** Changes one rule for an animal, a species or the room; says beforehand what that moves. */
export function RuleForm({ target, onClose, onSaved = onClose }: RuleFormProps) {
  const { line } = target;
  const [scope, setScope] = useState<Scope>(target.scope);
  const [parts, setParts] = useState(() => partsOf(line.value));
  const [remark, setRemark] = useState('');
  const [id] = useState(() => newId());
  const preview = usePreviewOverride();
  const save = useSetOverride();
  const value = parseValue(parts, line.form);
  const refusal =
    preview.error instanceof Refusal ? preview.error : save.error instanceof Refusal ? save.error : null;
  const body = (): Schemas['RuleOverride'] => ({
    id,
    scope,
    group: line.name.startsWith('room.') ? '' : target.group,
    speciesId: scope === 'species' ? target.speciesId : null,
    stockId: scope === 'animal' ? (target.animal?.stockId ?? null) : null,
    rule: line.name,
    value,
    remark,
  });
  const scopes: [Scope, string][] = [
    ...(target.animal === undefined ? [] : ([['animal', `${target.animal.name} only`]] as [Scope, string][])),
    ...(target.speciesId === null ? [] : ([['species', target.species]] as [Scope, string][])),
    ['room', `the whole room (${target.groupName.toLowerCase()})`],
  ];
  const look = (event: SubmitEvent) => {
    event.preventDefault();
    if (value !== null) {
      save.reset();
      preview.mutate(body());
    }
  };
  const changed = () => preview.reset();
  return (
    <Dialog
      title={line.label}
      hint={
        <>
          Now <b className="font-semibold">{line.text}</b>. {line.source}.
        </>
      }
      onClose={onClose}
    >
      <form onSubmit={look} onChange={changed} noValidate className="grid gap-4">
        <RuleValue
          line={line}
          parts={parts}
          onChange={setParts}
          error={value === null ? 'Write a number.' : undefined}
        />
        <Choice label="Holds for" options={scopes} value={scope} onChange={setScope} />
        <TextField
          label="Why, in your words"
          value={remark}
          onChange={setRemark}
          error={refusal?.for('remark')}
        />
        <FormError>{refusal?.all}</FormError>
        {preview.data !== undefined && <Moves preview={preview.data} />}
        <div className="flex justify-end gap-2">
          <Button kind="plain" onClick={onClose}>
            Cancel
          </Button>
          {preview.data === undefined ? (
            <Button kind="first" type="submit" disabled={preview.isPending}>
              See what it moves
            </Button>
          ) : (
            <Button
              kind="first"
              disabled={save.isPending}
              onClick={() => save.mutate(body(), { onSuccess: onSaved })}
            >
              Save it
            </Button>
          )}
        </div>
      </form>
    </Dialog>
  );
}

function Moves({ preview }: { preview: Schemas['OverridePreview'] }) {
  const shown = preview.moved.slice(0, 6);
  return (
    <div role="status" className="border-l-2 border-lampmark pl-3 text-13">
      <p className="font-semibold">
        {preview.animals === 0
          ? 'Nothing that is kept now moves.'
          : `This moves ${preview.animals} ${preview.animals === 1 ? 'animal' : 'animals'}.`}
      </p>
      <ul>
        {shown.map((m) => (
          <li key={m.stockId} className="mt-1">
            <span className="code">{m.code}</span> {m.name}: <span className="text-muted">{m.what}</span>
          </li>
        ))}
      </ul>
      {preview.moved.length > shown.length && (
        <p className="mt-1 text-muted">and {preview.moved.length - shown.length} more</p>
      )}
    </div>
  );
}
