import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take, type VersionedSettings } from '../../api/client';
import { follows, keepsAnswer } from '../../api/topics';
import { useAsk, useWrite } from '../../api/writing';

follows('settings', ['settings']);

keepsAnswer('settings', (client, _, answer) => {
  const key = ['settings'];
  client.setQueryData(key, answer);
  return [key];
});

export const useSettings = () =>
  useQuery({ queryKey: ['settings'], queryFn: () => take(api.GET('/api/settings')) });

export const useChangeSettings = () =>
  useWrite<VersionedSettings, VersionedSettings>((body) => ({
    method: 'PUT',
    path: '/api/settings',
    body,
    topic: 'settings',
    text: 'settings of the room',
  }));

/** Which entries another zone or hour would put on another night. */
export const useNightsMoved = () =>
  useAsk((body: Schemas['NightsRequest']) => take(api.POST('/api/settings/nights', { body })));
