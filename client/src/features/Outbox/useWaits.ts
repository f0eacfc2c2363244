import { useOutbox } from '../../api/writing';

/** What was done of a thing and has not been answered, by the words it was written under; null while nothing waits. */
export function useWaits(): (thing: string) => string | null {
  const { items, silentSince, signIn } = useOutbox();
  const waiting =
    silentSince === null && !signIn
      ? []
      : items.filter((item) => item.setAside === null).map((item) => item.text);
  return (thing) =>
    waiting.findLast((text) => text.startsWith(`${thing}: `))?.slice(thing.length + 2) ?? null;
}
