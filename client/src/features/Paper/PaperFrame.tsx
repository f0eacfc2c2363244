import { NavTabs } from '../../ui/NavTabs';
import { PageHeader } from '../../ui/PageHeader';
import { Outlet } from 'react-router';

/** What goes to paper and comes back from it. */
export function PaperFrame() {
  return (
    <>
      <PageHeader title="Paper">
        <NavTabs
          label="Paper"
          tabs={[
            ['/paper/labels', 'Labels'],
            ['/paper/round', 'Round sheet'],
            ['/paper/typing', 'Type a sheet back'],
          ]}
        />
      </PageHeader>
      <Outlet />
    </>
  );
}
