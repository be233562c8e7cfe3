import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The header of a bake; it never changes. What happened are its events. */
@Entity('bakes')
export class BakeEntity {
  @PrimaryColumn('uuid') id: string;
  @Column('uuid') kitchenId: string;
  @Column('integer') number: number;
  @Column('uuid') formulaId: string;
  @Column('integer') version: number;
  @Column('double precision') factor: number;
  @Column('double precision') roomC: number;
  @Column('double precision') humidityShare: number;
  @Column('timestamptz') startedAt: Date;
}
