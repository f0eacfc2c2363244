import { useSyncExternalStore } from 'react';
import { titleMark } from './titleMark';

/** Names the page in the tab of the browser, after the number of alarms that hold. */
export function PageTitle({ children }: { children: string }) {
  const alarms = useSyncExternalStore(titleMark.subscribe, titleMark.read);
  return <title>{`${alarms > 0 ? `(${alarms}!) ` : ''}${children} · Hushed Lantern`}</title>;
}
