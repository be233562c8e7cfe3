import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';
import type { FormulaListItem } from '@north-leaf/contracts';

/** A verdict, and the core that gave it. */
export type Judged = Pick<FormulaListItem, 'states' | 'outlook' | 'pieces' | 'pieceG' | 'doughG'> & {
  readonly coreVersion: string;
  readonly version: number;
};

@Entity('formulas')
export class FormulaEntity {
  @PrimaryColumn('uuid') id: string;
  @Column('uuid') kitchenId: string;
  @Column({ type: 'varchar', length: 120 }) name: string;
  @Column({ type: 'varchar', length: 60 }) family: string;
  /** The number of the last version saved; 0 before the first. */
  @Column('integer') newestVersion: number;
  /** What today's core says of the newest version where that was saved under an older one; null until it was asked. */
  @Column({ type: 'jsonb', nullable: true }) judged: Judged | null;
  @CreateDateColumn({ type: 'timestamptz' }) createdAt: Date;
}
