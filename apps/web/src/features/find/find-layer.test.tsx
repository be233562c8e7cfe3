import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createBrowserRouter, Outlet, RouterProvider, useLocation } from 'react-router';
import { usePreferences } from '../../platform/preferences';
import { FindLayer } from './find-layer';
import { useFind } from './find-state';

function Where() {
  return <h1>{useLocation().pathname}</h1>;
}
function at(path: string): void {
  window.history.pushState({}, '', path);
  const pages = [{ path: '*', Component: Where }];
  const layer = (
    <>
      <Outlet />
      <FindLayer />
      <input aria-label="field" />
    </>
  );
  render(<RouterProvider router={createBrowserRouter([{ element: layer, children: pages }])} />);
}
const here = () => screen.getByRole('heading').textContent;

describe('keys of the desk', () => {
  beforeEach(() => {
    usePreferences.setState({ letterKeys: true });
    useFind.setState({ open: null });
  });

  it('G and a letter goes to its place; another letter between them does not', async () => {
    at('/today');
    await userEvent.keyboard('gk');
    expect(here()).toBe('/kitchen');
    await userEvent.keyboard('gxf');
    expect(here()).toBe('/kitchen');
  });
  it('nothing of it while a field is typed into, where letters are off, or at the bench', async () => {
    at('/today');
    await userEvent.type(screen.getByLabelText('field'), 'gk');
    expect(here()).toBe('/today');
    screen.getByLabelText('field').blur();
    usePreferences.setState({ letterKeys: false });
    await userEvent.keyboard('gk');
    expect(here()).toBe('/today');
  });
  it('the bench keeps its letters', async () => {
    at('/run/3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11');
    await userEvent.keyboard('gk');
    expect(here()).toContain('/run/');
  });
  it('? lists the keys', async () => {
    at('/today');
    await userEvent.keyboard('?');
    // The list is fetched when it is first asked for.
    expect(await screen.findByRole('dialog', { name: 'Keys' }, { timeout: 10_000 })).toBeInTheDocument();
  });
});
