import { benchPage, pageAt, pages } from './pages';

describe('the page of an address', () => {
  it('is the one whose words are in it, and asks for what the address names', () => {
    expect(pageAt('/formulas/abc/dough')).toMatchObject({
      page: { path: '/formulas/:id/:stage?' },
      asks: expect.arrayContaining(['/formulas/abc']),
    });
    expect(pageAt('/formulas/abc')!.asks).toContain('/formulas/abc');
    expect(pageAt('/kitchen')!.asks).toEqual([]);
    expect(pageAt('/run/new')?.page.path).toBe('/run/new');
    expect(pageAt('/run/0b1')?.page).toBe(benchPage);
    expect(pageAt('/bakes/new')?.page.path).toBe('/bakes/new');
    expect(pageAt('/nowhere')).toBeUndefined();
  });
  it('of a formula asks on for the version that is worked on: its draft’s, else the newest', () => {
    const { next } = pageAt('/formulas/abc/dough')!.page;
    const versions = [{ version: 1 }, { version: 2 }];
    expect(next!('/formulas/abc', { draft: null, versions })).toEqual(['/formulas/abc/versions/2']);
    expect(next!('/formulas/abc', { draft: { basedOn: 1 }, versions })).toEqual(['/formulas/abc/versions/1']);
    expect(next!('/kitchen', {})).toEqual([]);
  });
  it('finds every page by its own address', () => {
    for (const page of pages) expect(pageAt(page.path.replace(/\/:\w+\?/g, '').replace(/:\w+/g, 'x'))?.page).toBe(page);
  });
});
