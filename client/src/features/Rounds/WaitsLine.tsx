/** What was done of it here and the server has not answered yet. */
export function WaitsLine({ title, what }: { title: string; what: string }) {
  return (
    <span className="flex-1 text-13 text-muted">
      {title}: {what} <span className="text-lamptext">waiting</span>
    </span>
  );
}
