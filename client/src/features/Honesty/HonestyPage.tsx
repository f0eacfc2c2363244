import { PageTitle } from '../../ui/PageTitle';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useHonesty } from './queries';
import { useLessons } from '../Rulebook/queries';
import { fromDays, shortDate, toDays } from '../../ui/dates';
import { Waiting } from '../../ui/Waiting';
import { ForecastStrip, RatioBar } from './HonestyDrawings';
import { Looks } from './Looks';
import { Scores } from './Scores';
import { WarmthHelps } from './WarmthHelps';

/** How the forecasts did, and what the room has taught. */
export function HonestyPage() {
  return (
    <div className="px-6 pt-4 pb-10 max-sm:px-4">
      <PageTitle>Honesty</PageTitle>
      <h1 className="page-title">How honest were the forecasts?</h1>
      <p className="max-w-[72ch] text-muted">
        The whole journal is gone through night by night, knowing only what was written by then, and every
        forecast is held against what came. A window of 8 in 10 is honest when about 8 in 10 fall into it.
      </p>
      <Waiting query={useHonesty()} what="The reckoning">
        {({ report, examples, waits }) => (
          <>
            <Scores report={report} words={waits} />
            <Looks />
            <WarmthHelps waits={waits} />
            <Examples examples={examples} />
          </>
        )}
      </Waiting>
      <Waiting query={useLessons()} what="The lessons">
        {(lessons) => (
          <>
            <SignTable groups={lessons.groups} />
            <Paces paces={lessons.paces} />
          </>
        )}
      </Waiting>
    </div>
  );
}

function Examples({ examples }: { examples: Schemas['ScoredForecast'][] }) {
  if (examples.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="examples" className="mt-6 border-t border-line pt-3">
      <h2 id="examples" className="mb-1 text-18">
        The latest to come to their end
      </h2>
      <ul className="grid grid-cols-2 gap-x-8 max-lg:grid-cols-1">
        {examples.slice(0, 10).map((f) => {
          const made = toDays(f.madeOn);
          const came = fromDays(made + Math.round(f.happenedTo ?? 0));
          return (
            <li key={`${f.stockId}${f.madeOn}`} className="border-t border-line py-1.5 text-13">
              <p className="flex justify-between gap-3">
                <span>
                  <Link to={`/stock/${f.stockId}`} className="font-display font-semibold hover:underline">
                    {f.name}
                  </Link>{' '}
                  <span className="text-muted">said {shortDate(f.madeOn)}</span>
                </span>
                <span
                  className={
                    f.happenedTo !== null &&
                    f.happenedTo <= f.engine.p90 + 0.5 &&
                    f.happenedFrom >= f.engine.p10 - 0.5
                      ? 'text-mosstext'
                      : 'text-lamptext'
                  }
                >
                  came {shortDate(came)}
                </span>
              </p>
              <ForecastStrip forecast={f} />
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Widths, the same in every group, so that groups can be read down. */
const signColumns = ['sm:w-[38%]', 'sm:w-[13%]', 'sm:w-[13%]', 'sm:w-[11%]'];

function SignTable({ groups }: { groups: Schemas['GroupSigns'][] }) {
  return (
    <section aria-labelledby="signs" className="mt-6 border-t border-line pt-3">
      <h2 id="signs" className="text-18">
        How well do signs work in this room?
      </h2>
      <p className="mb-2 max-w-[76ch] text-muted">
        Counted before molts and outside premolt, in stretches as long as premolt. “× 8” means: seen eight
        times as often before a molt. The rulebook’s figure counts as four premolts of its own.
      </p>
      {groups.length === 0 && <p className="text-muted">Nothing has been counted yet.</p>}
      {groups.map((group) => (
        <table key={group.group} className="mb-4 w-full border-collapse text-13 sm:table-fixed">
          <caption className="py-1 text-left font-display text-15 font-semibold">{group.name}</caption>
          <thead>
            <tr className="text-left text-muted">
              {['Sign', 'Before a molt', 'Outside', 'Rulebook', 'Here'].map((h, k) => (
                <th key={h} scope="col" className={`py-1 pr-3 font-normal ${signColumns[k] ?? ''}`}>
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {group.signs
              .filter((s) => s.lesson.seenInPremolt + s.lesson.seenOutside > 0)
              .map((s) => (
                <tr key={s.lesson.signId} className="border-t border-line">
                  <th scope="row" className="py-1 pr-3 text-left font-normal">
                    {s.label} <span className="text-muted">{s.strength}</span>
                  </th>
                  <td className="py-1 pr-3 whitespace-nowrap">
                    {s.lesson.seenInPremolt} of {s.lesson.premolts}
                  </td>
                  <td className="py-1 pr-3 whitespace-nowrap">
                    {s.lesson.seenOutside} in {Math.round(s.lesson.outside)}
                  </td>
                  <td className="py-1 pr-3 whitespace-nowrap">× {s.lesson.rulebookRatio}</td>
                  <td className="py-1">
                    <RatioBar ratio={s.lesson.ratio} rulebook={s.lesson.rulebookRatio} />
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      ))}
    </section>
  );
}

function Paces({ paces }: { paces: Schemas['SpeciesPace'][] }) {
  return paces.length === 0 ? null : (
    <section aria-labelledby="paces" className="mt-2 border-t border-line pt-3">
      <h2 id="paces" className="mb-1 text-18">
        How this room’s waits compare with the rulebook
      </h2>
      <ul className="grid grid-cols-3 gap-x-8 text-13 max-lg:grid-cols-2 max-sm:grid-cols-1">
        {paces.map((p) => (
          <li key={`${p.species}${p.vigil}`} className="flex justify-between gap-3 border-t border-line py-1">
            <span>
              <i>{p.species}</i>
              {p.vigil !== 'molt' && <span className="text-muted"> {p.waits.toLowerCase()}</span>}
              <span className="block text-12 text-muted">
                {p.intervals} waits of {p.animals} {p.animals === 1 ? 'animal' : 'animals'}
              </span>
            </span>
            <b className="font-semibold">× {p.factor.toFixed(2)}</b>
          </li>
        ))}
      </ul>
    </section>
  );
}
