import type { ReactNode } from 'react';
import { PageTitle } from './PageTitle';

interface PageHeaderProps {
  title: string;
  /** What stands beside the title in the tab of the browser, where that is not the title itself. */
  tab?: string;
  /** The title as it is shown, where it is more than its text. */
  shown?: ReactNode;
  /** One sentence under it. */
  about?: ReactNode;
  /** What can be done here, at the far end. */
  children?: ReactNode;
}

/** The head of a page: its title, one sentence, and what can be done. */
export function PageHeader({ title, tab = title, shown = title, about, children }: PageHeaderProps) {
  return (
    <header className="page-head">
      <PageTitle>{tab}</PageTitle>
      <div className="min-w-0">
        <h1 className="page-title">{shown}</h1>
        {about !== undefined && <p className="max-w-[70ch] text-muted">{about}</p>}
      </div>
      {children !== undefined && <div className="flex flex-wrap items-center gap-2">{children}</div>}
    </header>
  );
}
