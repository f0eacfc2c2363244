import type { ComponentProps } from 'react';

interface WhyButtonProps extends Omit<ComponentProps<'button'>, 'aria-label' | 'children'> {
  /** Of what the reasons are told: "Why: …". */
  of: string;
}

/** The ring with a question mark: why it is so. */
export function WhyButton({ of, className = '', ...rest }: WhyButtonProps) {
  return (
    <button {...rest} type="button" aria-label={`Why: ${of}`} className={`why-button ${className}`}>
      <span aria-hidden="true">?</span>
    </button>
  );
}
