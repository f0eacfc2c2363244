import type { Schemas } from '../../api/client';
import { DataTable } from '../../ui/DataTable';
import { dateRange, shortDate } from '../../ui/dates';
import { CoverageBar } from './HonestyDrawings';

type Report = Schemas['BacktestReport'];
type Line = Schemas['BacktestLine'];
type Words = Schemas['HonestyView']['waits'];

const manyOf = (words: Words, vigil: Schemas['VigilKind']) => words[vigil]?.many ?? '';

/** How all forecasts did, beside the rulebook alone and “same as last time”. */
export function Scores({ report, words }: { report: Report; words: Words }) {
  if (report.vigils.length === 0) {
    return (
      <p className="mt-6 border-t border-line pt-4 text-muted">
        No forecast has come to its end yet. As molts are logged, each is held against what was said before.
      </p>
    );
  }
  const shown = report.vigils.filter((line) => line.group !== 'all' || groupsOf(report, line.vigil) > 1);
  return (
    <section aria-labelledby="scores" className="mt-4 border-t border-line pt-3">
      <h2 id="scores" className="text-18">
        Forecasts of {dateRange(report.from, report.to, '', ' to ')}
      </h2>
      <NotBetter lines={shown} words={words} />
      <div className="overflow-x-auto" role="region" aria-label="Scores, wide table" tabIndex={0}>
        <DataTable
          label="Scores by what was awaited"
          className="min-w-[920px]"
          rows={shown}
          keyOf={(line) => `${line.vigil}${line.group}`}
          columns={[
            {
              id: 'what',
              title: 'Awaited',
              names: true,
              cellClass: weight,
              cell: (line) => nameOf(line, words),
            },
            { id: 'n', title: 'Scored', className: 'whitespace-nowrap', cellClass: weight, cell: scoredOf },
            {
              id: 'cover',
              title: 'Within the 8-in-10 window',
              cellClass: weight,
              cell: (line) => <CoverageBar share={line.coverage80} likely={line.coverageLikely} />,
            },
            {
              id: 'off',
              title: 'Off by, half the time less than',
              cellClass: weight,
              cell: (line) => `${line.medianAbsoluteErrorDays.toFixed(1)} days`,
            },
            {
              id: 'loss',
              title: 'Mean loss in days: as shown here',
              cellClass: weight,
              cell: (line) => line.pinballEngine.toFixed(2),
            },
            {
              id: 'rulebook',
              title: 'rulebook alone',
              cellClass: weight,
              cell: (line) => (
                <>
                  {line.pinballSpeciesPrior.toFixed(2)}{' '}
                  <span className={`font-normal ${verdictClass[line.verdict]}`}>
                    {verdictWord[line.verdict]}
                  </span>
                </>
              ),
            },
            {
              id: 'last',
              title: '“same as last time”',
              cellClass: weight,
              cell: (line) =>
                line.pinballLastInterval === null
                  ? '–'
                  : `${line.pinballLastInterval.toFixed(2)} (${line.pinballEngineThere?.toFixed(2) ?? '–'})`,
            },
          ]}
        />
      </div>
      <p className="mt-2 max-w-[80ch] text-12 text-muted">
        {report.tooLateToScore} forecasts were made too near the end of the record to be scored; in{' '}
        {report.cutShort} the animal left first or the wait ended otherwise. The loss counts being wrong and
        being vague alike (pinball loss of the 10, 50 and 90 % nights); less is better. “Same as last time”
        can only be asked of animals that had a time before; in brackets what was shown here for those. In 95
        of 100 such rooms the share within the window would lie between the two ends named; animals, not
        forecasts, are drawn for that, since the forecasts of one animal hang together.
      </p>
      <Readings report={report} />
      <Ends report={report} words={words} />
      <Seasons seasons={report.seasons} />
    </section>
  );
}

/** In how many groups a kind of wait was scored; the sum of one is not worth a line. */
const groupsOf = (report: Report, vigil: Line['vigil']) =>
  report.vigils.filter((l) => l.vigil === vigil && l.group !== 'all').length;

const weight = (line: Line) => (line.group === 'all' ? 'font-semibold' : '');

const nameOf = (line: Line, words: Words) =>
  `${manyOf(words, line.vigil)}, ${line.group === 'all' ? 'all' : line.group.replace('-', ' ')}`;

const scoredOf = (line: Line) =>
  `${line.forecasts}, ${line.animals} ${line.animals === 1 ? 'animal' : 'animals'}`;

const verdictWord: Record<Line['verdict'], string> = {
  better: 'beaten',
  noBetter: 'not beaten',
  worse: 'better there',
  tooFew: 'too few',
};

const verdictClass: Record<Line['verdict'], string> = {
  better: 'text-mosstext',
  noBetter: 'text-lamptext',
  worse: 'text-ember',
  tooFew: 'text-muted',
};

/** Where the forecasts of this room are no better than the rulebook, in plain words. */
function NotBetter({ lines, words }: { lines: readonly Line[]; words: Words }) {
  const groups = lines.filter((line) => line.group !== 'all');
  const worse = groups.filter((line) => line.verdict === 'worse');
  const even = groups.filter((line) => line.verdict === 'noBetter');
  const few = groups.filter((line) => line.verdict === 'tooFew');
  const list = (some: readonly Line[]) => some.map((line) => nameOf(line, words)).join('; ');
  return (
    <ul className="my-2 grid max-w-[80ch] gap-1 text-13">
      {worse.length > 0 && (
        <li className="border-l-2 border-ember pl-2">
          <b className="font-semibold">Worse than the rulebook alone:</b> {list(worse)}. Go by the usual waits
          of the rulebook there.
        </li>
      )}
      {even.length > 0 && (
        <li className="border-l-2 border-lampmark pl-2">
          <b className="font-semibold">No better than the rulebook alone:</b> {list(even)}. The difference may
          be chance.
        </li>
      )}
      {few.length > 0 && (
        <li className="border-l-2 border-edge pl-2">
          <b className="font-semibold">Too few animals to tell:</b> {list(few)}.
        </li>
      )}
      {worse.length + even.length + few.length === 0 && (
        <li className="border-l-2 border-moss pl-2">
          In every group the forecasts were better than the rulebook alone, by more than chance makes it.
        </li>
      )}
    </ul>
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

/** Whether the forecasts of molts get better as the room is written down. */
function Seasons({ seasons }: { seasons: readonly Schemas['SeasonLine'][] }) {
  return seasons.length < 2 ? null : (
    <>
      <h3 className="mt-4 text-15 font-semibold">Molts, quarter by quarter</h3>
      <div className="max-w-[720px]">
        <DataTable
          label="Forecasts of molts by the quarter in which they were made"
          rows={seasons}
          keyOf={(season) => season.from}
          columns={[
            { id: 'from', title: 'From', names: true, cell: (s) => shortDate(s.from, '') },
            { id: 'n', title: 'Scored', right: true, cell: (s) => s.forecasts },
            {
              id: 'cover',
              title: 'Within the 8-in-10 window',
              className: 'pl-6',
              cell: (s) => <CoverageBar share={s.coverage80} likely={null} />,
            },
            { id: 'loss', title: 'Loss against the rulebook', cell: (s) => against(s.lossOfRulebook) },
            {
              id: 'told',
              title: 'Premolt told apart',
              className: 'max-sm:hidden',
              cell: (s) => (s.areaUnderRoc === null ? '–' : `${Math.round(s.areaUnderRoc * 100)} in 100`),
            },
          ]}
        />
      </div>
    </>
  );
}

const against = (ratio: number) => {
  const percent = Math.round((ratio - 1) * 100);
  return percent === 0 ? 'the same' : `${Math.abs(percent)} % ${percent < 0 ? 'less' : 'more'}`;
};
