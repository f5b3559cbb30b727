// What went wrong in one part of the page stays there: the rest goes on, and what was told is kept.
import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import * as words from './words';

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
      <p>{words.cannotBeShownEverythingThat(what)}</p>
      <button className="button" onClick={resetErrorBoundary}>
        {words.tryAgain}
      </button>
    </section>
  );
}
