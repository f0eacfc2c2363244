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

export const RoomIcon = () => (
  <Icon>
    <path d="M3.5 20.5h17M5.5 20.5V9l6.5-5.5L18.5 9v11.5M10 20.5v-6h4v6" />
  </Icon>
);

export const FindIcon = () => (
  <Icon>
    <circle cx="10.5" cy="10.5" r="6" />
    <path d="m15 15 5.5 5.5" />
  </Icon>
);
