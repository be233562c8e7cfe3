import '@fontsource-variable/hanken-grotesk/wght.css';
import { pageAt } from './pages';
import { askEarly } from './platform/early';

// The page that is wanted, and what it will ask for, are fetched beside what stands round it, not after it.
const wanted = pageAt(window.location.pathname.replace(/^\/$/, '/today'));
if (wanted) askEarly([...wanted.asks, '/kitchen'], wanted.page.next);
void wanted?.page.load();
void import('./app').then(({ start }) => {
  start(document.getElementById('root')!);
  // After the page itself: nobody waits for it.
  void import('./kept-app').then(({ keepApp }) => keepApp());
});
