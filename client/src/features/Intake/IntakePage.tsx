import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { Refusal, type Schemas } from '../../api/client';
import { Choice, FormError } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { PageHeader } from '../../ui/PageHeader';
import { useDone } from '../Journal/DoneContext';
import { TakeInPapers } from '../Papers/TakeInPapers';
import { IntakeTable } from './IntakeTable';
import { KeepersList } from './KeepersList';
import { ManyOfAKind } from './ManyOfAKind';
import { PasteBox } from './PasteBox';
import { type ListKind, listKinds, useReadTable, useWriteTable } from './queries';

const ways = [
  ['table', 'A table, or one animal a line'],
  ['many', 'Many of a kind'],
  ['papers', 'One with papers'],
  ['happened', 'What happened'],
  ['larder', 'The larder'],
  ['chores', 'Chores'],
  ['gear', 'Gear'],
  ['contacts', 'People'],
] as const;

type Way = (typeof ways)[number][0];

const isList = (way: Way): way is ListKind => listKinds.some((kind) => kind === way);

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
        ) : isList(way) ? (
          <KeepersList key={way} kind={way} />
        ) : way === 'many' ? (
          <ManyOfAKind onRead={again} busy={read.isPending} />
        ) : (
          <PasteBox
            label="Paste it here, or drop a file"
            hint={`With headings or without; or one animal a line: ${example}`}
            text={text}
            wasRead={sheet !== undefined}
            onText={setText}
            onRead={readText}
          />
        )}
        <FormError>{refusal?.all}</FormError>
        {sheet !== undefined && (
          <IntakeTable key={way} sheet={sheet} busy={busy} onRead={again} onWrite={writeAll} />
        )}
      </div>
    </>
  );
}
