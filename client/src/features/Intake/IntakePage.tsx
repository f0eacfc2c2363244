import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { Refusal, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice, Field, FormError } from '../../ui/Field';
import { FilePick } from '../../ui/FilePick';
import { newId } from '../../ui/newId';
import { PageHeader } from '../../ui/PageHeader';
import { useDone } from '../Journal/DoneContext';
import { TakeInPapers } from '../Papers/TakeInPapers';
import { IntakeTable } from './IntakeTable';
import { KeepersList } from './KeepersList';
import { ManyOfAKind } from './ManyOfAKind';
import { useReadTable, useWriteTable } from './queries';

const ways = [
  ['table', 'A table, or one animal a line'],
  ['many', 'Many of a kind'],
  ['papers', 'One with papers'],
  ['happened', 'What happened'],
  ['larder', 'The larder'],
  ['chores', 'Chores'],
] as const;

type Way = (typeof ways)[number][0];

const wayOf = (asked: string | null): Way => ways.find(([way]) => way === asked)?.[0] ?? 'table';

const example = 'A1-3 Tliltocatl albopilosus f i6 molt 3/5 fed 20/11';

/** Takes over what a keeper has in a notebook or a spreadsheet: read, shown, mended, and written in one go. */
export function IntakePage() {
  const navigate = useNavigate();
  const [way, setWay] = useState<Way>(wayOf(useSearchParams()[0].get('way')));
  const [text, setText] = useState('');
  const [id, setId] = useState(newId);
  const read = useReadTable();
  const write = useWriteTable();
  const { logMany, offerUndo } = useDone();
  const sheet = read.data;
  const busy = read.isPending || write.isPending;
  const refusal = [read.error, write.error].find((error) => error instanceof Refusal);
  const readText = (next: string) => {
    setText(next);
    if (next.trim() !== '') {
      read.mutate({ text: next });
    }
  };
  const again = (table: Schemas['IntakeTable']) => read.mutate(table);
  const takeBack = (stockIds: readonly string[]) =>
    void logMany(
      stockIds.map((stockId) => ({
        stockId,
        act: { kind: 'departed', departure: 'mistaken', remark: null, count: null },
      })),
      `Taken back: ${stockIds.length} animals`,
    );
  const writeAll = (table: Schemas['IntakeTable']) =>
    write.mutate(
      { id, table },
      {
        onSuccess: (written) => {
          setId(newId());
          if (written !== null) {
            offerUndo(`${written.stockIds.length} animals written down`, () => takeBack(written.stockIds));
          }
          void navigate('/');
        },
      },
    );
  return (
    <>
      <PageHeader
        title="Write down many"
        about="From a notebook or a spreadsheet. Nothing is written before you have seen how it was read."
      />
      <div className="grid gap-4 border-t border-line px-6 pt-3 pb-10 max-sm:px-4">
        <Choice
          label="What you have"
          options={ways}
          value={way}
          onChange={(next) => {
            setWay(next);
            read.reset();
          }}
        />
        {way === 'papers' ? (
          <TakeInPapers />
        ) : way === 'happened' || way === 'larder' || way === 'chores' ? (
          <KeepersList key={way} kind={way} />
        ) : way === 'many' ? (
          <ManyOfAKind onRead={again} busy={read.isPending} />
        ) : (
          <div
            onDragOver={(event) => event.preventDefault()}
            onDrop={(event) => {
              const [file] = event.dataTransfer.files;
              if (file !== undefined) {
                event.preventDefault();
                void file.text().then(readText);
              }
            }}
          >
            <Field
              label="Paste it here, or drop a file"
              hint={`With headings or without; or one animal a line: ${example}`}
            >
              {(field) => (
                <textarea
                  {...field}
                  data-autofocus=""
                  rows={sheet === undefined ? 8 : 3}
                  className="field font-text"
                  value={text}
                  onChange={(event) => setText(event.target.value)}
                  onPaste={(event) => {
                    const pasted = event.clipboardData.getData('text/plain');
                    if (text === '' && pasted.includes('\n')) {
                      event.preventDefault();
                      readText(pasted);
                    }
                  }}
                />
              )}
            </Field>
            <div className="mt-2 flex flex-wrap gap-2">
              <Button kind="first" disabled={text.trim() === ''} onClick={() => readText(text)}>
                Read it
              </Button>
              <FilePick accept=".csv,.tsv,.txt,text/*" onPick={(file) => void file.text().then(readText)}>
                Choose a file
              </FilePick>
            </div>
          </div>
        )}
        <FormError>{refusal?.all}</FormError>
        {sheet !== undefined && (
          <IntakeTable key={way} sheet={sheet} busy={busy} onRead={again} onWrite={writeAll} />
        )}
      </div>
    </>
  );
}
