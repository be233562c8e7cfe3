import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { Begins, RunStep } from '@north-leaf/core';

/** The header of a bake; it never changes. What happened are its events. */
@Entity('bakes')
export class BakeEntity {
  @PrimaryColumn('uuid') id: string;
  @PrimaryColumn('uuid') kitchenId: string;
  @Column('integer') number: number;
  @Column('uuid') formulaId: string;
  @Column('integer') version: number;
  @Column('double precision') factor: number;
  @Column('double precision') roomC: number;
  @Column('double precision') humidityShare: number;
  @Column('timestamptz') startedAt: Date;
  /** As planned when it began; null for a bake written down afterwards. */
  @Column({ type: 'jsonb', nullable: true }) steps: readonly RunStep[] | null;
  /** From what another run left; null for one that began at the bowl. */
  @Column({ type: 'jsonb', nullable: true }) begins: (Begins & { readonly amountG: number }) | null;
}
