import { api, take } from '../../api/client';
import {
  BarsDrawing,
  BoxDrawing,
  GrowthDrawing,
  MassDrawing,
  PreyDrawing,
  WaitDrawing,
} from './BenchDrawings';
import { type Bench, Figures, group, number, short } from './benchParts';
import { figure, optional, rows } from './fill';

/** Calculators about an animal: its growth, waits, prey, weight, housing. */
export const animalBenches: readonly Bench[] = [
  {
    name: 'growth-fit',
    title: 'Growth of skins',
    what: 'Hard parts grow by a nearly constant ratio per molt. Give the measures of at least three skins; it finds the ratio, the next size, and steps that hide a molt.',
    before: 'One line for each skin: its instar and its length in mm.',
    fields: [
      {
        key: 'points',
        label: 'Instar and length, mm',
        kind: 'lines',
        start: '3 6.0\n4 7.7\n5 9.6\n6 12.3',
        hint: 'One skin to a line',
      },
      number('priorRatio', 'Usual ratio of the species, if short of skins', ''),
    ],
    run: async (f) => {
      const points = rows(f, 'points', 2).map(([instar = 0, lengthMm = 0]) => ({ instar, lengthMm }));
      const { result, reasons } = await take(
        api.POST('/api/calc/growth-fit', { body: { points, priorRatio: optional(f, 'priorRatio') } }),
      );
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['Ratio per molt', `× ${short(result.ratio, 3)}`],
                [`Next, instar ${result.next.instar}`, `${short(result.next.medianMm)} mm`],
                ['9 in 10', `${short(result.next.low90Mm)}–${short(result.next.high90Mm)} mm`],
              ]}
            />
            <GrowthDrawing points={points} fit={result} />
          </>
        ),
      };
    },
  },
  {
    name: 'vigil',
    title: 'A wait',
    what: 'How long is still to go, given how long such waits usually last and how long this one has lasted already.',
    before: 'Days by which one in ten, half and nine in ten of such waits are over.',
    fields: [
      number('p10', 'One in ten is over by, days', '60'),
      number('p50', 'Half are over by, days', '75'),
      number('p90', 'Nine in ten are over by, days', '95'),
      number('elapsedDays', 'Waited already, days', '70'),
      {
        key: 'history',
        label: 'Its own earlier waits, days',
        kind: 'lines',
        start: '',
        hint: 'One to a line; may be empty',
      },
    ],
    run: async (f) => {
      const history = rows(f, 'history', 1).map(([days = 0]) => days);
      const { result, reasons } = await take(
        api.POST('/api/calc/vigil', {
          body: {
            prior: { p10: figure(f, 'p10'), p50: figure(f, 'p50'), p90: figure(f, 'p90') },
            elapsedDays: figure(f, 'elapsedDays'),
            withinDays: [7, 30],
            history: history.length === 0 ? null : history,
            learning: null,
          },
        }),
      );
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['Half over within', `${short(result.p50, 1)} days`],
                ['8 in 10 between', `${short(result.p10, 1)} and ${short(result.p90, 1)} days`],
                ...result.probabilityWithin.map((h): [string, string] => [
                  `Within ${h.days} days`,
                  `${Math.round(h.probability * 100)} in 100`,
                ]),
                ...(result.longerThanNormal ? [['Longer than normal', 'yes'] as [string, string]] : []),
              ]}
            />
            <WaitDrawing result={result} waited={figure(f, 'elapsedDays')} />
          </>
        ),
      };
    },
  },
  {
    name: 'prey',
    title: 'Prey that fits',
    what: 'Largest prey for a body, and what every feeder in the rulebook is to it: whole, cut, too large, too small.',
    before: 'Body without legs. Legs do not count.',
    fields: [{ ...group, hunters: true }, number('bodyLengthMm', 'Body length, mm', '24')],
    run: async (f) => {
      const bodyLengthMm = figure(f, 'bodyLengthMm');
      const { result, reasons } = await take(
        api.POST('/api/calc/prey', {
          body: { group: f['group'] ?? '', bodyLengthMm, stage: null, legSpanMm: null, abdomenRatio: null },
        }),
      );
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['Prey up to', `${short(result.maxPreyMm, 1)} mm`],
                ['Never above', `${short(result.neverAboveMm, 1)} mm`],
              ]}
            />
            <PreyDrawing result={result} body={bodyLengthMm} />
          </>
        ),
      };
    },
  },
  {
    name: 'diversity',
    title: 'How mixed are the meals?',
    what: 'How evenly meals are spread over feeders, or anything over kinds: Shannon’s index and Pielou’s evenness.',
    before: 'One count on each line.',
    fields: [{ key: 'counts', label: 'Counts', kind: 'lines', start: '5\n3\n2' }],
    run: async (f) => {
      const counts = rows(f, 'counts', 1).map(([count]) => count ?? 0);
      const { result, reasons } = await take(api.POST('/api/calc/diversity', { body: { counts } }));
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['Evenness', result.evenness === null ? 'one kind only' : short(result.evenness)],
                ['Shannon’s H', short(result.shannon, 3)],
              ]}
            />
            <BarsDrawing values={counts} label={`Counts ${counts.join(', ')}`} />
          </>
        ),
      };
    },
  },
  {
    name: 'mass',
    title: 'Weight by length',
    what: 'What an animal of a length weighs, roughly; insects by a published line for dry mass.',
    before: 'Doubling the length makes an insect about six times as heavy.',
    fields: [
      { ...group, start: 'feeder', options: [['feeder', 'Feeder insects']] },
      number('lengthMm', 'Body length, mm', '20'),
    ],
    run: async (f) => {
      const lengthMm = figure(f, 'lengthMm');
      const { result, reasons } = await take(
        api.POST('/api/calc/mass', { body: { group: f['group'] ?? '', lengthMm } }),
      );
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                [
                  'Weighs about',
                  result.massMg >= 1000
                    ? `${short(result.massMg / 1000)} g`
                    : `${short(result.massMg, 1)} mg`,
                ],
              ]}
            />
            <MassDrawing massMg={result.massMg} />
          </>
        ),
      };
    },
  },
  {
    name: 'container',
    title: 'Enclosure',
    what: 'The least enclosure for an animal: free height, floor, substrate. A mantis falls to its death in a low cup, a tarantula in a tall one.',
    before: 'Give the body length, or the leg span of a spider.',
    fields: [
      group,
      {
        key: 'habit',
        label: 'Lives',
        kind: 'choice',
        start: '',
        options: [
          ['', 'as its group usually does'],
          ['terrestrial', 'on the ground'],
          ['arboreal', 'in trees'],
          ['fossorial', 'in burrows'],
        ],
      },
      number('bodyLengthMm', 'Body length, mm', '45', 'Of a hermit crab its height with the shell'),
      number('legSpanMm', 'Leg span, mm', '', 'May be empty'),
    ],
    run: async (f) => {
      const habit = f['habit'];
      const { result, reasons } = await take(
        api.POST('/api/calc/container', {
          body: {
            group: f['group'] ?? '',
            bodyLengthMm: optional(f, 'bodyLengthMm'),
            legSpanMm: optional(f, 'legSpanMm'),
            habit: habit === 'terrestrial' || habit === 'arboreal' || habit === 'fossorial' ? habit : null,
          },
        }),
      );
      const deep = result.minDepthMm === null ? '' : ` × ${short(result.minDepthMm, 0)}`;
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['Floor at least', `${short(result.minWidthMm, 0)}${deep} mm`],
                [
                  'Free height',
                  `${short(result.minHeightMm, 0)}${result.maxHeightMm === null ? ' mm or more' : `–${short(result.maxHeightMm, 0)} mm`}`,
                ],
                ...(result.substrateDepthMm === null
                  ? []
                  : [['Substrate', `${short(result.substrateDepthMm, 0)} mm`] as [string, string]]),
              ]}
            />
            <BoxDrawing
              result={result}
              animalMm={optional(f, 'legSpanMm') ?? optional(f, 'bodyLengthMm') ?? 0}
            />
          </>
        ),
      };
    },
  },
];
