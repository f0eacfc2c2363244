import { PageTitle } from '../../ui/PageTitle';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useHonesty } from './queries';
import { useLessons } from '../Rulebook/queries';
import { dateRange, fromDays, shortDate, toDays } from '../../ui/dates';
import { Waiting } from '../../ui/Waiting';
import { CoverageBar, ForecastStrip, RatioBar } from './HonestyDrawings';

type Report = Schemas['BacktestReport'];
type Line = Schemas['BacktestLine'];

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

type Words = Schemas['HonestyView']['waits'];

const manyOf = (words: Words, vigil: Schemas['VigilKind']) => words[vigil]?.many ?? '';

function Scores({ report, words }: { report: Report; words: Words }) {
  if (report.vigils.length === 0) {
    return (
      <p className="mt-6 border-t border-line pt-4 text-muted">
        No forecast has come to its end yet. As molts are logged, each is held against what was said before.
      </p>
    );
  }
  return (
    <section aria-labelledby="scores" className="mt-4 border-t border-line pt-3">
      <h2 id="scores" className="text-18">
        Forecasts of {dateRange(report.from, report.to, '', ' to ')}
      </h2>
      <div className="overflow-x-auto" role="region" aria-label="Scores, wide table" tabIndex={0}>
        <table className="w-full min-w-[860px] border-collapse text-13">
          <thead>
            <tr className="text-left text-muted">
              {[
                'Awaited',
                'Scored',
                'Within the 8-in-10 window',
                'Off by, half the time less than',
                'Mean loss in days: as shown here',
              ].map((h) => (
                <th key={h} scope="col" className="py-1.5 pr-3 font-normal">
                  {h}
                </th>
              ))}
              <th scope="col" className="py-1.5 pr-3 font-normal">
                rulebook alone
              </th>
              <th scope="col" className="py-1.5 font-normal">
                “same as last time”
              </th>
            </tr>
          </thead>
          <tbody>
            {report.vigils
              .filter((line) => line.group !== 'all' || groupsOf(report, line.vigil) > 1)
              .map((line) => (
                <ScoreRow key={`${line.vigil}${line.group}`} line={line} words={words} />
              ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 max-w-[80ch] text-12 text-muted">
        {report.tooLateToScore} forecasts were made too near the end of the record to be scored; in{' '}
        {report.cutShort} the animal left first or the wait ended otherwise. The loss counts being wrong and
        being vague alike (pinball loss of the 10, 50 and 90 % nights); less is better. “Same as last time”
        can only be asked of animals that had a time before; in brackets what was shown here for those.
      </p>
      <Readings report={report} />
      <Ends report={report} words={words} />
    </section>
  );
}

/** In how many groups a kind of wait was scored; the sum of one is not worth a line. */
const groupsOf = (report: Report, vigil: Line['vigil']) =>
  report.vigils.filter((l) => l.vigil === vigil && l.group !== 'all').length;

function ScoreRow({ line, words }: { line: Line; words: Words }) {
  const all = line.group === 'all';
  return (
    <tr className={`border-t border-line ${all ? 'font-semibold' : ''}`}>
      <th scope="row" className={`py-1.5 pr-3 text-left ${all ? 'font-semibold' : 'font-normal'}`}>
        {manyOf(words, line.vigil)}, {all ? 'all' : line.group.replace('-', ' ')}
      </th>
      <td className="py-1.5 pr-3">{line.forecasts}</td>
      <td className="py-1.5 pr-3">
        <CoverageBar share={line.coverage80} />
      </td>
      <td className="py-1.5 pr-3">{line.medianAbsoluteErrorDays.toFixed(1)} days</td>
      <td className="py-1.5 pr-3">{line.pinballEngine.toFixed(2)}</td>
      <td className="py-1.5 pr-3">{line.pinballSpeciesPrior.toFixed(2)}</td>
      <td className="py-1.5">
        {line.pinballLastInterval === null
          ? '–'
          : `${line.pinballLastInterval.toFixed(2)} (${line.pinballEngineThere?.toFixed(2) ?? '–'})`}
      </td>
    </tr>
  );
}

function Readings({ report }: { report: Report }) {
  const all = report.readings.find((r) => r.group === 'all');
  return all === undefined ? null : (
    <p className="mt-3 max-w-[80ch]">
      <b className="font-semibold">Premolt readings:</b> {all.readings} weekly readings, of which a molt
      followed {Math.round(all.followed * 100)} in 100. Their Brier score is {all.brier.toFixed(3)}, against{' '}
      {all.brierOfShare.toFixed(3)} for always saying the same.
      {all.areaUnderRoc !== null &&
        ` Of one animal before its molt and one that is not, the right one was given the higher chance ${Math.round(all.areaUnderRoc * 100)} times in 100.`}
    </p>
  );
}

function Ends({ report, words }: { report: Report; words: Words }) {
  return report.ends.map((line) => (
    <p key={`${line.vigil}${line.group}`} className="mt-2 max-w-[80ch]">
      <b className="font-semibold">{manyOf(words, line.vigil)}:</b> how it would end was said {line.chances}{' '}
      times; {Math.round(line.otherwise * 100)} in 100 ended otherwise (
      {words[line.vigil]?.otherwise ?? 'otherwise'}
      ). Brier score {line.brier.toFixed(3)}, the rulebook alone {line.brierSpeciesPrior.toFixed(3)}, always
      saying the same {line.brierOfShare.toFixed(3)}.
    </p>
  ));
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
const signColumns = ['w-[38%]', 'w-[13%]', 'w-[13%]', 'w-[11%]'];

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
        <table key={group.group} className="mb-4 w-full table-fixed border-collapse text-13">
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
