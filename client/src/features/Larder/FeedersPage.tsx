import { DataTable } from '../../ui/DataTable';
import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useFeeders } from './queries';
import { useSettings } from '../Rooms/queries';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { Waiting } from '../../ui/Waiting';
import { FeederForm } from './FeederForm';
import { traitWord } from './feederWords';

type FeederView = Schemas['FeederView'];

const fromWord: Record<Schemas['FeederFrom'], string> = {
  culture: 'own culture',
  shop: 'bought',
  either: 'own culture or bought',
  kitchen: 'kitchen or gathered',
};

/** The catalogue: sizes, masses, what each does, how to serve it. */
export function FeedersPage() {
  const unit = useSettings().data?.settings.unit ?? 'mm';
  const [form, setForm] = useState<FeederView | 'new' | null>(null);
  return (
    <>
      <header className="flex flex-wrap items-end justify-between gap-3 px-6 pt-4 pb-3 max-sm:px-4">
        <div>
          <p className="text-13 text-muted">
            <Link to="/larder" className="linkish">
              Larder
            </Link>
          </p>
          <PageTitle>Feeders</PageTitle>
          <h1 className="page-title">Feeders</h1>
        </div>
        <Button writes="owner" kind="first" onClick={() => setForm('new')}>
          Add one of your own
        </Button>
      </header>
      <Waiting query={useFeeders()} what="The catalogue">
        {(feeders) => <Catalogue feeders={feeders} unit={unit} onChange={setForm} />}
      </Waiting>
      {form !== null && <FeederForm former={form === 'new' ? null : form} onClose={() => setForm(null)} />}
    </>
  );
}

interface CatalogueProps {
  feeders: readonly FeederView[];
  unit: LengthUnit;
  onChange: (feeder: FeederView) => void;
}

function Catalogue({ feeders, unit, onChange }: CatalogueProps) {
  return (
    <div
      className="overflow-x-auto border-t border-line px-6 pb-10 max-sm:px-4"
      role="region"
      aria-label="Feeders, wide table"
      tabIndex={0}
    >
      <DataTable
        label="Feeders"
        className="min-w-[820px]"
        rows={feeders}
        keyOf={(view) => view.feeder.id}
        columns={[
          {
            id: 'feeder',
            title: 'Feeder',
            names: true,
            className: 'w-[16%]',
            cell: (view) => (
              <>
                <b className="font-semibold">{view.feeder.plural}</b>
                {view.feeder.fatty && <span className="block text-lamptext">rich in fat</span>}
                {view.own && (
                  <Button
                    writes="owner"
                    kind="link"
                    className="block font-normal"
                    onClick={() => onChange(view)}
                  >
                    change<span className="sr-only"> {view.feeder.plural}</span>
                  </Button>
                )}
              </>
            ),
          },
          {
            id: 'sizes',
            title: `Sizes, ${unit} (dry mass of one, mg)`,
            className: 'w-[24%]',
            cell: (view) => <Sizes view={view} unit={unit} />,
          },
          {
            id: 'mind',
            title: 'Mind',
            className: 'w-[14%]',
            cell: ({ feeder }) => feeder.traits.map((t) => traitWord[t]).join(', ') || '–',
          },
          { id: 'serve', title: 'Serve', cellClass: 'text-soft', cell: ({ feeder }) => feeder.serving },
          {
            id: 'keeps',
            title: 'Keeps',
            className: 'w-[9%] whitespace-nowrap',
            cell: ({ feeder }) => `${Math.round(feeder.keepsDays.value)} days`,
          },
          { id: 'from', title: 'From', className: 'w-[12%]', cell: ({ feeder }) => fromWord[feeder.from] },
        ]}
      />
      <p className="mt-3 max-w-[80ch] text-12 text-muted">
        Keeps: days after which half of what is in stock has died or spoilt. Mass by the length–mass curve for
        insects of Rogers, Hinds and Buschbom (1976).
      </p>
    </div>
  );
}

/** The sizes of a feeder, one under the other, with the dry mass of one animal. */
function Sizes({ view, unit }: { view: CatalogueProps['feeders'][number]; unit: LengthUnit }) {
  return view.feeder.classes.map((c, k) => (
    <span key={c.id} className="block">
      {c.lengthMm === null ? (
        <span className="text-muted">not sized</span>
      ) : (
        <>
          {c.name !== '' && `${c.name} `}
          {fromMm(c.lengthMm.value.low, unit)}–{fromMm(c.lengthMm.value.high, unit)}{' '}
          <span className="text-muted">({mass(view.massMg[k] ?? null)})</span>
        </>
      )}
    </span>
  ));
}

const mass = (mg: number | null) => (mg === null ? '–' : mg < 10 ? mg.toFixed(1) : Math.round(mg).toString());
