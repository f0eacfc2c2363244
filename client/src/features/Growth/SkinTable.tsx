import { DataTable } from '../../ui/DataTable';
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
    <DataTable
      label={`Skins of ${animal.details.nickname}: ${partWord[growth.part]} and growth ratio`}
      rows={growth.skins}
      keyOf={(skin) => String(skin.instar)}
      columns={[
        {
          id: 'instar',
          title: growth.instarsAreKnown ? 'Instar' : 'Skin',
          names: true,
          cellClass: 'text-muted',
          cell: (skin) => instarName(animal, skin.instar),
        },
        {
          id: 'length',
          title: `${partWord[growth.part]}, ${unit}`,
          cell: (skin) => (
            <>
              <b className="font-semibold">{fromMm(skin.lengthMm, unit)}</b>{' '}
              <span className="text-muted">
                {skin.fromExuvia ? 'shed' : 'measured'} {shortDate(skin.measuredOn)}
              </span>
            </>
          ),
        },
        {
          id: 'grew',
          title: 'Grew',
          cell: (skin) => skin.ratioToNext !== null && <Ratio step={skin.ratioToNext} />,
        },
      ]}
      foot={
        next !== null && (
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
        )
      }
    />
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
