import type { AnimalView, Schemas } from '../../api/client';
import { shortDate } from '../../ui/dates';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { instarName, partWord } from '../Stock/words';

type Growth = Schemas['GrowthRecord'];

/** The skins on record with the ratio from each to the next; steps that hide a molt are pointed out, not changed. */
export function SkinTable({
  animal,
  growth,
  unit,
}: {
  animal: AnimalView;
  growth: Growth;
  unit: LengthUnit;
}) {
  const next = growth.fit?.next ?? null;
  return (
    <table className="w-full border-collapse text-13">
      <caption className="sr-only">
        Skins of {animal.details.nickname}: {partWord[growth.part]} and growth ratio
      </caption>
      <thead>
        <tr className="text-left text-muted">
          <th scope="col" className="py-1 pr-3 font-normal">
            {growth.instarsAreKnown ? 'Instar' : 'Skin'}
          </th>
          <th scope="col" className="py-1 pr-3 font-normal">
            {partWord[growth.part]}, {unit}
          </th>
          <th scope="col" className="py-1 pr-3 font-normal">
            Grew
          </th>
        </tr>
      </thead>
      <tbody>
        {growth.skins.map((skin) => (
          <tr key={skin.instar} className="border-t border-line align-top">
            <th scope="row" className="py-1 text-left font-normal text-muted">
              {instarName(animal, skin.instar)}
            </th>
            <td className="py-1 pr-3">
              <b className="font-semibold">{fromMm(skin.lengthMm, unit)}</b>{' '}
              <span className="text-muted">
                {skin.fromExuvia ? 'shed' : 'measured'} {shortDate(skin.measuredOn)}
              </span>
            </td>
            <td className="py-1 pr-3">{skin.ratioToNext !== null && <Ratio step={skin.ratioToNext} />}</td>
          </tr>
        ))}
        {next !== null && (
          <tr className="border-t border-line">
            <th scope="row" className="py-1 text-left font-normal text-muted">
              next
            </th>
            <td className="py-1" colSpan={2}>
              <b className="font-semibold">{fromMm(next.medianMm, unit)}</b>{' '}
              <span className="text-muted">
                {fromMm(next.low90Mm, unit)}–{fromMm(next.high90Mm, unit)} {unit} in 9 of 10
              </span>
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

function Ratio({ step }: { step: Schemas['GrowthStep'] }) {
  return (
    <>
      × {step.ratio.toFixed(2)}
      {step.hidesAMolt && (
        <span className="block text-lamptext">{step.likelyMolts} molts? One may not have been seen.</span>
      )}
      {step.shrank && <span className="block text-ember">Shrank: measure again, or the wrong animal.</span>}
    </>
  );
}
