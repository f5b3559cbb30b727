import '@fontsource/atkinson-hyperlegible/400.css';
import '@fontsource/atkinson-hyperlegible/700.css';
import '@fontsource/bricolage-grotesque/600.css';
import '@fontsource/bricolage-grotesque/700.css';
import './styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { keepLastKnown, recallLastKnown } from './api/lastKnown';
import { App } from './app';

const root = document.getElementById('root');
if (root) {
  void recallLastKnown();
  keepLastKnown();
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
  // The page opens also where its server does not answer. Not to be had everywhere, and nothing waits for it.
  void navigator.serviceWorker?.register('/sw.js').catch(() => undefined);
}
