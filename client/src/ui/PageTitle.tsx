/** Names the page in the tab of the browser. */
export function PageTitle({ children }: { children: string }) {
  return <title>{`${children} · Hushed Lantern`}</title>;
}
