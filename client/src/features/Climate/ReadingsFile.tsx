import { useState } from 'react';
import { refusalOf } from '../../api/client';
import { FormError, TextField } from '../../ui/Field';
import { FilePick } from '../../ui/FilePick';
import { useTakeFile } from './queries';

/** Readings of another program as a table: all of it is taken, or none with the lines that cannot be. */
export function ReadingsFile() {
  const [sensor, setSensor] = useState('');
  const [zone, setZone] = useState('');
  const read = useTakeFile();
  const refusal = read.error === null ? null : refusalOf(read.error);
  return (
    <section aria-labelledby="file">
      <h2 id="file" className="text-22">
        Readings from a file
      </h2>
      <p className="max-w-[62ch] text-13 text-muted">
        A CSV with a column for the time and one for the temperature (°C or °F), humidity and sensor if it has
        them. Times without a zone are those of the room.
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <div className="w-52">
          <TextField
            label="Sensor, if no column names it"
            value={sensor}
            error={refusal?.for('sensor')}
            onChange={setSensor}
          />
        </div>
        <div className="w-52">
          <TextField
            label="Where it hung; empty: whole room"
            value={zone}
            error={refusal?.for('zone')}
            onChange={setZone}
          />
        </div>
        <FilePick
          accept=".csv,text/csv,text/plain"
          busy={read.isPending}
          onPick={(file) => read.mutate({ file, sensor, zone })}
        >
          Choose the file
        </FilePick>
      </div>
      <FormError>
        {refusal === null
          ? undefined
          : Object.keys(refusal.fields).length === 0
            ? refusal.title
            : Object.entries(refusal.fields)
                .map(([field, said]) => `${field}: ${said.join(' ')}`)
                .join(' ')}
      </FormError>
      {read.data !== undefined && (
        <p role="status" className="mt-2 text-mosstext">
          {read.data.taken} readings of {read.data.sensors.join(', ')} taken
          {read.data.known > 0 ? `, ${read.data.known} were there already` : ''}.
        </p>
      )}
    </section>
  );
}
