import type { Schemas } from '../../api/client';
import { agoWord, offWord, tenth, zoneWord } from './airWords';
import { Sparkline } from './Sparkline';

interface SensorListProps {
  board: Schemas['AirBoard'];
  chosen: string | null;
  onChoose: (id: string) => void;
}

/** Every sensor with what it says now; the one that is chosen is drawn below. */
export function SensorList({ board, chosen, onChoose }: SensorListProps) {
  return (
    <ul aria-label="Sensors" className="border-b border-line">
      {board.sensors.map((sensor) => (
        <li key={sensor.id} className="border-t border-line">
          <button
            type="button"
            aria-pressed={sensor.id === chosen}
            onClick={() => onChoose(sensor.id)}
            className={`grid w-full grid-cols-[minmax(0,1fr)_84px_64px_96px] items-center gap-x-3 px-2 py-2 text-left hover:bg-raised max-sm:grid-cols-[minmax(0,1fr)_76px_52px] ${sensor.id === chosen ? 'bg-raised shadow-[inset_3px_0_0_var(--lampmark)]' : ''}`}
          >
            <span className="min-w-0">
              <b className="font-display text-15 font-semibold">{sensor.name}</b>
              <small className="block text-13 text-muted">
                {zoneWord(sensor.zone)}, {stateOf(sensor, board.now)}
              </small>
            </span>
            <span className="text-right font-display text-18 font-semibold">
              {sensor.celsius === null ? '–' : `${tenth(sensor.celsius)} °C`}
            </span>
            <span className="text-right">
              {sensor.humidity === null ? '–' : `${Math.round(sensor.humidity)} %`}
            </span>
            <span className="max-sm:hidden">
              <Sparkline hours={sensor.hours} />
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

function stateOf(sensor: Schemas['SensorView'], now: string): string {
  if (sensor.salt !== null) {
    return `lies over ${sensor.salt.over}`;
  }
  if (!sensor.isAlive) {
    return sensor.celsius === null ? `silent: ${agoWord(sensor.heardAt, now)}` : 'stuck, left out';
  }
  return offWord(sensor) ?? agoWord(sensor.heardAt, now);
}
