import { Children, cloneElement, isValidElement, type ReactElement, type ReactNode } from 'react';

/** A labelled field with what is wrong with it. */
export function Field({
  id,
  label,
  problem,
  hint,
  wide,
  children,
}: {
  id: string;
  label: string;
  problem?: string | undefined;
  /** A word beside the label. */
  hint?: string | undefined;
  wide?: boolean;
  children: ReactNode;
}) {
  const told = `${id}-problem`;
  return (
    <div className={wide ? 'field wide' : 'field'}>
      <label htmlFor={id}>{label}</label>
      {hint && <small className="hint">{hint}</small>}
      {problem ? Children.map(children, (child) => (isInput(child, id) ? wrong(child, told) : child)) : children}
      {problem && (
        <span className="problem" role="alert" id={told}>
          {problem}
        </span>
      )}
    </div>
  );
}

type Input = ReactElement<{ id?: string; 'aria-invalid'?: boolean; 'aria-describedby'?: string }>;

const isInput = (child: ReactNode, id: string): child is Input => isValidElement<{ id?: string }>(child) && child.props.id === id;

// What is wrong is read out with the field it belongs to.
const wrong = (input: Input, told: string) => cloneElement(input, { 'aria-invalid': true, 'aria-describedby': told });
