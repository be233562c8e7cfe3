import '@fontsource-variable/hanken-grotesk/wght.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app';

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <App />
  </StrictMode>,
);

// After the page itself: nobody waits for it.
void import('./platform/kept-app').then(({ keepApp }) => keepApp());
