import { PageTitle } from '../../ui/PageTitle';
import { Select } from '../../ui/Select';
import { Button } from '../../ui/Button';
import { type ReactNode, type SubmitEvent, useState } from 'react';
import { Link, useParams } from 'react-router';
import { type Refusal, refusalOf, type Schemas } from '../../api/client';
import { useRulebook } from '../Rulebook/queries';
import { Field, FormError, TextField } from '../../ui/Field';
import type { Bench, BenchField } from './benchParts';
import { benches } from './benches';
import type { Filled } from './fill';
import { addressOf } from '../Nursery/pictures';

/** Every open calculator with its form, its drawing and its reasons. */
export function BenchPage() {
  const { name } = useParams();
  const bench = benches.find((b) => b.name === name) ?? benches[0];
  return (
    <div className="grid flex-1 grid-cols-[210px_minmax(0,1fr)] px-6 pt-4 pb-10 max-lg:grid-cols-1 max-sm:px-4">
      <div>
        <PageTitle>Bench</PageTitle>
        <h1 className="mb-2 page-title">Bench</h1>
        <nav aria-label="Calculators" className="lg:border-r lg:border-line lg:pr-4">
          <ul className="max-lg:flex max-lg:flex-wrap max-lg:gap-x-4">
            {benches.map((b) => (
              <li key={b.name}>
                <Link
                  to={`/bench/${b.name}`}
                  aria-current={b === bench ? 'page' : undefined}
                  className="block min-h-8 py-1.5 text-muted hover:text-ink aria-[current=page]:font-semibold aria-[current=page]:text-ink touch:min-h-11"
                >
                  {b.title}
                </Link>
              </li>
            ))}
          </ul>
        </nav>
      </div>
      {bench !== undefined && <Calculator key={bench.name} bench={bench} />}
    </div>
  );
}

function Calculator({ bench }: { bench: Bench }) {
  const [filled, setFilled] = useState<Filled>(() =>
    Object.fromEntries(bench.fields.map((f) => [f.key, f.start])),
  );
  const [answer, setAnswer] = useState<{ view: ReactNode; reasons: Schemas['CalcReason'][] } | null>(null);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const run = async (event: SubmitEvent) => {
    event.preventDefault();
    try {
      setAnswer(await bench.run(filled));
      setRefusal(null);
    } catch (caught) {
      setAnswer(null);
      setRefusal(refusalOf(caught));
    }
  };
  return (
    <section aria-labelledby="bench" className="min-w-0 lg:pl-7">
      <h2 id="bench" className="text-22">
        {bench.title}
      </h2>
      <p className="mb-4 max-w-[70ch] text-muted">{bench.what}</p>
      <div className="grid grid-cols-[300px_minmax(0,1fr)] gap-8 max-lg:grid-cols-1">
        <form onSubmit={(e) => void run(e)} noValidate className="grid content-start gap-4">
          {bench.fields.map((field) => (
            <Entry
              key={field.key}
              field={field}
              value={filled[field.key] ?? ''}
              error={refusal?.for(field.key)}
              onChange={(value) => setFilled((f) => ({ ...f, [field.key]: value }))}
            />
          ))}
          <FormError>{refusal?.all}</FormError>
          <Button kind="first" type="submit" className="justify-self-start">
            Work it out
          </Button>
        </form>
        <div role="status" className="min-w-0">
          {answer === null ? (
            <p className="border-l-2 border-line pl-4 text-muted">{bench.before}</p>
          ) : (
            <>
              {answer.view}
              <ul className="mt-4 text-13">
                {answer.reasons.map((r) => (
                  <li key={r.text} className="border-t border-line py-1.5">
                    {r.text} <span className="block text-12 text-muted">{r.source}</span>
                  </li>
                ))}
              </ul>
            </>
          )}
        </div>
      </div>
    </section>
  );
}

interface EntryProps {
  field: BenchField;
  value: string;
  error: string | undefined;
  onChange: (value: string) => void;
}

function Entry({ field, value, error, onChange }: EntryProps) {
  const groups = useRulebook().data?.groups ?? [];
  if (field.kind === 'lines') {
    return (
      <Field label={field.label} hint={field.hint} error={error}>
        {(p) => (
          <textarea
            {...p}
            rows={field.rows ?? 6}
            className="field font-text"
            value={value}
            onChange={(e) => onChange(e.target.value)}
          />
        )}
      </Field>
    );
  }
  if (field.kind === 'picture') {
    return (
      <Field label={field.label} hint={field.hint} error={error}>
        {(p) => (
          <>
            <input
              {...p}
              type="file"
              accept="image/jpeg,image/png,image/webp"
              className="field py-2"
              onChange={(e) => {
                const file = e.target.files?.[0];
                if (file !== undefined) {
                  void addressOf(file).then(onChange);
                }
              }}
            />
            {value !== '' && <img src={value} alt="The picture you chose" className="mt-2 max-h-24" />}
          </>
        )}
      </Field>
    );
  }
  if (field.kind === 'group' || field.kind === 'choice') {
    const options: readonly (readonly [string, string])[] =
      field.kind === 'choice'
        ? (field.options ?? [])
        : [
            ...(field.options ?? []),
            ...groups
              .filter((g) => field.hunters !== true || g.takesPrey)
              .map((g): [string, string] => [g.id, g.name]),
          ];
    return (
      <Select
        label={field.label}
        hint={field.hint}
        error={error}
        options={options}
        value={value}
        onChange={onChange}
      />
    );
  }
  return (
    <TextField
      label={field.label}
      hint={field.hint}
      error={error}
      inputMode="decimal"
      value={value}
      onChange={onChange}
    />
  );
}
