import type { AnimalView, RoundView, Schemas } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import { useWrite } from '../../api/writing';

/**
 * Number of the newest entry that was on screen of some animals, so that the server can say when somebody else has written
 * the same since; none where none of them is on screen.
 */
function seenOf(stockIds: readonly string[]): number | null {
  const round = queryClient.getQueryData<RoundView>(['round'])?.seen ?? -1;
  const seen = stockIds.map((id) =>
    Math.max(round, queryClient.getQueryData<AnimalView>(['animal', id])?.seen ?? -1),
  );
  const least = Math.min(...seen);
  return least < 0 || !Number.isFinite(least) ? null : least;
}

/** What to log: the same id is written once, however often it is sent. */
export interface LogInput extends Pick<Schemas['LogRequest'], 'id' | 'act'> {
  stockId: string;
  /** What it is, in a few words, for as long as the server has not put it into its own. */
  text: string;
  foundOn?: string | null;
  lastSeenBefore?: string | null;
  corrects?: string | null;
}

/**
 * Logs an entry; none is answered while it waits for the server.
 * @param shows Whether a refusal is shown at its fields; else it is set aside.
 */
export const useLog = (shows: boolean) =>
  useWrite<LogInput, AnimalView>(
    ({ stockId, text, ...body }) => ({
      path: `/api/stock/${stockId}/journal`,
      body,
      ids: [body.id],
      about: [stockId],
      topic: 'journal',
      text,
      seen: seenOf([stockId]),
    }),
    shows,
  );

/** Takes an entry back. */
export const useUndo = () =>
  useWrite<Schemas['UndoRequest'] & { stockId: string; text: string }, AnimalView>(
    ({ stockId, text, ...body }) => ({
      path: `/api/stock/${stockId}/journal/undo`,
      body,
      ids: [body.id],
      about: [stockId],
      topic: 'journal',
      text,
    }),
    false,
  );

/** Writes entries of many animals, all or none. */
export const useLogBatch = () =>
  useWrite<Schemas['BatchRequest'] & { text: string }, Schemas['BatchWritten']>(({ text, ...body }) => {
    const about = [...new Set(body.entries.map((e) => e.stockId))];
    return {
      path: '/api/journal/batch',
      body,
      ids: body.entries.map((e) => e.id),
      about,
      topic: 'journal',
      text,
      seen: seenOf(about),
    };
  }, false);
