import { useEffect, useRef } from 'react';
import { titleMark } from '../../ui/titleMark';
import { isLoud } from './airWords';
import { calls } from './calls';
import { useAlarms } from './queries';

/** Calls alarms out of the open app: before the title of the page, and as a notification where the keeper wants one. */
export function AlarmCall() {
  const view = useAlarms().data;
  const called = useRef(new Set<string>());
  useEffect(() => {
    const loud = (view?.alarms ?? []).filter(isLoud);
    titleMark.set(loud.length);
    const keys = new Set(loud.map((a) => `${a.key} ${a.since} ${a.state}`));
    for (const alarm of loud) {
      const key = `${alarm.key} ${alarm.since} ${alarm.state}`;
      // In quiet hours only a danger is called out; what was called once is not called again while it stands.
      if (!called.current.has(key) && (alarm.isDanger || view?.isQuiet === false)) {
        calls.out(alarm);
        called.current.add(key);
      }
    }
    called.current = new Set([...called.current].filter((key) => keys.has(key)));
  }, [view]);
  return null;
}
