import { NavLink } from 'react-router';

interface NavTabsProps {
  label: string;
  tabs: readonly (readonly [to: string, text: string])[];
}

/** Pages that belong to one place, side by side. */
export function NavTabs({ label, tabs }: NavTabsProps) {
  return (
    <nav aria-label={label} className="flex flex-wrap gap-x-5">
      {tabs.map(([to, text]) => (
        <NavLink key={to} to={to} end className="nav-tab">
          {text}
        </NavLink>
      ))}
    </nav>
  );
}
