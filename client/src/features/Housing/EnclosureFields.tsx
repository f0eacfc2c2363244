import { Select } from '../../ui/Select';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useShelves } from './queries';
import { Check, Field, TextField } from '../../ui/Field';
import { fromMm, type LengthUnit, toMm } from '../../ui/lengths';
import type { ActOf } from '../Journal/entryForm';

type Enclosure = Schemas['Enclosure'];

export const vents: readonly (readonly [Enclosure['vents'], string])[] = [
  ['tight', 'Tight lid'],
  ['fewHoles', 'A few holes'],
  ['crossHoles', 'Holes in two walls'],
  ['mesh', 'Mesh or net'],
];

export const dampSides: readonly (readonly [Enclosure['damp'], string])[] = [
  ['none', 'Dry floor'],
  ['left', 'Left side damp'],
  ['right', 'Right side damp'],
  ['back', 'Back damp'],
  ['front', 'Front damp'],
  ['whole', 'Whole floor damp'],
];

export const heats: readonly (readonly [Enclosure['heat'], string])[] = [
  ['room', 'Air of the room'],
  ['sideMat', 'Mat on a side, thermostat'],
  ['partOfFloor', 'Mat under part of the floor, thermostat'],
  ['above', 'From above'],
];

const measures = [
  ['widthMm', 'Width'],
  ['depthMm', 'Front to back'],
  ['heightMm', 'Height'],
  ['substrateMm', 'Floor, deep'],
] as const;

interface Props {
  act: ActOf<'housed'>;
  change: (act: ActOf<'housed'>) => void;
  unit: LengthUnit;
  error: (field: string) => string | undefined;
}

/** What an animal lives in: measures, air, damp side, warmth, mist plan. */
export function EnclosureFields({ act, change, unit, error }: Props) {
  const { enclosure } = act;
  const sizes = useShelves().data?.sizes ?? [];
  const textsOf = (e: Enclosure) =>
    Object.fromEntries(measures.map(([key]) => [key, e[key] === 0 ? '' : fromMm(e[key], unit)]));
  const [texts, setTexts] = useState<Record<string, string>>(() => textsOf(enclosure));
  const set = (part: Partial<Enclosure>) => change({ ...act, enclosure: { ...enclosure, ...part } });
  const mist = enclosure.mist;
  return (
    <>
      {sizes.length > 0 && (
        <Select
          label="Like one that is in use"
          placeholder="Choose…"
          options={sizes.map((s) => [s.name, s.name] as const)}
          value=""
          onChange={(name) => {
            const like = sizes.find((s) => s.name === name);
            if (like !== undefined) {
              change({ ...act, enclosure: like });
              setTexts(textsOf(like));
            }
          }}
        />
      )}
      <TextField
        label="What you call this size"
        hint="3 L tub, tall jar, vial"
        error={error('enclosure.name')}
        value={enclosure.name}
        onChange={(name) => set({ name })}
      />
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        {measures.map(([key, label]) => (
          <TextField
            key={key}
            label={`${label}, ${unit}`}
            inputMode="decimal"
            error={error(`enclosure.${key}`)}
            value={texts[key] ?? ''}
            onChange={(text) => {
              setTexts({ ...texts, [key]: text });
              const mm = toMm(text, unit);
              set({ [key]: Number.isFinite(mm) ? mm : 0 });
            }}
          />
        ))}
      </div>
      <div className="grid gap-3 sm:grid-cols-3">
        <Select label="Air" options={vents} value={enclosure.vents} onChange={(v) => set({ vents: v })} />
        <Select label="Damp" options={dampSides} value={enclosure.damp} onChange={(v) => set({ damp: v })} />
        <Select label="Warmth" options={heats} value={enclosure.heat} onChange={(v) => set({ heat: v })} />
      </div>
      <Check
        label="It has a mist plan of its own"
        value={mist !== null}
        onChange={(has) => set({ mist: has ? { mlPerSquirt: 1, squirts: 3, everyDays: 3 } : null })}
      />
      {mist !== null && (
        <div className="grid grid-cols-3 gap-3">
          {(
            [
              ['mlPerSquirt', 'mL a squirt'],
              ['squirts', 'Squirts'],
              ['everyDays', 'Days between'],
            ] as const
          ).map(([key, label]) => (
            <Field key={key} label={label} error={error(`enclosure.mist.${key}`)}>
              {(p) => (
                <input
                  {...p}
                  type="number"
                  step={key === 'squirts' ? 1 : 'any'}
                  className="field"
                  value={mist[key]}
                  onChange={(e) => set({ mist: { ...mist, [key]: Number(e.target.value) } })}
                />
              )}
            </Field>
          ))}
        </div>
      )}
      <Check
        label="It was moved over into this one"
        value={act.rehoused}
        onChange={(rehoused) => change({ ...act, rehoused })}
      />
    </>
  );
}
