import { NavLink, Outlet } from 'react-router';

/** What goes to paper and comes back from it. */
export function PaperFrame() {
  const tab =
    'linkish flex min-h-9 items-center touch:min-h-11 aria-[current=page]:font-semibold aria-[current=page]:decoration-lampmark';
  return (
    <>
      <header className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2 px-6 pt-4 pb-2 print:hidden max-sm:px-4">
        <h1 className="text-30 max-sm:text-[24px]">Paper</h1>
        <nav aria-label="Paper" className="flex flex-wrap gap-x-5">
          <NavLink to="/paper/labels" className={tab}>
            Labels
          </NavLink>
          <NavLink to="/paper/round" className={tab}>
            Round sheet
          </NavLink>
          <NavLink to="/paper/typing" className={tab}>
            Type a sheet back
          </NavLink>
        </nav>
      </header>
      <Outlet />
    </>
  );
}
