import type { ComponentProps, ReactNode } from 'react';
import { useMayWrite } from './mayWrite';

type ButtonKind = 'usual' | 'first' | 'plain' | 'hushed' | 'link';

const kinds: Record<ButtonKind, string> = {
  usual: 'act',
  first: 'act act-first',
  plain: 'act act-plain',
  hushed: 'act act-hushed',
  link: 'linkish link-button',
};

export interface ButtonProps extends ComponentProps<'button'> {
  /** What it is beside others: the obvious one, one that stands back, one that is against the hush, or a word in a text. */
  kind?: ButtonKind;
  /** Low, for rows of a list; for a finger it is as high as any. */
  small?: boolean;
  /** The key that does the same; shown where there are keys. */
  letter?: string | undefined;
  /** It changes the record: who only reads is not offered it; nor anybody but the owner what is the owner's. */
  writes?: boolean | 'owner';
}

/** Something that is done when it is pressed. */
export function Button({
  kind = 'usual',
  small = false,
  letter,
  writes = false,
  type = 'button',
  className = '',
  children,
  ...rest
}: ButtonProps) {
  const mayWrite = useMayWrite(writes === 'owner');
  return writes !== false && !mayWrite ? null : (
    <button {...rest} type={type} className={`${kinds[kind]} ${small ? 'act-small' : ''} ${className}`}>
      {letter !== undefined && <KeyCap>{letter}</KeyCap>}
      {children}
    </button>
  );
}

/** A key as it stands on a keyboard; gone where there is none. */
export function KeyCap({ children }: { children: string }) {
  return <kbd>{children.length === 1 ? children.toUpperCase() : children}</kbd>;
}

interface IconButtonProps extends Omit<ComponentProps<'button'>, 'aria-label'> {
  /** What it does, for those who cannot see the picture, and for those who rest on it. */
  label: string;
  children: ReactNode;
}

/** A picture that is pressed. */
export function IconButton({ label, className = '', children, ...rest }: IconButtonProps) {
  return (
    <button {...rest} type="button" aria-label={label} title={label} className={`icon-button ${className}`}>
      {children}
    </button>
  );
}
