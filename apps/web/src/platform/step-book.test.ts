import { act, renderHook } from '@testing-library/react';
import { stepBook } from './step-book';

/** A change that is on its way until it is let go. */
function onItsWay<T>(answer: T) {
  let letGo = () => {};
  const what = () => new Promise<T>((resolve) => (letGo = () => resolve(answer)));
  return { what, letGo: () => letGo() };
}

describe('taking back what was done on a page', () => {
  it('asked for while a change is still on its way, takes that one back and not the one before', async () => {
    const book = stepBook<string>();
    const sent: string[] = [];
    const { result } = renderHook(() => book.useUndo(async (change) => void sent.push(change)));
    await act(() => book.act('Place removed', () => Promise.resolve('place back')));
    const air = onItsWay('air back');
    let done: Promise<unknown> = Promise.resolve();
    await act(async () => {
      const stored = book.act('Room changed', air.what);
      done = Promise.all([stored, result.current.undo()]);
      await Promise.resolve();
    });
    expect(sent).toEqual([]);
    await act(async () => {
      air.letGo();
      await done;
    });
    expect(sent).toEqual(['air back']);
    expect(result.current.undoable).toBe(true);
  });

  it('what was refused leaves no step and does not hold up the next', async () => {
    const book = stepBook<string>();
    const { result } = renderHook(() => book.useUndo(() => Promise.resolve()));
    await act(async () => {
      await expect(book.act('Refused', () => Promise.reject(new Error('no')))).rejects.toThrow('no');
      await book.act('Begun anew', () => Promise.resolve(null));
    });
    expect(result.current.undoable).toBe(false);
  });
});
