import { Link } from 'react-router';
import { useIsPhone } from '../../ui/useMedia';
import { AlarmCards } from './AlarmCards';
import { isLoud, isOfSensor } from './airWords';
import { useAlarms } from './queries';

/** Above the round: alarms of the air that somebody must answer; on a phone the dangers, the others and sensors in one line. */
export function AlarmStrip() {
  const phone = useIsPhone();
  const loud = (useAlarms().data?.alarms ?? []).filter(isLoud);
  const air = loud.filter((a) => !isOfSensor(a));
  const sensors = loud.filter(isOfSensor);
  if (loud.length === 0) {
    return null;
  }
  // Dangers come first, and none of them is left out.
  const shown = phone ? air.filter((alarm, k) => k === 0 || alarm.isDanger) : air;
  const more = air.length - shown.length;
  const rest = [
    ...(more === 0 ? [] : [`${more} more ${more === 1 ? 'alarm' : 'alarms'}.`]),
    ...(sensors.length === 0
      ? []
      : [
          sensors.length === 1 && sensors[0] !== undefined
            ? sensors[0].says
            : `${sensors.length} sensors are not to be believed.`,
        ]),
  ];
  return (
    <section aria-label="The air of the room" className="px-6 pb-3 max-sm:px-4">
      {shown.length > 0 && <AlarmCards alarms={shown} brief />}
      {rest.length > 0 && (
        <p className={`text-13 text-soft ${shown.length > 0 ? 'mt-2' : ''}`}>
          {rest.join(' ')}{' '}
          <Link className="linkish" to="/climate">
            See Climate
          </Link>
        </p>
      )}
    </section>
  );
}
