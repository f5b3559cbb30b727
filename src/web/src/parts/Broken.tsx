// What went wrong in one part of the page stays there: the rest goes on, and what was told is kept.
import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';

export function Guarded({ what, children, anew = [] }: { what: string; children: ReactNode; anew?: unknown[] }) {
  return (
    <ErrorBoundary resetKeys={anew} fallbackRender={(broken) => <Broken what={what} {...broken} />}>
      {children}
    </ErrorBoundary>
  );
}

function Broken({ what, resetErrorBoundary }: FallbackProps & { what: string }) {
  return (
    <section className="card stack from-start" role="alert">
      <p>{what} cannot be shown. Everything that was told is kept.</p>
      <button className="button" onClick={resetErrorBoundary}>
        Try again
      </button>
    </section>
  );
}
