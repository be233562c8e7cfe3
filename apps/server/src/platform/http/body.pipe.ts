import { Injectable, type ArgumentMetadata, type PipeTransform } from '@nestjs/common';
import { check } from '@north-leaf/contracts';
import { ApiError } from './errors.js';
import type { Schema } from 'joi';

/** Checks every body against the schema its route names: all problems at once, nothing converted. */
@Injectable()
export class BodyPipe implements PipeTransform {
  transform(value: unknown, { type, schema }: ArgumentMetadata): unknown {
    if (type !== 'body' || !schema) return value;
    const checked = check(schema as unknown as Schema<unknown>, value);
    if (checked.ok) return checked.value;
    const first = checked.problems[0]!;
    throw new ApiError(
      'invalid',
      checked.problems.length === 1 ? first.message : `${checked.problems.length} things are wrong; first: ${first.message}`,
      checked.problems,
    );
  }
}
