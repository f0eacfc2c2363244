/** The mark under which this page may add styles of its own. */
export const styleNonce = (): string =>
  document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.content ?? '';
