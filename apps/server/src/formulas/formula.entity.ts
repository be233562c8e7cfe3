import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';
import type { FormulaListItem } from '@north-leaf/contracts';
import type { Formula } from '@north-leaf/core';

/** A verdict, and the core that gave it. */
export type Judged = Pick<FormulaListItem, 'states' | 'outlook' | 'pieces' | 'pieceG' | 'doughG'> & {
  readonly coreVersion: string;
  readonly version: number;
};

@Entity('formulas')
export class FormulaEntity {
  @PrimaryColumn('uuid') id: string;
  @PrimaryColumn('uuid') kitchenId: string;
  @Column({ type: 'varchar', length: 120 }) name: string;
  @Column({ type: 'varchar', length: 60 }) family: string;
  /** The number of the last version saved; 0 before the first. */
  @Column('integer') newestVersion: number;
  /** Of the newest version, so that a list need not open it. */
  @Column({ type: 'varchar', length: 120 }) blendName: string;
  @Column({ type: 'jsonb', nullable: true }) doughOf: Formula['doughOf'] | null;
  @Column('timestamptz') savedAt: Date;
  @Column({ type: 'varchar', length: 20 }) savedBy: string;
  /** How often it was baked, and the dots it got for being liked: all of them, and how many. */
  @Column('integer') bakes: number;
  @Column('integer') likedSum: number;
  @Column('integer') likedCount: number;
  /** What today's core says of the newest version; null until it was asked. */
  @Column({ type: 'jsonb', nullable: true }) judged: Judged | null;
  @CreateDateColumn({ type: 'timestamptz' }) createdAt: Date;
}
