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
          <table className="w-full text-13">
            <thead>
              <tr className="text-left text-muted">
                <th scope="col" className="py-1 font-normal">
                  Name
                </th>
                <th scope="col" className="font-normal">
                  Version
                </th>
                <th scope="col" className="font-normal">
                  Licence
                </th>
                <th scope="col" className="font-normal max-sm:hidden">
                  For
                </th>
              </tr>
            </thead>
            <tbody>
              {notices.map((n) => (
                <tr key={n.name} className="border-t border-line">
                  <td className="py-1 font-semibold">{n.name}</td>
                  <td>{n.version}</td>
                  <td>{n.licence}</td>
                  <td className="max-sm:hidden">{n.for}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Waiting>
  );
}
