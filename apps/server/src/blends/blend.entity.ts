import { liftBlend } from '@north-leaf/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { lifting } from '../platform/lifting.js';
import type { Blend } from '@north-leaf/core';

/** A version of a library blend, never changed; a formula holds its own copy of one. */
@Entity('blends')
export class BlendEntity {
  @PrimaryColumn('uuid') id: string;
  @PrimaryColumn('uuid') kitchenId: string;
  @Column({ type: 'varchar', length: 120 }) name: string;
  @PrimaryColumn('integer') version: number;
  @Column('jsonb', { transformer: lifting(liftBlend) }) document: Blend;
  @Column('timestamptz') savedAt: Date;
}
