import type { ArgumentMetadata, PipeTransform } from '@nestjs/common';
import { isInherited, isText, isUuid } from '@north-leaf/contracts';
import { invalid } from './errors.js';

/** A UUID of an address, as the database writes it: in lower case. */
export class UuidPipe implements PipeTransform<unknown, string | null> {
  constructor(private readonly may: 'required' | 'optional' = 'required') {}

  transform(value: unknown, { data }: ArgumentMetadata): string | null {
    if (value === undefined && this.may === 'optional') return null;
    const text = typeof value === 'string' ? value.toLowerCase() : '';
    if (!isUuid(text)) throw invalid(data ?? 'id', 'must be a UUID, like 0b6f0c52-9f0e-4d1f-8a53-0d4c7a2f9e10');
    return text;
  }
}

/** An id of an address that is no UUID: of a lot, an ingredient, an oven. */
export class IdPipe implements PipeTransform<unknown, string | null> {
  constructor(
    private readonly may: 'required' | 'optional' = 'required',
    private readonly longest = 60,
  ) {}

  transform(value: unknown, { data }: ArgumentMetadata): string | null {
    if (value === undefined && this.may === 'optional') return null;
    if (typeof value !== 'string' || value === '' || value.length > this.longest || !isText(value) || isInherited(value))
      throw invalid(data ?? 'id', `must be a name of 1 to ${this.longest} characters, and none that every object has`);
    return value;
  }
}

/** A whole number of an address, from `least` up. */
export class WholePipe implements PipeTransform<unknown, number | null> {
  constructor(
    private readonly least: number,
    private readonly may: 'required' | 'optional' = 'required',
  ) {}

  transform(value: unknown, { data }: ArgumentMetadata): number | null {
    if (value === undefined && this.may === 'optional') return null;
    const number = typeof value === 'string' && /^\d{1,10}$/.test(value) ? Number(value) : NaN;
    if (!(number >= this.least && number <= 2_147_483_647)) throw invalid(data ?? 'number', `must be a whole number from ${this.least}`);
    return number;
  }
}
export class VersionPipe extends WholePipe {
  constructor() {
    super(1);
  }
}

/** How many of a list are wanted at once. */
export class LimitPipe implements PipeTransform<unknown, number> {
  constructor(private readonly most: number) {}

  transform(value: unknown, { data }: ArgumentMetadata): number {
    if (value === undefined) return this.most;
    const number = typeof value === 'string' && /^\d{1,4}$/.test(value) ? Number(value) : NaN;
    if (!(number >= 1 && number <= this.most)) throw invalid(data ?? 'limit', `must be between 1 and ${this.most}`);
    return number;
  }
}
