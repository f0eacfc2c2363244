import type { ReactNode } from 'react';

function Icon({ children }: { children: ReactNode }) {
  return (
    <svg
      viewBox="0 0 24 24"
      aria-hidden="true"
      className="size-[22px] flex-none"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.5"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {children}
    </svg>
  );
}

export const RoundIcon = () => (
  <Icon>
    <circle cx="5" cy="18.5" r="1.8" fill="currentColor" stroke="none" />
    <path d="M8 18.5h6.5a3.6 3.6 0 0 0 0-7.2h-5a3.4 3.4 0 0 1 0-6.8H17" />
    <path d="m15 2 3 2.5L15 7" />
  </Icon>
);

export const StockIcon = () => (
  <Icon>
    <path d="M4.5 4.5h15v3.5h-15ZM6 8v12.5h12V8M9 12h6v4.5H9Z" />
  </Icon>
);

export const LarderIcon = () => (
  <Icon>
    <path d="M7.5 3.5h9v3h-9ZM6 9.5q0-3 1.5-3h9q1.5 0 1.5 3v9q0 2-2 2H8q-2 0-2-2Z" />
    <path d="M6 13h12M9.5 16.5l1.5 1m3.5-1-1.5 1" />
  </Icon>
);

export const ClimateIcon = () => (
  <Icon>
    <path d="M8 13.5V5.5a2 2 0 0 1 4 0v8a4 4 0 1 1-4 0Z" />
    <path d="M10 9v7.5M15.5 7.5q1.5-1.5 3 0t3 0M15.5 12q1.5-1.5 3 0t3 0" />
  </Icon>
);

export const ColoniesIcon = () => (
  <Icon>
    <path d="M3.5 9.5h17v9q0 2-2 2h-13q-2 0-2-2ZM3.5 9.5l2-4h13l2 4" />
    <path d="M8 15.5q0-2 2-2t2 2-2 2-2-2m4.5 1.5q0-1.5 1.7-1.5t1.7 1.5-1.7 1.5" />
  </Icon>
);

export const FindIcon = () => (
  <Icon>
    <circle cx="10.5" cy="10.5" r="6" />
    <path d="m15 15 5.5 5.5" />
  </Icon>
);

export const GuideIcon = () => (
  <Icon>
    <path d="M2.5 12S6 5.5 12 5.5 21.5 12 21.5 12 18 18.5 12 18.5 2.5 12 2.5 12Z" />
    <circle cx="12" cy="12" r="2.8" />
  </Icon>
);

export const NurseryIcon = () => (
  <Icon>
    <path d="M4 12.5q8 5.5 16 0M4 12.5q0 7.5 8 7.5t8-7.5" />
    <circle cx="9" cy="8" r="2.3" />
    <circle cx="14.5" cy="9" r="2.3" />
    <circle cx="12" cy="4.6" r="1.9" />
  </Icon>
);

export const PairingIcon = () => (
  <Icon>
    <path d="M4 5c3 5 3 9 0 14M20 5c-3 5-3 9 0 14M8 12h2.5M13.5 12H16M12 9.5v5" />
  </Icon>
);

export const MoreIcon = () => (
  <Icon>
    <path d="M4 7h16M4 12h16M4 17h16" />
  </Icon>
);

export const ShelvesIcon = () => (
  <Icon>
    <path d="M4 3.5v17M20 3.5v17M4 9.5h16M4 17.5h16M7 9.5v-4h4v4M13.5 17.5v-5h3.5v5M7.5 17.5V15h3v2.5" />
  </Icon>
);

export const AlmanacIcon = () => (
  <Icon>
    <path d="M3.5 4v16M3.5 7h7M8 12h9M13 17h7.5M6.5 5.5v3M13 10.5v3M17 15.5v3" />
  </Icon>
);
