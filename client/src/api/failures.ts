import { Refusal } from './client';

type Listener = (text: string) => void;

/** What went wrong where nobody shows it: said once, in the bar of the page. */
class Failures {
  #listener: Listener | null = null;

  /** Takes over saying it. */
  readonly listen = (listener: Listener): (() => void) => {
    this.#listener = listener;
    return () => {
      this.#listener = null;
    };
  };

  say(error: unknown): void {
    this.#listener?.(
      error instanceof Refusal
        ? error.all
        : 'Something went wrong here. Nothing was lost; load the page again.',
    );
  }
}

export const failures = new Failures();
