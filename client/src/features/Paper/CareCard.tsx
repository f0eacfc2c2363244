import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { Link, useParams } from 'react-router';
import type { AnimalView } from '../../api/client';
import { useSettings } from '../Rooms/queries';
import { useAnimal } from '../Stock/queries';
import { useFamily } from '../Stock/queries';
import { longDate, shortDate } from '../../ui/dates';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { Waiting } from '../../ui/Waiting';
import { LifelineDrawing } from '../Growth/LifelineDrawing';
import { hasPart, type PageSection } from '../Stock/pagePart';
import { hazardWord } from '../Stock/words';

/** The card that goes with an animal that is given away: how to keep it, its whole history, picture and parents. */
export function CareCard() {
  const { id = '' } = useParams();
  const unit = useSettings().data?.settings.unit ?? 'mm';
  return (
    <Waiting query={useAnimal(id)} what="The animal">
      {(animal) => <Card animal={animal} unit={unit} />}
    </Waiting>
  );
}

const everyDays = (days: number): string =>
  Math.abs(days - 1) < 0.05 ? 'every day' : `every ${Number(days.toFixed(1))} days`;

function Card({ animal, unit }: { animal: AnimalView; unit: LengthUnit }) {
  const family = useFamily(animal.stockId).data;
  const settings = useSettings().data?.settings;
  const picture = animal.pictures.findLast((p) => !p.ofExuvia) ?? animal.pictures.at(-1);
  const entries = animal.journal.filter((line) => line.struckBy === null && !ownAffairs.has(line.act.kind));
  const needs = animal.fit.value?.needs;
  const has = (section: PageSection) => hasPart(animal, section);
  const single = animal.details.kind === 'specimen' || animal.details.kind === 'tank';
  const isTank = animal.details.kind === 'tank';
  const sized = animal.size.value;
  const house = animal.house?.enclosure;
  const facts = said([
    ['Species', animal.species],
    ['In it', isTank ? animal.inmates.map((i) => i.name).join(', ') || 'nobody yet' : null],
    ['Lives in', animal.tank === null ? null : `${animal.tank.name}, a shared tank`],
    ['Number', single || animal.details.count === 1 ? null : String(animal.details.count)],
    ['Sex', !single || isTank ? null : animal.details.sex === 'unknown' ? 'not known' : animal.details.sex],
    ['Stage', [animal.stageWord, animal.instar].filter(Boolean).join(', ')],
    [
      'Size',
      sized !== null
        ? `${sized.isEstimate ? 'about ' : ''}${fromMm(sized.bodyMm, unit)} ${unit} body`
        : has('life')
          ? 'not measured'
          : null,
    ],
    [
      'Hatched',
      animal.details.hatchedOn !== null
        ? shortDate(animal.details.hatchedOn, '2000-01-01')
        : has('stage')
          ? 'not known'
          : null,
    ],
    ['Came here', shortDate(animal.details.acquiredOn, '2000-01-01')],
    [
      'Last molt',
      animal.lastMolt !== null
        ? shortDate(animal.lastMolt, '2000-01-01')
        : has('signs')
          ? 'not seen here'
          : null,
    ],
    ['Mother', parent(family?.mother, has('stage'))],
    ['Father', parent(family?.father, has('stage'))],
  ]);
  const awaited = [...animal.waits, animal.molt].filter(({ value }) => value !== null);
  const care = said([
    ['Now', animal.phase.summary],
    [
      'Food',
      has('food')
        ? animal.phase.value === 'founding' && animal.meal.value.due === null
          ? // What is usual holds once she has workers.
            animal.meal.summary
          : `${animal.meal.summary} Usually ${everyDays(animal.meal.value.everyDays)}.`
        : animal.meal.value.eatsNothing
          ? animal.meal.summary
          : 'None at this stage.',
    ],
    ['Prey', animal.takesPrey && has('food') ? animal.prey.summary : null],
    ['Water', animal.water.reasons.map((r) => r.text).join(' ')],
    [
      'Besides',
      animal.upkeep.value.clocks.length === 0
        ? null
        : animal.upkeep.value.clocks
            .map(({ task }) => `${task.do}: ${everyDays(task.everyDays.value)}.`)
            .join(' '),
    ],
    [
      'Enclosure',
      needs?.litres != null
        ? `At least ${Number(needs.litres.toFixed(1))} L for all of them.`
        : needs !== undefined
          ? `At least ${fromMm(needs.minWidthMm, unit)} ${unit} wide, ${fromMm(needs.minHeightMm, unit)} ${unit} free height${needs.maxHeightMm === null ? '' : `, no more than ${fromMm(needs.maxHeightMm, unit)} ${unit}`}${needs.substrateDepthMm === null ? '' : `, ${fromMm(needs.substrateDepthMm, unit)} ${unit} of floor`}.`
          : house !== undefined
            ? `Now ${house.name}, ${fromMm(house.widthMm, unit)} × ${fromMm(house.depthMm, unit)} × ${fromMm(house.heightMm, unit)} ${unit}.`
            : 'Not measured.',
    ],
    ['Awaited', awaited.length === 0 ? null : awaited.map(({ summary }) => summary).join(' ')],
  ]);
  return (
    <article className="mx-auto w-full max-w-[820px] px-6 pt-4 pb-10 max-sm:px-4 print:max-w-none print:p-0 print:text-black">
      <div className="mb-3 flex gap-3 print:hidden">
        <Button kind="first" onClick={() => window.print()}>
          Print
        </Button>
        <Link to={`/stock/${animal.stockId}`} className="act px-4">
          Back to {animal.details.nickname}
        </Link>
      </div>
      <header className="flex items-start justify-between gap-6 border-b border-ink pb-3">
        <div>
          <PageTitle>{`Care card of ${animal.details.nickname}`}</PageTitle>
          <h1 className="text-30">{animal.details.nickname}</h1>
          <p className="text-18">
            <i>{animal.species}</i>
          </p>
          <p className="text-13 text-muted print:text-black">
            From {settings?.roomName ?? ''}, {longDate(animal.tonight)}
          </p>
          {animal.hazard !== null && (
            <p className="mt-2 border-2 border-ink px-2 py-1 font-semibold">{hazardWord[animal.hazard]}</p>
          )}
        </div>
        {picture !== undefined && (
          <img
            src={`/api/pictures/${picture.pictureId}`}
            alt={picture.caption === '' ? animal.details.nickname : picture.caption}
            className="max-h-44 max-w-64 border border-edge object-contain"
          />
        )}
      </header>
      <div className="grid grid-cols-2 gap-x-8 max-sm:grid-cols-1">
        <Facts title="The animal" facts={facts} />
        <Facts title="How it is kept" facts={care} />
      </div>
      {!isTank && <HandedOn animal={animal} />}
      {animal.cautions.length > 0 && (
        <section className="mt-3">
          <h2 className="text-18">Mind</h2>
          <ul className="list-disc pl-5 text-13">
            {animal.cautions.map((c) => (
              <li key={c}>{c}</li>
            ))}
          </ul>
        </section>
      )}
      {has('life') && (
        <section className="mt-3 break-inside-avoid">
          <LifelineDrawing animal={animal} unit={unit} />
        </section>
      )}
      <section className="mt-3">
        <h2 className="text-18">Whole history</h2>
        <ul className="columns-2 gap-8 text-12 max-sm:columns-1">
          {entries.map((line) => (
            <li key={line.id} className="border-t border-line py-0.5">
              <b className="font-semibold">{shortDate(line.night, '2000-01-01')}</b> {line.text}
            </li>
          ))}
        </ul>
      </section>
    </article>
  );
}

/** What the giver keeps to himself: notes, people, places. */
const ownAffairs: ReadonlySet<string> = new Set([
  'acquired',
  'noted',
  'promised',
  'capped',
  'lent',
  'returned',
  'moved',
  'putOff',
  'departed',
]);

/** To whom, when and by what permit; what is not on record is written in by hand. */
function HandedOn({ animal }: { animal: AnimalView }) {
  const left = animal.departure;
  const given = left !== null && (left.kind === 'sold' || left.kind === 'givenAway') ? left : null;
  const lines = [
    ['Handed to', given?.remark ?? ''],
    ['On', given === null ? '' : longDate(given.at.slice(0, 10))],
    ['Permit', animal.details.wild?.permit ?? ''],
  ] as const;
  return (
    <section className="mt-3 break-inside-avoid">
      <h2 className="text-18">Handed on</h2>
      <dl className="grid grid-cols-3 gap-4 text-13 max-sm:grid-cols-1">
        {lines.map(([term, text]) => (
          <div key={term} className="flex items-baseline gap-2 border-b border-ink py-1">
            <dt className="font-semibold">{term}</dt>
            <dd className="min-h-5 flex-1">{text}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** What means something for it: terms without a text are left out. */
const said = (facts: readonly (readonly [string, string | null])[]) =>
  facts.filter((fact): fact is readonly [string, string] => fact[1] !== null);

const parent = (animal: { name: string; species: string } | null | undefined, single: boolean) =>
  animal != null ? `${animal.name}, ${animal.species}` : single ? 'not on record' : null;

function Facts({ title, facts }: { title: string; facts: readonly (readonly [string, string])[] }) {
  return (
    <section className="mt-3">
      <h2 className="text-18">{title}</h2>
      <dl className="text-13">
        {facts.map(([term, text]) => (
          <div key={term} className="grid grid-cols-[84px_minmax(0,1fr)] gap-2 border-t border-line py-1">
            <dt className="font-semibold">{term}</dt>
            <dd>{term === 'Species' ? <i>{text}</i> : text}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
