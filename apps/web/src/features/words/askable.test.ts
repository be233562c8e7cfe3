import { termOf } from '@north-leaf/words/terms';
import { voiceOf } from '@north-leaf/words';
import { askables, termAt } from './askable';

const find = termOf(voiceOf());
/** jsdom lays nothing out: every element is as wide as a word, each under the last. */
function page(html: string): HTMLElement {
  document.body.innerHTML = html;
  [...document.body.querySelectorAll('*')].forEach((element, i) => {
    element.getBoundingClientRect = () => new DOMRect(0, i * 30, 100, 20);
  });
  return document.body;
}
const names = (html: string) => askables(page(html), find).map(({ term }) => term.id);

describe('what of a page can be asked', () => {
  it('labels, headings and fields that stand for a word of ours; other text cannot', () => {
    expect(names('<h2>Outlook</h2><p>Butter</p><label>Pack</label><span>It keeps in its pack for long.</span>')).toEqual([
      'outlook',
      'pack',
    ]);
    expect(names('<input aria-label="Hold back" />')).toEqual(['holdBack']);
  });
  it('a number by the word it is told to be; nothing of a sheet that says so', () => {
    expect(names('<div data-ask="thickness"><b>2.4</b> mm</div><div data-no-ask><span>Pack</span></div>')).toEqual(['thickness']);
    expect(names('<div data-ask="nonsense">2.4</div>')).toEqual([]);
  });
  it('a label with a part in bold is one', () => {
    expect(names('<span><b>15 min</b> hands-on</span>')).toEqual(['handsOn']);
  });
});

describe('what is asked at a place', () => {
  it('the label of the row that a field stands in, whatever the field is called', () => {
    const row = page('<div><div>Sell within</div><div><span><input aria-label="xyz" /></span></div></div>');
    expect(termAt(row.querySelector('input'), find)?.term.id).toBe('sellWithin');
    expect(termAt(null, find)).toBeNull();
  });
});
