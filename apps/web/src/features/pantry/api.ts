import { queryOptions } from '@tanstack/react-query';
import type { Pantry } from '@north-leaf/core';
import { request } from '../../platform/http';

export const pantryQuery = queryOptions({ queryKey: ['pantry'], queryFn: () => request<Pantry>('GET', '/pantry'), staleTime: 60_000 });
