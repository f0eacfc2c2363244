import { Writes } from '../../ui/Writes';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { EmptyState } from '../../ui/EmptyState';
import { PageTitle } from '../../ui/PageTitle';
import { Waiting } from '../../ui/Waiting';
import { WhyButton } from '../../ui/WhyButton';
import { useWhy } from '../Reasons/WhyContext';
import { usePairingDesk } from './queries';
import { Advice } from './Advice';
import { BookCage } from './BookCage';
import { KinFold } from './KinFold';
import { PlanSeason } from './PlanSeason';
import { RaceDrawing } from './RaceDrawing';

type Candidate = Schemas['Candidate'];
type Pair = Schemas['PairChoice'];

/** How each word of readiness looks. */
const marks: Record<Schemas['ReadyWord'], readonly [string, string]> = {
  ready: ['ready', 'border-moss text-mosstext'],
  ask: ['ask first', 'border-lampmark text-lamptext'],
  soon: ['not yet', 'border-hush text-hush'],
  not: ['hold', 'border-ember text-ember'],
  past: ['late', 'border-edge text-muted'],
};

/** Why a pair is stopped, or warned of. */
const kinMarks: Record<Schemas['KinWord'], string> = {
  apart: '',
  near: 'near of kin',
  tooNear: 'too near of kin',
  otherLine: 'another line',
  unclear: 'kinship unclear',
};

/** Pairs that can be led now; of others first comes what makes them ready. */
const leads: ReadonlySet<Schemas['ReadyWord']> = new Set(['ready', 'ask', 'past']);

function Mark({ word }: { word: Schemas['ReadyWord'] }) {
  const [text, look] = marks[word];
  return <span className={`inline-block rounded-s border px-1.5 text-12 ${look}`}>{text}</span>;
}

/** Who is ready, until when, and with whom. */
export function PairingPage() {
  return (
    <div className="px-6 pt-4 pb-10 max-sm:px-4">
      <PageTitle>Pairing</PageTitle>
      <h1 className="page-title">Who is ready, and with whom?</h1>
      <Waiting query={usePairingDesk()} what="The pairing desk">
        {(desk) => (
          <>
            {desk.loop.length > 0 && (
              <p role="alert" className="my-2 max-w-[76ch] text-ember">
                {desk.loop[0]} is recorded as its own ancestor: {desk.loop.join(' ← ')}. Mend the parents of
                one of them; until then no kinship can be told.
              </p>
            )}
            {desk.species.length === 0 ? (
              <EmptyState
                title="Nobody is adult yet"
                text="Adult and maturing animals of species that are paired by hand stand here."
              />
            ) : (
              desk.species.map((species) => <SpeciesDesk key={species.name} species={species} desk={desk} />)
            )}
            <Advice advice={desk.advice} />
          </>
        )}
      </Waiting>
    </div>
  );
}

function SpeciesDesk({ species, desk }: { species: Schemas['DeskSpecies']; desk: Schemas['PairingDesk'] }) {
  const females = species.candidates.filter((c) => c.sex === 'female');
  const males = species.candidates.filter((c) => c.sex === 'male');
  const untold = species.candidates.filter((c) => c.sex === 'unknown');
  const names = new Map(species.candidates.map((c) => [c.stockId, c.name]));
  const id = `desk-${species.name.replaceAll(' ', '-')}`;
  return (
    <section aria-labelledby={id} className="mt-5 border-t border-line pt-3">
      <h2 id={id} className="text-18">
        <i>{species.name}</i>
      </h2>
      <KinFold species={species.name} count={species.candidates.length} />
      {species.season !== null && (
        <p className="text-13 text-muted">
          Season: {species.season}.{species.programme === null ? '' : ` ${species.programme}.`}
        </p>
      )}
      <div className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-x-8 max-lg:grid-cols-1">
        <div>
          {females.map((she) => (
            <Female key={she.stockId} she={she} males={males} species={species} desk={desk} />
          ))}
          {females.length === 0 && <p className="py-2 text-muted">No female is adult or nearly so.</p>}
        </div>
        <div>
          {species.pairs.length > 0 && (
            <ol aria-label={`Pairs of ${species.name}`} className="mt-2">
              {species.pairs.slice(0, 6).map((pair) => (
                <PairLine
                  key={`${pair.femaleId}${pair.maleId}`}
                  pair={pair}
                  names={names}
                  night={bestNight(species, pair, desk.tonight)}
                  cages={species.inCage ? desk.cages : []}
                  tonight={desk.tonight}
                />
              ))}
            </ol>
          )}
          <ul aria-label={`Males of ${species.name}`} className="mt-2">
            {males.map((he) => (
              <One key={he.stockId} one={he} />
            ))}
          </ul>
          {males.length === 0 && <p className="py-2 text-muted">No male is adult or nearly so.</p>}
          <ul aria-label={`Sex not told, ${species.name}`}>
            {untold.map((one) => (
              <One key={one.stockId} one={one} />
            ))}
          </ul>
        </div>
      </div>
    </section>
  );
}

function useReadinessWhy() {
  const { toggle } = useWhy();
  return (one: Candidate) =>
    toggle({
      title: `May ${one.name} be paired?`,
      animal: null,
      summary: one.readiness.says,
      reasons: one.readiness.checks.map((c) => c.why),
    });
}

/** An animal in a line: its name, the word, what it means. */
function One({ one }: { one: Candidate }) {
  const why = useReadinessWhy();
  return (
    <li className="border-t border-line py-1.5">
      <Heading one={one} onWhy={() => why(one)} />
    </li>
  );
}

function Heading({ one, onWhy }: { one: Candidate; onWhy: () => void }) {
  const often = one.paired === 1 ? 'paired once' : `paired ${one.paired} times`;
  return (
    <div>
      <p className="flex flex-wrap items-baseline gap-x-2">
        <Link to={`/stock/${one.stockId}`} className="font-display text-16 font-semibold hover:underline">
          {one.name}
        </Link>
        <span className="text-13 text-muted">
          {one.sex === 'female' ? '♀ ' : one.sex === 'male' ? '♂ ' : ''}
          {one.stage}
          {one.line === null ? '' : `, ${one.line}`}
          {one.paired > 0 ? `, ${often} since the molt` : ''}
        </span>
        <Mark word={one.readiness.word} />
        <WhyButton of={`whether ${one.name} may be paired`} onClick={onWhy} />
      </p>
      <p className="max-w-[60ch] text-13 text-soft">
        {one.readiness.says}{' '}
        {one.isTogether && (
          <Link to={`/pairing/${one.stockId}`} className="linkish">
            To the pairing
          </Link>
        )}
      </p>
    </div>
  );
}

interface FemaleProps {
  she: Candidate;
  males: readonly Candidate[];
  species: Schemas['DeskSpecies'];
  desk: Schemas['PairingDesk'];
}

function Female({ she, males, species, desk }: FemaleProps) {
  const { toggle } = useWhy();
  const why = useReadinessWhy();
  const race = she.race;
  return (
    <article aria-label={she.name} className="border-t border-line py-2 first:border-t-0">
      <Heading one={she} onWhy={() => why(she)} />
      {species.programme !== null && she.isAdult && (
        <PlanSeason name={she.name} programme={species.programme} tonight={desk.tonight} />
      )}
      {race?.value != null && (
        <figure className="mt-1.5">
          <figcaption className="mb-1 text-13">
            {race.summary}{' '}
            <WhyButton
              of={`the race of ${she.name}`}
              onClick={() =>
                toggle({
                  title: 'The race against her molt',
                  animal: null,
                  summary: race.summary,
                  reasons: race.reasons,
                })
              }
            />
          </figcaption>
          <RaceDrawing
            race={race.value}
            tonight={desk.tonight}
            eggCase={species.eggCase}
            males={males}
            cages={desk.cages}
          />
          {race.value.ifs.length > 0 && (
            <p className="mt-1 text-13 text-soft">{race.value.ifs.map((i) => `${i.says}.`).join(' ')}</p>
          )}
        </figure>
      )}
    </article>
  );
}

/** The night on which a pair is best put together: that of her race, never before tonight. */
const bestNight = (species: Schemas['DeskSpecies'], pair: Pair, tonight: string) => {
  const best = species.candidates.find((c) => c.stockId === pair.femaleId)?.race?.value?.best ?? tonight;
  return best > tonight ? best : tonight;
};

interface PairLineProps {
  pair: Pair;
  names: ReadonlyMap<string, string>;
  night: string;
  tonight: string;
  cages: readonly Schemas['Gear'][];
}

function PairLine({ pair, names, night, tonight, cages }: PairLineProps) {
  const { toggle } = useWhy();
  const [she, he] = [names.get(pair.femaleId) ?? '', names.get(pair.maleId) ?? ''];
  const near = pair.kin.stops;
  return (
    <li className={`border-t border-line py-1.5 ${near ? 'text-ember' : ''}`}>
      <p className="flex flex-wrap items-baseline gap-x-2">
        <b className="font-display font-semibold">
          {she} × {he}
        </b>
        {near ? (
          <span className="inline-block rounded-s border border-ember px-1.5 text-12">
            {kinMarks[pair.kin.word]}
          </span>
        ) : (
          <Mark word={pair.word} />
        )}
        {pair.kin.word === 'near' && (
          <span className="inline-block rounded-s border border-lampmark px-1.5 text-12 text-lamptext">
            near of kin
          </span>
        )}
        <WhyButton
          of={`${she} with ${he}`}
          onClick={() =>
            toggle({ title: `${she} with ${he}`, animal: null, summary: pair.says, reasons: pair.why })
          }
        />
      </p>
      <p className="text-13">{pair.says}</p>
      <div className="my-1 flex flex-wrap items-center gap-x-4 gap-y-1">
        {leads.has(pair.word) && (
          <Writes>
            <Link
              to={`/pairing/${pair.femaleId}?with=${pair.maleId}`}
              className="act act-small inline-flex px-3"
            >
              Put them together…
            </Link>
          </Writes>
        )}
        {(leads.has(pair.word) || (pair.word === 'soon' && night > tonight)) && !near && (
          <BookCage pair={`${she} × ${he}`} night={night} tonight={tonight} cages={cages} />
        )}
      </div>
      {pair.meeting !== null && <p className="text-13 text-soft">{pair.meeting.says}</p>}
    </li>
  );
}
