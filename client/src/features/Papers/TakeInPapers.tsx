import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Refusal, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { shortDate } from '../../ui/dates';
import { FormError, TextField } from '../../ui/Field';
import { FilePick } from '../../ui/FilePick';
import { newId } from '../../ui/newId';
import { useReadPapers, useTakeIn } from './queries';

/** An animal that comes with papers from another keeper: read first, then taken in with its history and pictures. */
export function TakeInPapers() {
  const [file, setFile] = useState<File | null>(null);
  const read = useReadPapers();
  const pick = (picked: File) => {
    setFile(picked);
    read.mutate(picked);
  };
  return (
    <div className="grid gap-3">
      <p className="max-w-[70ch] text-13 text-muted">
        Another keeper writes the papers from the animal’s page. What happened to its body goes along: molts,
        measures, sex, waits, pictures, parents; nothing of the giver’s room.
      </p>
      <div>
        <FilePick
          accept=".zip,application/zip"
          kind={read.data === undefined ? 'first' : 'usual'}
          busy={read.isPending}
          onPick={pick}
        >
          Choose the papers
        </FilePick>
      </div>
      <FormError>{read.error instanceof Refusal ? read.error.all : undefined}</FormError>
      {read.data !== undefined && file !== null && (
        <Found key={read.data.name} papers={read.data} file={file} />
      )}
    </div>
  );
}

interface FoundProps {
  papers: Schemas['PapersRead'];
  file: File;
}

function Found({ papers, file }: FoundProps) {
  const navigate = useNavigate();
  const take = useTakeIn();
  const [id] = useState(newId);
  const [said, setSaid] = useState({
    place: '',
    name: papers.name,
    count: String(papers.count),
    from: '',
  });
  const refusal = take.error instanceof Refusal ? take.error : null;
  const facts = [
    papers.sex === 'unknown' ? 'sex not known' : papers.sex,
    papers.hatchedOn === null ? null : `hatched ${shortDate(papers.hatchedOn)}`,
    papers.molts === null ? null : `${papers.molts} molts behind it`,
    papers.pictures === 0 ? null : papers.pictures === 1 ? '1 picture' : `${papers.pictures} pictures`,
  ].filter((fact) => fact !== null);
  return (
    <section aria-labelledby="papers" className="grid max-w-[760px] gap-3">
      <h2 id="papers" className="text-22">
        {papers.name} <i className="text-18">{papers.species}</i>
      </h2>
      <p className="text-soft">{facts.join(' · ')}</p>
      {!papers.isKnown && (
        <p className="border-l-2 border-lampmark pl-2 text-13">
          The rulebook here does not know the species: it is kept by the rules of its group.
        </p>
      )}
      {papers.note !== '' && <p className="text-13 text-soft">{papers.note}</p>}
      {papers.history.length > 0 && (
        <ul className="columns-2 gap-8 text-13 max-sm:columns-1" aria-label="What the papers tell">
          {papers.history.map((line, k) => (
            <li key={k} className="border-t border-line py-0.5">
              <b className="font-semibold">{shortDate(line.night, '2000-01-01')}</b> {line.text}
            </li>
          ))}
        </ul>
      )}
      <form
        className="grid grid-cols-2 gap-3 max-sm:grid-cols-1"
        onSubmit={(event) => {
          event.preventDefault();
          take.mutate(
            { id, file, ...said },
            { onSuccess: (taken) => void navigate(`/stock/${taken.stockId}`) },
          );
        }}
      >
        <TextField
          label="Place"
          hint="Such as A1-03; new stock stands apart first"
          error={refusal?.for('place')}
          value={said.place}
          onChange={(place) => setSaid({ ...said, place })}
        />
        <TextField
          label="Called here"
          error={refusal?.for('nickname')}
          value={said.name}
          onChange={(name) => setSaid({ ...said, name })}
        />
        {papers.kind !== 'specimen' && (
          <TextField
            label="How many came"
            inputMode="numeric"
            error={refusal?.for('count')}
            value={said.count}
            onChange={(count) => setSaid({ ...said, count })}
          />
        )}
        <TextField
          label="From whom, if to be kept"
          value={said.from}
          onChange={(from) => setSaid({ ...said, from })}
        />
        <div className="col-span-full">
          <FormError>{refusal?.all}</FormError>
          <Button kind="first" type="submit" disabled={take.isPending}>
            Take it in
          </Button>
        </div>
      </form>
    </section>
  );
}
