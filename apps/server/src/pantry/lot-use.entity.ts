import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What a bake took from a lot for one row of its formula. */
@Entity('lot_uses')
export class LotUseEntity {
  @PrimaryColumn('uuid') kitchenId: string;
  @PrimaryColumn('uuid') bakeId: string;
  @PrimaryColumn({ type: 'varchar', length: 60 }) rowKey: string;
  @PrimaryColumn({ type: 'varchar', length: 60 }) lotId: string;
  @Column('double precision') usedG: number;
  @Column('timestamptz') at: Date;
}
