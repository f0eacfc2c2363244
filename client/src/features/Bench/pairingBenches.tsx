import { api, Refusal, take } from '../../api/client';
import { BarsDrawing } from './BenchDrawings';
import { type Bench, type BenchField, Figures, number, short } from './benchParts';
import { type Filled, figure, optional, rows, words } from './fill';
import { CurveDrawing } from './CurveDrawing';

const wait = (key: string, label: string, start: string, hint?: string): BenchField => ({
  key,
  label,
  kind: 'lines',
  rows: 1,
  start,
  hint: hint ?? 'Days by which one in ten, half and nine in ten are over',
});

const prior = (f: Filled, key: string) => {
  const [p10, p50, p90] = rows(f, key, 3)[0] ?? [];
  if (p10 === undefined || p50 === undefined || p90 === undefined) {
    throw new Refusal('', { [key]: ['Write three numbers, one after another.'] }, 400);
  }
  return { p10, p50, p90 };
};

const inHundred = (p: number) => `${Math.round(p * 100)} in 100`;

/** Calculators about pairs and their young. */
export const pairingBenches: readonly Bench[] = [
  {
    name: 'pairing-race',
    title: 'The race of a sac',
    what: 'The chance that a sac comes before her next molt, for every day on which she may be paired.',
    before: 'How long such molts and sacs usually take, and how long ago she molted.',
    fields: [
      wait('moltPrior', 'Molt to molt, days', '180 250 400'),
      number('daysSinceMolt', 'Days since her molt', '60'),
      wait('sacPrior', 'Pairing to sac, days', '40 70 150'),
      number('takeRate', 'Share of pairings that take', '0.6', 'From 0 to 1; empty: all'),
      number('horizonDays', 'Days to look ahead', '240'),
    ],
    run: async (f) => {
      const { result, reasons } = await take(
        api.POST('/api/calc/pairing-race', {
          body: {
            moltPrior: prior(f, 'moltPrior'),
            daysSinceMolt: figure(f, 'daysSinceMolt'),
            sacPrior: prior(f, 'sacPrior'),
            horizonDays: figure(f, 'horizonDays'),
            takeRate: optional(f, 'takeRate'),
            firstDay: null,
          },
        }),
      );
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['Paired now', inHundred(result.byDay[0]?.probability ?? 0)],
                [
                  'Last sensible day',
                  result.lastSensibleDay === null ? 'none' : `day ${result.lastSensibleDay}`,
                ],
              ]}
            />
            <CurveDrawing
              points={result.byDay.map((d) => [d.day, d.probability])}
              mark={result.lastSensibleDay}
              label={`From ${inHundred(result.byDay[0]?.probability ?? 0)} now to ${inHundred(result.byDay.at(-1)?.probability ?? 0)} on the last day`}
            />
          </>
        ),
      };
    },
  },
  {
    name: 'overlap',
    title: 'Adult together?',
    what: 'The chance that two animals are adult and alive together for some nights.',
    before:
      'When each is adult and how long it lives then: days by which one in ten, half and nine in ten are.',
    fields: [
      wait('firstIn', 'The one is adult in, days', '40 60 90', 'Empty where it is adult now'),
      wait('firstLife', 'and lives then, days', '30 60 110'),
      wait('secondIn', 'The other is adult in, days', '70 110 170', 'Empty where it is adult now'),
      wait('secondLife', 'and lives then, days', '90 150 240'),
      number('nights', 'Nights together at least', '5'),
    ],
    run: async (f) => {
      const adultIn = (key: string) => ((f[key] ?? '').trim() === '' ? null : prior(f, key));
      const days = Array.from({ length: 41 }, (_, k) => k * 10);
      const { result, reasons } = await take(
        api.POST('/api/calc/overlap', {
          body: {
            first: { adultIn: adultIn('firstIn'), lifeDays: prior(f, 'firstLife') },
            second: { adultIn: adultIn('secondIn'), lifeDays: prior(f, 'secondLife') },
            nights: figure(f, 'nights'),
            days,
          },
        }),
      );
      return {
        reasons,
        view: (
          <>
            <Figures of={[['Adult together', inHundred(result.probability)]]} />
            <CurveDrawing
              points={result.byDay.map((d) => [d.day, d.probability])}
              mark={null}
              label={`Both adult and alive, day by day; together ${inHundred(result.probability)}`}
            />
          </>
        ),
      };
    },
  },
  {
    name: 'kinship',
    title: 'Kinship',
    what: 'How near of kin two animals are: the inbreeding of young that they would have.',
    before: 'One animal on each line: its name, its father, its mother; a dash where one is not known.',
    fields: [
      {
        key: 'animals',
        label: 'Animal, father, mother',
        kind: 'lines',
        start: 'Tansy Bolt Moss\nRue Bolt Moss\nPip - Tansy\nFern Flint Rue',
        hint: 'One animal to a line; names without spaces',
      },
      {
        key: 'pair',
        label: 'The pair',
        kind: 'lines',
        rows: 2,
        start: 'Pip Fern',
        hint: 'Two names to a line; several pairs if you like',
      },
    ],
    run: async (f) => {
      const known = (name: string | undefined) => (name === undefined || name === '-' ? null : name);
      const animals = words(f, 'animals', 3).map(([id = '', sire, dam]) => ({
        id,
        sire: known(sire),
        dam: known(dam),
      }));
      const { result, reasons } = await take(
        api.POST('/api/calc/kinship', { body: { animals, pairs: words(f, 'pair', 2) } }),
      );
      const values = result.kinship.map((k) => k.phi);
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ...result.kinship.map((k): [string, string] => [
                  `Young of ${k.a} and ${k.b}`,
                  `F ${short(k.phi * 100, 2)} %`,
                ]),
                ...result.inbreeding
                  .filter((i) => i.f > 0)
                  .map((i): [string, string] => [`${i.id} itself`, `F ${short(i.f * 100, 2)} %`]),
              ]}
            />
            <BarsDrawing values={values} label={`Kinship ${values.map((v) => short(v, 4)).join(', ')}`} />
          </>
        ),
      };
    },
  },
];
