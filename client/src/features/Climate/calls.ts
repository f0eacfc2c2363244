import type { Schemas } from '../../api/client';

const kept = 'lantern.alarmCalls';

const canCall = (): boolean => typeof Notification !== 'undefined';

/** Whether this device calls alarms out, and how; the browser asks the keeper first. */
export const calls = {
  isOn: (): boolean =>
    canCall() && Notification.permission === 'granted' && localStorage.getItem(kept) === 'on',
  canBe: canCall,
  async turn(on: boolean): Promise<boolean> {
    const allowed = on && canCall() && (await Notification.requestPermission()) === 'granted';
    localStorage.setItem(kept, allowed ? 'on' : 'off');
    return allowed;
  },
  out(alarm: Schemas['ClimateAlarm']): void {
    if (calls.isOn()) {
      new Notification(alarm.says, { body: alarm.now[0] ?? '', tag: alarm.key });
    }
  },
};
