import { api, take } from '../../api/client';
import { BarsDrawing } from './BenchDrawings';
import { type Bench, Figures, number, short } from './benchParts';
import { ChillDrawing } from '../Nursery/ChillDrawing';
import { figure, optional, rows, series } from './fill';

/** Calculators about larvae and pupae. */
export const larvaBenches: readonly Bench[] = [
  {
    name: 'leaf-demand',
    title: 'Leaf for larvae',
    what: 'How much leaf a brood eats from day to day: nearly all of it in the last instar.',
    before: 'Instar, days of it that are done, and how many; one line for each age.',
    fields: [
      { key: 'larvae', label: 'Instar, days done, how many', kind: 'lines', start: '1 0 30' },
      {
        key: 'instarDays',
        label: 'Days of each instar',
        kind: 'lines',
        start: '4 4 4 5 8',
        hint: 'All in one line',
        rows: 1,
      },
      number('totalLeafG', 'Leaf in one larva’s life, g', '20'),
      number('massRatio', 'Times as much in each instar', '5', 'May be empty'),
      number('days', 'Days ahead', '25'),
    ],
    run: async (f) => {
      const instarDays = series(f, 'instarDays').map((days) => days ?? 0);
      const { result, reasons } = await take(
        api.POST('/api/calc/leaf-demand', {
          body: {
            larvae: rows(f, 'larvae', 3).map(([instar = 0, dayInInstar = 0, count = 0]) => ({
              instar,
              dayInInstar,
              count,
            })),
            instarDays,
            totalLeafG: figure(f, 'totalLeafG'),
            massRatio: optional(f, 'massRatio'),
            days: figure(f, 'days'),
          },
        }),
      );
      const most = result.byDay.reduce((a, b) => (b.grams > a.grams ? b : a));
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                [`In ${result.byDay.length} days`, `${short(result.totalG, 1)} g of leaf`],
                ['The most in a day', `${short(most.grams, 1)} g, on day ${most.day}`],
                ['Eaten in the last instar', `${short(100 * result.shareOfLastInstar, 0)} in 100`],
              ]}
            />
            <BarsDrawing
              values={result.byDay.map((d) => d.grams)}
              label={`Grams of leaf by day, at most ${short(most.grams, 1)} g on day ${most.day}`}
            />
          </>
        ),
      };
    },
  },
  {
    name: 'chill',
    title: 'A winter counted',
    what: 'How much of the cold that a pupa needs has been done. A warm spell undoes nothing; a day without a reading counts for nothing.',
    before: 'The mean of each day in °C, in turn; a dash where nothing was read.',
    fields: [
      {
        key: 'days',
        label: 'Means of the days, °C',
        kind: 'lines',
        start: '12 9 7.5 6 5 8 8.2 4\n3 2 - 2 9 5 5 5',
        hint: 'Several to a line if you like',
      },
      number('belowC', 'Cold enough at or below, °C', '8'),
      number('neededDays', 'Cold days needed', '14'),
    ],
    run: async (f) => {
      const days = series(f, 'days').map((meanC) => ({ meanC }));
      const [belowC, neededDays] = [figure(f, 'belowC'), figure(f, 'neededDays')];
      const { result, reasons } = await take(
        api.POST('/api/calc/chill', { body: { days, belowC, neededDays } }),
      );
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['Done', `${result.doneDays} of ${neededDays} cold days`],
                [
                  result.completeOnDay === null ? 'Still missing' : 'Done since',
                  result.completeOnDay === null
                    ? `${result.missingDays} days`
                    : `day ${result.completeOnDay}`,
                ],
                ['Days without a reading', String(result.unreadDays)],
              ]}
            />
            <ChillDrawing meansC={days.map((d) => d.meanC)} belowC={belowC} doneOn={result.completeOnDay} />
          </>
        ),
      };
    },
  },
];
