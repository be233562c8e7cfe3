import { notify, showNoticesWith } from './notices';

it('what is said before notices can be shown waits for them, in order, and is said once', () => {
  const said: string[] = [];
  notify('first');
  notify('second', 'error');
  showNoticesWith((message, kind) => said.push(`${kind}: ${message}`));
  notify('third');
  expect(said).toEqual(['plain: first', 'error: second', 'plain: third']);
});
