import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { type ReactNode, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useSpecies } from './queries';
import { Waiting } from '../../ui/Waiting';
import { tagWord } from '../Reasons/tags';
import { RuleForm, type RuleTarget } from './RuleForm';
import { RuleRows, schoolWord } from './RuleRows';
import { longestWait } from './ruleParts';
import { WaitBand } from './WaitBand';

type Sheet = Schemas['SpeciesSheet'];
type Row = Schemas['SheetLine'];

/** Everything the rulebook says of a species, alone or beside another. */
export function SpeciesPage() {
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const other = search.get('with');
  return (
    <Waiting query={useSpecies(id)} what="The species">
      {(sheet) => (other === null ? <One sheet={sheet} /> : <Beside sheet={sheet} other={other} />)}
    </Waiting>
  );
}

const sections = [
  'Keeping',
  'Growth',
  'Waits',
  'After a molt',
  'Feeding',
  'Signs',
  'Hazards, origin, law',
  'Other',
];

function Head({ sheet, children }: { sheet: Sheet; children?: ReactNode }) {
  return (
    <header className="flex flex-wrap items-end justify-between gap-3 px-6 pt-4 pb-3 max-sm:px-4">
      <div>
        <p className="text-13 text-muted">
          <Link to="/rulebook" className="linkish">
            Rulebook
          </Link>{' '}
          · {sheet.groupName}
        </p>
        <PageTitle>{sheet.scientificName}</PageTitle>
        <h1 className="italic page-title">{sheet.scientificName}</h1>
        <p className="text-muted">
          {sheet.habit}, {sheet.kept === 0 ? 'none kept here' : `${sheet.kept} kept here`}
          {sheet.own ? ', added by you' : ''}
        </p>
      </div>
      {children}
    </header>
  );
}

function One({ sheet }: { sheet: Sheet }) {
  const [target, setTarget] = useState<RuleTarget | null>(null);
  const change = (row: Row) =>
    setTarget({
      line: row.line,
      group: sheet.group,
      groupName: sheet.groupName,
      speciesId: sheet.id,
      species: sheet.scientificName,
      scope: 'species',
    });
  return (
    <>
      <Head sheet={sheet}>
        <a
          className="act px-4"
          href={`/api/rulebook/species/${sheet.id}/profile`}
          download={`${sheet.id}.json`}
        >
          Save its profile as a file
        </a>
      </Head>
      <div className="border-t border-line px-6 pb-10 max-sm:px-4">
        {sections.map((section) => (
          <RuleRows
            key={section}
            title={section}
            rows={sheet.lines.filter((l) => l.line.section === section)}
            onChange={change}
          />
        ))}
      </div>
      {target !== null && <RuleForm target={target} onClose={() => setTarget(null)} />}
    </>
  );
}

/** Two species side by side; what is the same in both is left out unless asked for. */
function Beside({ sheet, other }: { sheet: Sheet; other: string }) {
  const [all, setAll] = useState(false);
  return (
    <Waiting query={useSpecies(other)} what="The other species">
      {(second) => {
        const there = new Map(second.lines.map((l) => [l.line.name, l.line]));
        const names = [...new Set([...sheet.lines, ...second.lines].map((l) => l.line.name))];
        const here = new Map(sheet.lines.map((l) => [l.line.name, l.line]));
        const rows = names
          .map((name) => ({ name, a: here.get(name), b: there.get(name) }))
          .filter((r) => all || r.a?.text !== r.b?.text);
        const longest = longestWait([...sheet.lines, ...second.lines].map((l) => l.line));
        return (
          <>
            <Head sheet={sheet}>
              <Button aria-pressed={all} onClick={() => setAll(!all)}>
                {all ? 'Only what differs' : 'Show what is the same too'}
              </Button>
            </Head>
            <div
              role="region"
              aria-label="Comparison"
              tabIndex={0}
              className="overflow-x-auto border-t border-line px-6 pb-10 max-sm:px-4"
            >
              <table className="w-full border-collapse text-13">
                <caption className="py-2 text-left text-muted">
                  {rows.length} rules {all ? 'in all' : 'differ'}
                </caption>
                <thead>
                  <tr className="text-left">
                    <th scope="col" className="py-1.5 pr-3 font-normal text-muted">
                      Rule
                    </th>
                    {[sheet, second].map((s) => (
                      <th key={s.id} scope="col" className="w-[36%] py-1.5 pr-3 font-display text-15 italic">
                        <Link to={`/rulebook/${s.id}`} className="hover:underline">
                          {s.scientificName}
                        </Link>
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {rows.map(({ name, a, b }) => (
                    <tr key={name} className="border-t border-line align-top">
                      <th scope="row" className="py-1.5 pr-3 text-left font-normal">
                        {(a ?? b)?.label}
                        {(a ?? b)?.school !== '' && (
                          <span className="text-muted"> · {schoolWord[(a ?? b)?.school ?? '']}</span>
                        )}
                      </th>
                      {[a, b].map((line, k) => (
                        <td key={k} className="py-1.5 pr-3">
                          {line === undefined ? (
                            <span className="text-muted">–</span>
                          ) : (
                            <>
                              {line.text} <span className="text-12 text-muted">{tagWord[line.tag]}</span>
                              {line.form === 'wait' && <WaitBand line={line} longest={longest} />}
                            </>
                          )}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </>
        );
      }}
    </Waiting>
  );
}
