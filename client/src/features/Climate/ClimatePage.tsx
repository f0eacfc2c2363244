import { Writes } from '../../ui/Writes';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { EmptyState } from '../../ui/EmptyState';
import { PageHeader } from '../../ui/PageHeader';
import { Waiting } from '../../ui/Waiting';
import { Said } from '../Reasons/Said';
import { AlarmCards } from './AlarmCards';
import { isLoud } from './airWords';
import { CallsPanel } from './CallsPanel';
import { Gateways } from './Gateways';
import { Programmes } from './Programmes';
import { useAirBoard } from './queries';
import { ReadingsFile } from './ReadingsFile';
import { SensorList } from './SensorList';
import { SensorPanel } from './SensorPanel';
import { Thermometer } from './Thermometer';
import { WarmDaysPanel } from './WarmDaysPanel';

/** The air of the room: what sensors say, what is wrong, and what is to be done. */
export function ClimatePage() {
  return (
    <Waiting query={useAirBoard()} what="The air of the room">
      {(board) => <Climate board={board} />}
    </Waiting>
  );
}

function headline(board: Schemas['AirBoard']): string {
  const loud = board.alarms.filter(isLoud).length;
  const alive = board.sensors.filter((s) => s.isAlive && s.zone !== null).length;
  const placed = board.sensors.filter((s) => s.zone !== null).length;
  const sensors = placed === 0 ? 'No sensor hangs yet' : `${alive} of ${placed} sensors speak`;
  return `${sensors}; ${loud === 0 ? 'nothing calls for you' : loud === 1 ? 'one thing calls for you' : `${loud} things call for you`}.`;
}

function Climate({ board }: { board: Schemas['AirBoard'] }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const sensor = board.sensors.find((s) => s.id === chosen) ?? board.sensors[0];
  return (
    <>
      <PageHeader title="Climate" about={headline(board)}>
        <a
          className="act px-3"
          download
          href={`/api/climate/readings.csv?from=${new Date(Date.parse(board.now) - 366 * 86_400_000).toISOString()}&to=${board.now.replace('+', '%2B')}&minutes=60`}
        >
          A year of readings as CSV
        </a>
      </PageHeader>
      <div className="grid gap-8 px-6 pb-10 max-sm:px-4">
        {board.alarms.length > 0 && <AlarmCards alarms={board.alarms} />}
        {sensor === undefined ? (
          <EmptyState
            title="No sensor yet"
            text="Make a gateway below: it gets an address and a token, and every sensor that it brings stands here. Until then read a thermometer off by hand."
          />
        ) : (
          <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,7fr)] gap-x-8 gap-y-6 max-lg:grid-cols-1">
            <section aria-labelledby="sensors" className="min-w-0">
              <h2 id="sensors" className="mb-1 text-22">
                Sensors
              </h2>
              <SensorList board={board} chosen={sensor.id} onChoose={setChosen} />
              <Better better={board.better} />
            </section>
            <SensorPanel key={sensor.id} sensor={sensor} now={board.now} />
          </div>
        )}
        <Tubs tubs={board.tubs} />
        <div className="grid grid-cols-2 gap-8 max-lg:grid-cols-1">
          <Programmes programmes={board.programmes} tonight={board.now.slice(0, 10)} />
          <WarmDaysPanel zones={board.zones} tonight={board.now.slice(0, 10)} />
        </div>
        <Thermometer />
        <div className="grid grid-cols-2 gap-8 max-lg:grid-cols-1">
          <Writes ownersOnly>
            <Gateways />
          </Writes>
          <div className="grid content-start gap-8">
            <CallsPanel quiet={board.quiet} />
            <Writes>
              <ReadingsFile />
            </Writes>
          </div>
        </div>
      </div>
    </>
  );
}

function Better({ better }: { better: readonly Schemas['BetterPlace'][] }) {
  return better.length === 0 ? null : (
    <section aria-labelledby="better" className="mt-5">
      <h3 id="better" className="text-18">
        Who would stand better elsewhere
      </h3>
      <ul className="mt-1 text-13">
        {better.map((move) => (
          <li key={`${move.zone} ${move.stockIds[0] ?? ''}`} className="border-t border-line py-1.5">
            {move.says}
          </li>
        ))}
      </ul>
      <p className="text-13 text-muted">Hushed and wintering ones stay where they are and are not named.</p>
    </section>
  );
}

function Tubs({ tubs }: { tubs: readonly Schemas['DryingTubView'][] }) {
  return tubs.length === 0 ? null : (
    <section aria-labelledby="tubs">
      <h2 id="tubs" className="text-22">
        How fast the tubs dry
      </h2>
      <p className="max-w-[62ch] text-13 text-muted">
        By their mist plan and the air of now; where nobody planned one, by damp floor and vents. The round
        mists by the same interval.
      </p>
      <ul className="mt-2 grid grid-cols-2 gap-x-8 max-lg:grid-cols-1">
        {tubs.map((tub) => (
          <li
            key={tub.stockId}
            className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 border-t border-line py-1.5"
          >
            <span className="min-w-0">
              <Link className="linkish" to={`/stock/${tub.stockId}`}>
                {tub.place} {tub.name}
              </Link>
              {tub.isHushed && <span className="text-13 text-muted"> hushed: not while it is so</span>}
              <small className="block text-13 text-soft">
                {tub.tub.value?.isOwnPlan === true ? '' : 'A first guess: '}
                <Said
                  answer={tub.tub}
                  of={`how ${tub.name} dries`}
                  title="How fast does it dry?"
                  animal={null}
                />
              </small>
            </span>
            <b className="font-display font-semibold whitespace-nowrap">
              {tub.tub.value?.mlADay.toFixed(1)} mL a day
            </b>
          </li>
        ))}
      </ul>
    </section>
  );
}
