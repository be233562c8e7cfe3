import { QueryClient } from '@tanstack/react-query';
import { ApiError } from './http';

const worthAnother = (failures: number, error: unknown) => error instanceof ApiError && error.mayRecover && failures < 60;

/** Reads come back by themselves when the server does. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { staleTime: 10_000, retry: worthAnother, retryDelay: (n) => Math.min(3000, 500 * 2 ** n), networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});
