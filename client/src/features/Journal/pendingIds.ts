import { newId } from '../../ui/newId';

/**
 * Ids of acts that were sent and not answered. The same act sent again on the same night is the same entry, as its answer
 * may only have been lost; on another night, or once it was answered either way, it is a new one.
 */
export class PendingIds {
  readonly #ids = new Map<string, string>();

  /** The ids for acts that are sent now, in order. */
  take(night: string, what: string, count: number): readonly string[] {
    return Array.from({ length: count }, (_, k) => {
      const key = JSON.stringify([night, what, k]);
      const id = this.#ids.get(key) ?? newId();
      this.#ids.set(key, id);
      return id;
    });
  }

  /** They were answered: written, or refused. */
  settle(night: string, what: string, count: number): void {
    for (let k = 0; k < count; k++) {
      this.#ids.delete(JSON.stringify([night, what, k]));
    }
  }
}
