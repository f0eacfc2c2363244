import type { ReactNode } from 'react';
import { api, type Schemas, take } from '../../api/client';
import {
  AirDrawing,
  BarsDrawing,
  BoxDrawing,
  GrowthDrawing,
  MassDrawing,
  PreyDrawing,
  StraightDrawing,
  WaitDrawing,
} from './BenchDrawings';
import { figure, type Filled, optional, rows } from './fill';

export type { Filled };

/** One thing to fill in. */
export interface BenchField {
  key: string;
  label: string;
  kind: 'number' | 'lines' | 'group' | 'choice';
  start: string;
  hint?: string;
  options?: readonly (readonly [string, string])[];
  /** Only groups that take prey. */
  hunters?: boolean;
}

/** A calculator: what is filled in, and what comes out of it. */
export interface Bench {
  name: string;
  title: string;
  what: string;
  before: string;
  fields: readonly BenchField[];
  run: (filled: Filled) => Promise<{ view: ReactNode; reasons: Schemas['CalcReason'][] }>;
}

const number = (key: string, label: string, start: string, hint?: string): BenchField => ({
  key,
  label,
  kind: 'number',
  start,
  ...(hint === undefined ? {} : { hint }),
});

const group: BenchField = { key: 'group', label: 'Group', kind: 'group', start: 'tarantula' };

/** Figures with their units, the most telling first. */
function Figures({ of }: { of: readonly (readonly [string, string])[] }) {
  return (
    <dl className="mb-3 flex flex-wrap gap-x-8 gap-y-2">
      {of.map(([label, value], k) => (
        <div key={label}>
          <dt className="text-13 text-muted">{label}</dt>
          <dd className={k === 0 ? 'font-display text-22 font-semibold' : 'text-15 font-semibold'}>
            {value}
          </dd>
        </div>
      ))}
    </dl>
  );
}

const short = (value: number, digits = 2) => String(Number(value.toFixed(digits)));

export const benches: readonly Bench[] = [
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
    name: 'degree-days',
    title: 'Degree-days',
    what: 'Warmth above a threshold, summed over days: what larvae and pupae live by.',
    before: 'One line for each day: lowest and highest temperature in °C.',
    fields: [
      {
        key: 'method',
        label: 'Method',
        kind: 'choice',
        start: 'singleSine',
        options: [
          ['singleSine', 'One sine wave a day'],
          ['average', 'Mean of lowest and highest'],
        ],
      },
      number('lowerC', 'Lower threshold, °C', '10'),
      number('upperC', 'Upper threshold, °C', '30', 'May be empty'),
      {
        key: 'days',
        label: 'Lowest and highest, °C',
        kind: 'lines',
        start: '3 11\n5 16\n9 21\n12 27\n14 33\n8 19\n2 8',
        hint: 'One day to a line',
      },
    ],
    run: async (f) => {
      const days = rows(f, 'days', 2).map(([minC = 0, maxC = 0]) => ({ minC, maxC }));
      const { result, reasons } = await take(
        api.POST('/api/calc/degree-days', {
          body: {
            method: f['method'] === 'average' ? 'average' : 'singleSine',
            lowerC: figure(f, 'lowerC'),
            upperC: optional(f, 'upperC'),
            days,
          },
        }),
      );
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['Sum', `${short(result.total)} °C·d`],
                ['Days', String(days.length)],
              ]}
            />
            <BarsDrawing
              values={result.daily}
              label={`${days.length} days, the warmest ${short(Math.max(0, ...result.daily), 1)} °C·d`}
            />
          </>
        ),
      };
    },
  },
  {
    name: 'air',
    title: 'Air and dew',
    what: 'What humidity means at another temperature: dew point, how strongly the air dries, when it drips.',
    before: 'The same air, warmer or colder: on the coldest wall it may drip.',
    fields: [
      number('temperatureC', 'Temperature, °C', '26'),
      number('relativeHumidity', 'Relative humidity, per cent', '75'),
      number('toTemperatureC', 'At another temperature, °C', '20', 'May be empty'),
    ],
    run: async (f) => {
      const body = {
        temperatureC: figure(f, 'temperatureC'),
        relativeHumidity: figure(f, 'relativeHumidity'),
        toTemperatureC: optional(f, 'toTemperatureC'),
      };
      const { result, reasons } = await take(api.POST('/api/calc/air', { body }));
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                [
                  'Dew point',
                  result.dewPointC === null ? 'none: dry air' : `${short(result.dewPointC, 1)} °C`,
                ],
                ['Dries with (deficit)', `${short(result.vpdKPa)} kPa`],
                ['Water in a cubic metre', `${short(result.absoluteHumidityGm3, 1)} g`],
                ...(result.relativeHumidityAt === null
                  ? []
                  : [
                      [`At ${body.toTemperatureC ?? ''} °C`, `${short(result.relativeHumidityAt, 0)} %`] as [
                        string,
                        string,
                      ],
                    ]),
              ]}
            />
            <AirDrawing
              temperature={body.temperatureC}
              dewPoint={result.dewPointC}
              other={body.toTemperatureC}
            />
          </>
        ),
      };
    },
  },
  {
    name: 'hygrometer',
    title: 'Hygrometer check',
    what: 'A hygrometer left a day over a wet saturated salt must show that salt’s humidity: 75.3 % over table salt, 32.8 % over magnesium chloride, at 25 °C.',
    before: 'One or two salts, then any reading to correct.',
    fields: [
      {
        key: 'points',
        label: 'True and shown, per cent',
        kind: 'lines',
        start: '32.78 35.5\n75.29 71.0',
        hint: 'One salt to a line',
      },
      number('reading', 'A reading to correct, per cent', '60'),
    ],
    run: async (f) => {
      const points = rows(f, 'points', 2).map(([reference = 0, reading = 0]) => ({ reference, reading }));
      const reading = figure(f, 'reading');
      const { result, reasons } = await take(api.POST('/api/calc/hygrometer', { body: { points, reading } }));
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                [`When it shows ${short(reading, 1)} %`, `${short(result.corrected, 1)} %`],
                ['Gain', short(result.slope, 3)],
                ['Offset', `${short(result.offset)} %`],
              ]}
            />
            <StraightDrawing points={points} slope={result.slope} offset={result.offset} reading={reading} />
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
