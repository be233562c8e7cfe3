import { terms, type Term } from '@north-leaf/words/terms';

export type Askable = { readonly term: Term; readonly rect: DOMRect };
type TermOf = (label: string) => Term | null;
const FIELD = 'input, [role="combobox"]';

/**
 * The words on a page that can be asked, each with its place: read off the page itself, so that a board needs no second list of its labels.
 * A word that stands twice is there twice; a field and the label beside it are one.
 */
export function askables(root: ParentNode, termOf: TermOf): Askable[] {
  const found: Askable[] = [];
  for (const element of root.querySelectorAll<HTMLElement | SVGElement>('*')) {
    if (element.closest('[data-no-ask]')) continue;
    const term = termHere(element, termOf);
    if (!term) continue;
    const rect = element.getBoundingClientRect();
    if (rect.width < 4 || rect.height < 4) continue;
    const isField = element.matches(FIELD);
    if (found.some((one) => one.term.id === term.id && sameThing(one.rect, rect, isField))) continue;
    found.push({ term, rect });
  }
  return found;
}

/** The term that has been focused or touched, or that what is around it belongs to: a field's own name, its row's label. */
export function termAt(at: Element | null, termOf: TermOf): { readonly term: Term; readonly element: Element } | null {
  for (let element = at, up = 0; element && up < 5; element = element.parentElement, up++) {
    const term = termHere(element, termOf);
    if (term) return { term, element };
    for (const beside of element.children) {
      const its = beside === at ? null : termHere(beside, termOf);
      if (its) return { term: its, element: beside };
    }
  }
  return null;
}

function termHere(element: Element, termOf: TermOf): Term | null {
  if (element.tagName === 'STYLE' || element.tagName === 'SCRIPT') return null;
  const told = element.getAttribute('data-ask');
  if (told !== null) return terms.find(({ id }) => id === told) ?? null;
  const own = [...element.childNodes].filter((node) => node.nodeType === Node.TEXT_NODE).map((node) => node.textContent ?? '').join(''); // prettier-ignore
  const said = [own, element.matches(FIELD) ? (element.getAttribute('aria-label') ?? '') : '', whole(element)];
  for (const label of said) {
    const term = label.trim().length > 1 ? termOf(label) : null;
    if (term) return term;
  }
  return null;
}

/** A label with a part of it in bold is one label. */
const whole = (element: Element) =>
  element.children.length > 0 && [...element.children].every(({ tagName }) => tagName === 'B') ? (element.textContent ?? '') : '';

/** A field in the row of its label, or words within one that is asked already. */
const sameThing = (one: DOMRect, next: DOMRect, isField: boolean) =>
  isField
    ? Math.abs(one.top + one.height / 2 - next.top - next.height / 2) < 24 && Math.abs(one.left - next.left) < 420
    : next.left >= one.left - 1 && next.right <= one.right + 1 && next.top >= one.top - 1 && next.bottom <= one.bottom + 1;
