import { queryOptions } from '@tanstack/react-query';
import type { Kitchen } from '@north-leaf/core';
import { request } from '../../platform/http';

export const kitchenQuery = queryOptions({ queryKey: ['kitchen'], queryFn: () => request<Kitchen>('GET', '/kitchen'), staleTime: 60_000 });
