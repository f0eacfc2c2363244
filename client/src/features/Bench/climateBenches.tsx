import { api, take } from '../../api/client';
import { AirDrawing, BarsDrawing, StraightDrawing } from './BenchDrawings';
import { type Bench, Figures, number, short } from './benchParts';
import { figure, optional, rows } from './fill';

/** Calculators about the air of the room. */
export const climateBenches: readonly Bench[] = [
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
];
