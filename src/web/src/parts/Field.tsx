import type { ReactNode } from 'react';

/** A labelled field with what is wrong with it. */
export function Field({
  id,
  label,
  problem,
  wide,
  children,
}: {
  id: string;
  label: string;
  problem?: string | undefined;
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <div className={wide ? 'field wide' : 'field'}>
      <label htmlFor={id}>{label}</label>
      {children}
      {problem && (
        <span className="problem" role="alert" id={`${id}-problem`}>
          {problem}
        </span>
      )}
    </div>
  );
}
