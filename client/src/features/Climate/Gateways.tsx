import { type SubmitEvent, useState } from 'react';
import { refusalOf } from '../../api/client';
import { Button } from '../../ui/Button';
import { dayDate, dayOf } from '../../ui/dates';
import { FormError, TextField } from '../../ui/Field';
import { useGateways, useMakeGateway, useWithdrawGateway } from './queries';

/** What brings readings, each with a token of its own. */
export function Gateways() {
  const gateways = useGateways().data ?? [];
  const [name, setName] = useState('');
  const make = useMakeGateway();
  const withdraw = useWithdrawGateway();
  const refusal = make.error === null ? null : refusalOf(make.error);
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    make.mutate(name, { onSuccess: () => setName('') });
  };
  return (
    <section aria-labelledby="gateways">
      <h2 id="gateways" className="text-22">
        Gateways
      </h2>
      <p className="max-w-[62ch] text-13 text-muted">
        A gateway posts JSON to <code>/api/gateway/readings</code> with its token as a bearer token:{' '}
        <code className="wrap-anywhere">
          {'{"readings":[{"sensor":"shelf-2","temperatureC":24.6,"relativeHumidity":61}]}'}
        </code>
        . Whoever has the token can post readings and nothing else.
      </p>
      <ul className="mt-2">
        {gateways.map((gateway) => (
          <li
            key={gateway.id}
            className="flex flex-wrap items-center justify-between gap-x-3 border-t border-line py-1.5"
          >
            <span>
              <b className="font-semibold">{gateway.name}</b>{' '}
              <span className="text-13 text-muted">
                {gateway.sensors === 1 ? '1 sensor' : `${gateway.sensors} sensors`},{' '}
                {gateway.heardAt === null ? 'never heard' : `heard ${dayDate(dayOf(gateway.heardAt))}`}
              </span>
            </span>
            <Button
              kind="link"
              className="text-muted"
              disabled={withdraw.isPending}
              onClick={() => withdraw.mutate(gateway.id)}
            >
              take its token back<span className="sr-only">: {gateway.name}</span>
            </Button>
          </li>
        ))}
      </ul>
      {make.data !== undefined && (
        <p role="status" className="mt-2 rounded-s border-l-4 border-moss bg-panel p-3">
          Its token, shown this once: <code className="font-semibold break-all">{make.data.token}</code>
        </p>
      )}
      <form onSubmit={submit} noValidate className="mt-3 flex flex-wrap items-end gap-3">
        <div className="w-64">
          <TextField
            label="A new gateway, by name"
            value={name}
            error={refusal?.for('name')}
            onChange={setName}
          />
        </div>
        <Button type="submit" disabled={make.isPending}>
          Make its token
        </Button>
      </form>
      <FormError>{refusal?.all}</FormError>
    </section>
  );
}
