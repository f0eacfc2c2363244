import { Link } from 'react-router';
import { AlarmCards } from './AlarmCards';
import { isLoud, isOfSensor } from './airWords';
import { useAlarms } from './queries';

/** Above the round: alarms of the air that somebody must answer; sensors that are out in one line. */
export function AlarmStrip() {
  const loud = (useAlarms().data?.alarms ?? []).filter(isLoud);
  const air = loud.filter((a) => !isOfSensor(a));
  const sensors = loud.filter(isOfSensor);
  if (loud.length === 0) {
    return null;
  }
  return (
    <section aria-label="The air of the room" className="px-6 pb-3 max-sm:px-4">
      {air.length > 0 && <AlarmCards alarms={air} brief />}
      {sensors.length > 0 && (
        <p className={`text-13 text-soft ${air.length > 0 ? 'mt-2' : ''}`}>
          {sensors.length === 1 ? sensors[0]?.says : `${sensors.length} sensors are not to be believed.`}{' '}
          <Link className="linkish" to="/climate">
            See Climate
          </Link>
        </p>
      )}
    </section>
  );
}
