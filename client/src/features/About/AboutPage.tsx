import { DataTable } from '../../ui/DataTable';
import { PageTitle } from '../../ui/PageTitle';
import { useQuery } from '@tanstack/react-query';
import { Waiting } from '../../ui/Waiting';
import { api, take } from '../../api/client';

/** What this is, its version, and whose work it stands on. */
export function AboutPage() {
  const about = useQuery({
    queryKey: ['about'],
    queryFn: () => take(api.GET('/api/about')),
    staleTime: Number.POSITIVE_INFINITY,
  });
  return (
    <Waiting query={about} what="About">
      {({ version, notices }) => (
        <div
          tabIndex={0}
          className="mx-auto w-full max-w-[760px] outline-offset-[-2px] px-6 pt-4 pb-10 max-sm:px-4"
        >
          <PageTitle>About</PageTitle>
          <h1 className="page-title">About</h1>
          <p className="mt-1">
            Hushed Lantern {version}. It knows when to leave an animal alone, and says honestly how long a
            wait may be. It runs on your own machine, asks nothing of the network, and never diagnoses.
          </p>
          <h2 className="mt-6 text-18">Whose work it stands on</h2>
          <p className="mb-2 text-13 text-muted">
            Fonts and packages that are part of what you run, with their licences; the full texts are in
            docs/third-party-notices.md.
          </p>
          <DataTable
            label="Fonts and packages"
            rows={notices}
            keyOf={(n) => n.name}
            columns={[
              {
                id: 'name',
                title: 'Name',
                names: true,
                cellClass: 'font-semibold wrap-anywhere',
                cell: (n) => n.name,
              },
              { id: 'version', title: 'Version', cell: (n) => n.version },
              { id: 'licence', title: 'Licence', cell: (n) => n.licence },
              { id: 'for', title: 'For', className: 'max-sm:hidden', cell: (n) => n.for },
            ]}
          />
        </div>
      )}
    </Waiting>
  );
}
