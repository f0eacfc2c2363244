import { Button } from '../../ui/Button';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { type AnimalView, api, Refusal, refusalOf, type Schemas, take } from '../../api/client';
import { useLog } from '../Journal/queries';
import { Check, Choice, FormError, TextField } from '../../ui/Field';
import { fromMm, type LengthUnit, toMm } from '../../ui/lengths';
import { bodyParts } from './growthForms';
import { newId } from '../../ui/newId';

type Point = Schemas['PicturePoint'];

interface PictureMeasureProps {
  animal: AnimalView;
  source: string;
  picture: Schemas['PictureEvent'];
  parts: readonly Schemas['BodyPart'][];
  unit: LengthUnit;
  onClose: () => void;
}

const steps = [
  'Set the first end of the scale.',
  'Set the other end of the scale.',
  'Set one end of what you measure.',
  'Set its other end.',
  'Move a mark by dragging it, or with the arrow keys.',
];

/** Measures a length in a picture: two points on a scale of known length, two on the animal. */
export function PictureMeasure({ animal, source, picture, parts, unit, onClose }: PictureMeasureProps) {
  const [points, setPoints] = useState<readonly Point[]>([]);
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  const [held, setHeld] = useState<number | null>(null);
  const [scale, setScale] = useState('');
  const [part, setPart] = useState(parts.at(-1) ?? 'body');
  const [fromExuvia, setFromExuvia] = useState(picture.ofExuvia);
  const [result, setResult] = useState<Schemas['PhotoMeasure'] | null>(null);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const log = useLog(true);

  const at = (event: PointerEvent<SVGSVGElement>): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    const ratio = (size?.width ?? 1) / box.width;
    return { x: (event.clientX - box.left) * ratio, y: (event.clientY - box.top) * ratio };
  };
  const move = (k: number, to: Point) => {
    setResult(null);
    setPoints((p) => p.map((old, i) => (i === k ? to : old)));
  };
  const press = (event: PointerEvent<SVGSVGElement>) => {
    if (points.length < 4 && held === null) {
      setResult(null);
      setPoints([...points, at(event)]);
    }
  };
  const nudge = (k: number) => (event: KeyboardEvent) => {
    const by: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, -1],
      ArrowDown: [0, 1],
    };
    const step = by[event.key];
    const old = points[k];
    if (step !== undefined && old !== undefined) {
      event.preventDefault();
      move(k, { x: old.x + step[0], y: old.y + step[1] });
    }
  };
  const measure = async () => {
    const [scaleFrom, scaleTo, from, to] = points;
    const scaleMm = toMm(scale, unit);
    if (scaleFrom === undefined || scaleTo === undefined || from === undefined || to === undefined) {
      setRefusal(new Refusal('Set all four marks first.', {}, 400));
      return;
    }
    if (!Number.isFinite(scaleMm)) {
      setRefusal(new Refusal('', { scaleMm: [`Write the length of the scale in ${unit}.`] }, 400));
      return;
    }
    try {
      setRefusal(null);
      const answer = await take(
        api.POST('/api/calc/photo-measure', { body: { scaleFrom, scaleTo, scaleMm, from, to } }),
      );
      setResult(answer.result);
    } catch (caught) {
      setRefusal(refusalOf(caught));
    }
  };
  const keep = () => {
    if (result !== null) {
      log.mutate(
        {
          stockId: animal.stockId,
          id: newId(),
          act: {
            kind: 'measured',
            part,
            lengthMm: Math.round(result.lengthMm * 100) / 100,
            fromExuvia,
            errorMm: Math.round(result.errorMm * 1000) / 1000,
            pictureId: picture.pictureId,
          },
          text: `${animal.details.nickname}: measured in a picture`,
        },
        { onSuccess: onClose },
      );
    }
  };
  const wrong = refusal ?? (log.error instanceof Refusal ? log.error : null);
  const marker = (size?.width ?? 1000) / 70;
  return (
    <section
      aria-label="Measure in the picture"
      className="mt-4 grid grid-cols-[minmax(0,1fr)_300px] gap-5 border-t border-line pt-4 max-lg:grid-cols-1"
    >
      <div>
        <p className="mb-2 font-display text-15 font-semibold" role="status">
          {steps[points.length]}
        </p>
        <div className="relative inline-block max-w-full">
          <img
            src={source}
            alt={picture.caption || 'Picture to measure in'}
            className="block max-h-[64vh] max-w-full"
            onLoad={(e) =>
              setSize({ width: e.currentTarget.naturalWidth, height: e.currentTarget.naturalHeight })
            }
          />
          {size !== null && (
            <svg
              data-testid="marks"
              viewBox={`0 0 ${size.width} ${size.height}`}
              className="absolute inset-0 size-full cursor-crosshair touch-none"
              onPointerDown={press}
              onPointerMove={(e) => held !== null && move(held, at(e))}
              onPointerUp={() => setHeld(null)}
            >
              {[0, 2].map((k) => {
                const [a, b] = [points[k], points[k + 1]];
                return a === undefined || b === undefined ? null : (
                  <g key={k} strokeWidth={marker / 4}>
                    <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke="#15120f" strokeWidth={marker / 2} />
                    <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke={k === 0 ? '#c9c4f0' : '#e8a33d'} />
                  </g>
                );
              })}
              {points.map((p, k) => (
                <circle
                  key={k}
                  cx={p.x}
                  cy={p.y}
                  r={marker / 1.6}
                  fill="transparent"
                  stroke={k < 2 ? '#57527f' : '#b06e0c'}
                  strokeWidth={marker / 4}
                  tabIndex={0}
                  role="slider"
                  aria-label={`${k < 2 ? 'Scale' : 'Length'}, end ${(k % 2) + 1}`}
                  aria-valuenow={Math.round(p.x)}
                  aria-valuetext={`${Math.round(p.x)} across, ${Math.round(p.y)} down`}
                  onKeyDown={nudge(k)}
                  onPointerDown={(e) => {
                    e.stopPropagation();
                    setHeld(k);
                  }}
                />
              ))}
            </svg>
          )}
        </div>
      </div>
      <div className="grid content-start gap-4">
        <TextField
          label={`Length of the scale in ${unit}`}
          hint="The stretch of ruler between your two marks"
          inputMode="decimal"
          value={scale}
          error={wrong?.for('scaleMm')}
          onChange={(value) => {
            setScale(value);
            setResult(null);
          }}
        />
        <Choice
          label="What is measured"
          options={bodyParts.filter(([p]) => parts.includes(p))}
          value={part}
          onChange={setPart}
        />
        {animal.lastMolt !== null && (
          <Check label="It is the shed skin" value={fromExuvia} onChange={setFromExuvia} />
        )}
        <div className="flex flex-wrap gap-2">
          <button
            type="button"
            className={`act px-4 ${result === null ? 'act-first' : ''}`}
            onClick={() => void measure()}
          >
            Measure
          </button>
          <Button onClick={() => setPoints([])}>Set the marks anew</Button>
          <Button kind="plain" onClick={onClose}>
            Close
          </Button>
        </div>
        {result !== null && (
          <div role="status">
            <p className="font-display text-22 font-semibold">
              {fromMm(result.lengthMm, unit)} ±{' '}
              {(result.errorMm / (unit === 'mm' ? 1 : unit === 'cm' ? 10 : 25.4)).toFixed(2)} {unit}
            </p>
            <p className="text-13 text-muted">
              From setting the marks by hand; a tilted or nearer scale comes on top of it.
            </p>
            <Button kind="first" className="mt-2" disabled={log.isPending} onClick={keep}>
              Keep it on the record
            </Button>
          </div>
        )}
        <FormError>{wrong?.all}</FormError>
      </div>
    </section>
  );
}
