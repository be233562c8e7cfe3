import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';

@Entity('formulas')
export class FormulaEntity {
  @PrimaryColumn('uuid') id: string;
  @Column('uuid') kitchenId: string;
  @Column({ type: 'varchar', length: 120 }) name: string;
  @Column({ type: 'varchar', length: 60 }) family: string;
  /** The number of the last version saved; 0 before the first. */
  @Column('integer') newestVersion: number;
  @CreateDateColumn({ type: 'timestamptz' }) createdAt: Date;
}
