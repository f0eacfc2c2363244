import { api, Refusal, take } from '../../api/client';
import { type Bench, Figures, short } from './benchParts';
import { CountedPicture } from '../Nursery/CountedPicture';
import { words } from './fill';
import { weighBrood } from '../Nursery/weighing';
import { countIn } from '../Nursery/pictures';
import { SurvivalDrawing } from '../Nursery/SurvivalDrawing';

const kinds: Readonly<Record<string, boolean>> = { died: true, alive: false, gone: false };

/** Calculators about broods. */
export const nurseryBenches: readonly Bench[] = [
  {
    name: 'picture-count',
    title: 'Count a brood',
    what: 'How many lie on a sheet of paper, counted in a picture. By eye half of them are missed.',
    before: 'Lay them on white paper in even light, all within the picture; the picture is not kept.',
    fields: [
      {
        key: 'picture',
        label: 'Picture of the brood',
        kind: 'picture',
        start: '',
        hint: 'JPEG, PNG or WebP',
      },
    ],
    run: async (f) => {
      const picture = f['picture'] ?? '';
      if (picture === '') {
        throw new Refusal('', { picture: ['Take or choose a picture.'] }, 400);
      }
      const { result, reasons } = await countIn(picture);
      return {
        reasons,
        view: <CountedPicture key={picture} picture={picture} found={result} />,
      };
    },
  },
  {
    name: 'weighed-count',
    title: 'Weigh a brood',
    what: 'How many there are by weight: count and weigh a part or a few, then all of them.',
    before: 'Weigh the empty tub first and take it off. Three parts or more tell how much the young differ.',
    fields: [
      { key: 'totalMg', label: 'All together, mg', kind: 'number', start: '1840' },
      {
        key: 'samples',
        label: 'Counted parts: how many, mg',
        kind: 'lines',
        start: '20 151\n20 160\n20 148',
        hint: 'One line for each part',
      },
      { key: 'scaleMg', label: 'One division of the scale, mg', kind: 'number', start: '1' },
    ],
    run: async (f) => {
      const { result, reasons } = await weighBrood(
        f['totalMg'] ?? '',
        f['samples'] ?? '',
        f['scaleMg'] ?? '',
      );
      return {
        reasons,
        view: (
          <Figures
            of={[
              ['There are', String(result.count)],
              ['Likely, 95 times in 100', `${result.low} to ${result.high}`],
              ['One weighs', `${short(result.meanMg, 3)} mg ± ${short(result.standardErrorMg, 3)}`],
            ]}
          />
        ),
      };
    },
  },
  {
    name: 'survival',
    title: 'How many live',
    what: 'The share of a brood that is still alive by age, though some were sold or are still growing.',
    before: 'One line for each day on which any died, were sold or split off, or are still alive.',
    fields: [
      {
        key: 'observations',
        label: 'Day, how many, what became of them',
        kind: 'lines',
        start: '2 6 died\n5 10 died\n9 4 died\n11 8 gone\n14 3 died\n14 29 alive',
        hint: 'died; gone for sold, given or split off; alive for those still followed',
      },
    ],
    run: async (f) => {
      const observations = words(f, 'observations', 3).map(([day, count, what], k) => {
        const [time, many] = [Number(day?.replace(',', '.')), Number(count)];
        const event = kinds[(what ?? '').toLowerCase()];
        if (!Number.isFinite(time) || !Number.isInteger(many) || event === undefined) {
          throw new Refusal(
            '',
            { observations: [`Line ${k + 1}: a day, a whole number, and died, gone or alive.`] },
            400,
          );
        }
        return { time, event, count: many, entry: null };
      });
      const { result, reasons } = await take(api.POST('/api/calc/survival', { body: { observations } }));
      const end = result.steps.at(-1);
      const share = (s: number | null | undefined) => (s == null ? '–' : short(s * 100, 0));
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['Alive at the end', `${share(end?.survival ?? 1)} in 100`],
                [
                  'Likely, 95 times in 100',
                  end === undefined ? '–' : `${share(end.low95)} to ${share(end.high95)} in 100`,
                ],
                ['Half have died by', result.median === null ? 'not yet' : `day ${short(result.median, 1)}`],
              ]}
            />
            <SurvivalDrawing
              steps={result.steps}
              median={result.median}
              until={Math.max(...observations.map((o) => o.time))}
            />
          </>
        ),
      };
    },
  },
];
