import { api, take } from '../../api/client';
import { type Bench, Figures, number, short } from './benchParts';
import { ChainDrawing } from './ChainDrawing';
import { EstimateDrawing, HarvestDrawing } from './ColonyDrawings';
import { figure, optional, rows } from './fill';

/** Calculators about colonies. */
export const colonyBenches: readonly Bench[] = [
  {
    name: 'chain',
    title: 'Stages in series',
    what: 'When each of several stages ends, one after the other: eggs, larvae, pupae, first workers.',
    before: 'Days within which 10, 50 and 90 in 100 end; one line for each stage.',
    fields: [
      {
        key: 'stages',
        label: 'Days: 10, 50, 90 in 100',
        kind: 'lines',
        start: '7 10 14\n12 16 22\n12 17 25\n12 16 22',
      },
      number('elapsedDays', 'The first has lasted already, days', '', 'May be empty'),
    ],
    run: async (f) => {
      const stages = rows(f, 'stages', 3).map(([p10 = 0, p50 = 0, p90 = 0]) => ({ p10, p50, p90 }));
      const { result, reasons } = await take(
        api.POST('/api/calc/chain', { body: { stages, elapsedDays: optional(f, 'elapsedDays') } }),
      );
      const end = result.cumulative.at(-1);
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['The last ends in', end === undefined ? '–' : `${short(end.p50, 0)} days`],
                [
                  '8 times in 10',
                  end === undefined ? '–' : `${short(end.p10, 0)} to ${short(end.p90, 0)} days`,
                ],
              ]}
            />
            <ChainDrawing ends={result.cumulative} />
          </>
        ),
      };
    },
  },
  {
    name: 'population',
    title: 'Mark and catch again',
    what: 'How many live in a tub that nobody can count: mark some, put them back, catch again within days.',
    before: 'A dot of paint is shed with the skin: do not wait for weeks.',
    fields: [
      number('marked', 'Marked and put back', '60'),
      number('caught', 'Caught the second time', '50'),
      number('recaptured', 'Marked ones among them', '12'),
    ],
    run: async (f) => {
      const body = {
        marked: figure(f, 'marked'),
        caught: figure(f, 'caught'),
        recaptured: figure(f, 'recaptured'),
      };
      const { result, reasons } = await take(api.POST('/api/calc/population', { body }));
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['There are about', short(result.chapman, 0)],
                ['Likely, 95 times in 100', `${short(result.low95, 0)} to ${short(result.high95, 0)}`],
                [
                  'By simple proportion',
                  result.lincolnPetersen === null
                    ? 'not to be told: none was caught again'
                    : short(result.lincolnPetersen, 0),
                ],
              ]}
            />
            <EstimateDrawing
              known={body.marked + body.caught - body.recaptured}
              low={result.low95}
              middle={result.chapman}
              high={result.high95}
            />
          </>
        ),
      };
    },
  },
  {
    name: 'harvest',
    title: 'How many to take',
    what: 'How many animals a tub can give each day without dwindling.',
    before: 'The growth of a tub with room to spare, and what it holds in the long run.',
    fields: [
      number('growthRate', 'Growth per day', '0.03', '0.03 is 3 in 100 more each day'),
      number('capacity', 'Animals it holds', '500'),
    ],
    run: async (f) => {
      const body = { growthRate: figure(f, 'growthRate'), capacity: figure(f, 'capacity') };
      const { result, reasons } = await take(api.POST('/api/calc/harvest', { body }));
      return {
        reasons,
        view: (
          <>
            <Figures
              of={[
                ['Take at most', `${short(7 * result.advised, 1)} a week`],
                ['The most that can last', `${short(7 * result.maximumSustainable, 1)} a week`],
              ]}
            />
            <HarvestDrawing {...body} advised={result.advised} />
          </>
        ),
      };
    },
  },
  {
    name: 'seawater',
    title: 'Salt water',
    what: 'How much marine salt goes into fresh water, and what the hydrometer must show then.',
    before: 'For pools of land hermit crabs: salinity 35 is the open sea.',
    fields: [
      number('salinity', 'Salinity wanted, g in a kg', '35'),
      number('temperatureC', 'Temperature of the water, °C', '25'),
      number('litres', 'Fresh water, litres', '10', 'May be empty'),
      number('hydrometerC', 'Hydrometer made for, °C', '25', 'May be empty; it stands on it'),
    ],
    run: async (f) => {
      const { result, reasons } = await take(
        api.POST('/api/calc/seawater', {
          body: {
            salinity: figure(f, 'salinity'),
            temperatureC: figure(f, 'temperatureC'),
            litres: optional(f, 'litres'),
            hydrometerC: optional(f, 'hydrometerC'),
          },
        }),
      );
      return {
        reasons,
        view: (
          <Figures
            of={[
              ...(result.saltGrams === null
                ? []
                : [['Stir in', `${short(result.saltGrams, 0)} g of dry salt`] as const]),
              ...(result.hydrometerReading === null
                ? []
                : [['The hydrometer shows', short(result.hydrometerReading, 4)] as const]),
              ['Specific gravity at 25 °C', short(result.specificGravity25, 4)],
              ['Density', `${short(result.densityKgM3, 1)} kg/m³`],
            ]}
          />
        ),
      };
    },
  },
  {
    name: 'substrate',
    title: 'Substrate',
    what: 'How many litres of substrate fill a floor.',
    before: 'Inner lengths in mm. A round tub has a diameter, a box a length and a width.',
    fields: [
      {
        key: 'shape',
        label: 'Form',
        kind: 'choice',
        start: 'box',
        options: [
          ['box', 'Box'],
          ['cylinder', 'Round'],
        ],
      },
      number('lengthMm', 'Length of a box, mm', '600', 'Empty for a round one'),
      number('widthMm', 'Width of a box, mm', '300', 'Empty for a round one'),
      number('diameterMm', 'Diameter of a round one, mm', '', 'Empty for a box'),
      number('depthMm', 'Depth of the substrate, mm', '120'),
    ],
    run: async (f) => {
      const { result, reasons } = await take(
        api.POST('/api/calc/substrate', {
          body: {
            shape: f['shape'] === 'cylinder' ? 'cylinder' : 'box',
            lengthMm: optional(f, 'lengthMm'),
            widthMm: optional(f, 'widthMm'),
            diameterMm: optional(f, 'diameterMm'),
            depthMm: figure(f, 'depthMm'),
          },
        }),
      );
      return {
        reasons,
        view: (
          <Figures
            of={[
              ['It takes', `${short(result.litres, 1)} litres`],
              ['In US fluid ounces', short(result.usFluidOunces, 0)],
            ]}
          />
        ),
      };
    },
  },
];
