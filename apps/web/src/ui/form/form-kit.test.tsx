import { act, render, renderHook, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useForm } from 'react-hook-form';
import { crumbBodySchema } from '@north-leaf/contracts';
import { ApiError } from '../../platform/http';
import { checkedBy } from './checked-by';
import { useStoring } from './use-storing';

const refused = (message: string, problems: readonly { path: string; code: string; message: string }[] = []) =>
  Object.assign(Object.create(ApiError.prototype) as ApiError, { message, problems });

describe('storing a form', () => {
  it('closes it when it is stored', async () => {
    const onDone = jest.fn();
    const { result } = renderHook(() => useStoring(onDone));
    await act(() => result.current.run(async () => undefined));
    expect(onDone).toHaveBeenCalledTimes(1);
    expect(result.current).toMatchObject({ busy: false, failed: null });
  });

  it('keeps it open and says what went wrong, and forgets that at the next try', async () => {
    const onDone = jest.fn();
    const { result } = renderHook(() => useStoring(onDone));
    await act(() => result.current.run(() => Promise.reject(refused('The server does not answer.'))));
    expect(result.current.failed).toBe('The server does not answer.');
    expect(onDone).not.toHaveBeenCalled();
    await act(() => result.current.run(async () => undefined));
    expect(result.current.failed).toBeNull();
  });

  it('leaves a field’s own fault to its field', async () => {
    const { result } = renderHook(() => useStoring(jest.fn()));
    const wrong = refused('invalid', [{ path: 'name', code: 'x', message: 'is empty' }]);
    let at = '';
    await act(() =>
      result.current.run(
        () => Promise.reject(wrong),
        ({ problems }) => {
          at = problems[0]!.path;
          return true;
        },
      ),
    );
    expect(at).toBe('name');
    expect(result.current.failed).toBeNull();
  });

  it('pressed twice, works once', async () => {
    const { result } = renderHook(() => useStoring(jest.fn()));
    const work = jest.fn(() => new Promise<void>((done) => setTimeout(done, 20)));
    await act(async () => {
      const { run } = result.current;
      await Promise.all([run(work), run(work)]);
    });
    expect(work).toHaveBeenCalledTimes(1);
  });
});

describe('a form checked as the server checks it', () => {
  const sent = jest.fn();
  function Named({ said }: { said?: Readonly<Record<string, string>> }) {
    const { register, handleSubmit, formState } = useForm({
      defaultValues: { name: '' },
      resolver: checkedBy(crumbBodySchema, ({ name }: { name: string }) => ({ name: name.trim() }), said ?? {}),
    });
    return (
      <form noValidate onSubmit={(event) => void handleSubmit(sent)(event)}>
        <input aria-label="Name" {...register('name')} />
        <button type="submit">Store</button>
        <p role="alert">{formState.errors.name?.message}</p>
      </form>
    );
  }
  beforeEach(() => sent.mockClear());

  it('sends nothing that the server would refuse, and keeps what was typed', async () => {
    const user = userEvent.setup();
    render(<Named said={{ name: 'Give it a name' }} />);
    await user.type(screen.getByLabelText('Name'), '   ');
    await user.click(screen.getByText('Store'));
    expect(sent).not.toHaveBeenCalled();
    expect(screen.getByRole('alert').textContent).toBe('Give it a name');
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('   ');
  });

  it('sends what is right, as it was typed', async () => {
    const user = userEvent.setup();
    render(<Named />);
    await user.type(screen.getByLabelText('Name'), 'Cracker crumb');
    await user.click(screen.getByText('Store'));
    expect(sent.mock.calls[0]![0]).toEqual({ name: 'Cracker crumb' });
  });

  it('knows the limits of the schema without a word of its own', async () => {
    const user = userEvent.setup();
    render(<Named />);
    await user.click(screen.getByLabelText('Name'));
    await user.paste('x'.repeat(121));
    await user.click(screen.getByText('Store'));
    expect(sent).not.toHaveBeenCalled();
    expect(screen.getByRole('alert').textContent).toMatch(/120/);
  });
});
