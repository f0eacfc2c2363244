import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { follows, keepsAnswer } from '../../api/topics';
import { queryClient } from '../../api/queryClient';
import { csrfToken } from '../../api/session';
import { useAsk, useWrite } from '../../api/writing';

follows('climate', ['climate']);
follows('air', ['alarms', 'climate', 'settings', 'rules']);
follows('alarms', ['alarms', 'rules']);
follows('gateways', ['alarms']);

keepsAnswer('climate', (client, _, answer) => {
  const key = ['climate'];
  client.setQueryData(key, answer);
  return [key];
});

keepsAnswer('alarms', (client, item, answer) => {
  if (item.path !== '/api/climate/journal') {
    return [];
  }
  const key = ['air'];
  client.setQueryData(key, answer);
  return [key];
});

export const useClimate = () =>
  useQuery({ queryKey: ['climate'], queryFn: () => take(api.GET('/api/climate')) });

/** New readings come every minute; nobody tells of each. */
const everyMs = 30_000;

export const useAirBoard = () =>
  useQuery({
    queryKey: ['air'],
    queryFn: () => take(api.GET('/api/climate/board')),
    refetchInterval: everyMs,
  });

export const useAlarms = () =>
  useQuery({
    queryKey: ['alarms'],
    queryFn: () => take(api.GET('/api/climate/alarms')),
    refetchInterval: everyMs,
    refetchIntervalInBackground: true,
  });

export const useSeries = (from: string, to: string) =>
  useQuery({
    queryKey: ['air', 'series', from, to],
    queryFn: () => take(api.GET('/api/climate/series', { params: { query: { from, to, points: 360 } } })),
    placeholderData: keepPreviousData,
  });

export const useWarmDays = (zone: string, baseC: number, from: string) =>
  useQuery({
    queryKey: ['air', 'warmDays', zone, baseC, from],
    queryFn: () =>
      take(api.GET('/api/climate/degree-days', { params: { query: { zone, baseC, from, days: 60 } } })),
    placeholderData: keepPreviousData,
    retry: false,
  });

export const useGateways = () =>
  useQuery({ queryKey: ['gateways'], queryFn: () => take(api.GET('/api/gateways')) });

const gatewaysChanged = (gateways: readonly Schemas['GatewayView'][]) =>
  queryClient.setQueryData(['gateways'], gateways);

export const useMakeGateway = () =>
  useAsk(
    (name: string) => take(api.POST('/api/gateways', { body: { name } })),
    (made) => gatewaysChanged(made.gateways),
  );

export const useWithdrawGateway = () =>
  useAsk(
    (id: string) => take(api.DELETE('/api/gateways/{id}', { params: { path: { id } } })),
    gatewaysChanged,
    false,
  );

interface ReadingsFile {
  file: File;
  sensor: string;
  zone: string;
}

/** Takes a table of readings in; it is not kept when the server is out of reach. */
export const useTakeFile = () =>
  useAsk(
    async ({ file, sensor, zone }: ReadingsFile) =>
      take(
        api.POST('/api/climate/readings.csv', {
          params: { query: { sensor, zone } },
          body: await file.text(),
          bodySerializer: (text: string) => text,
          headers: { 'Content-Type': 'text/csv', 'X-Lantern-Token': csrfToken() },
        }),
      ),
    () => queryClient.invalidateQueries({ queryKey: ['air'] }),
  );

export const useAddReading = () =>
  useWrite<Schemas['ReadOff'] & { id: string }, readonly Schemas['ClimateReading'][]>((body) => ({
    path: '/api/climate',
    body,
    ids: [body.id],
    topic: 'climate',
    text: `${body.temperatureC} °C read off`,
  }));

/** Writes into the journal of the room's air; from a button a refusal is set aside. */
export const useLogClimate = (from: 'form' | 'button' = 'form') =>
  useWrite<Schemas['ClimateRequest'] & { text: string }, Schemas['AirBoard']>(
    ({ text, ...body }) => ({
      path: '/api/climate/journal',
      body,
      ids: [body.id],
      topic: 'alarms',
      text,
    }),
    from === 'form',
  );
