import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { Happened } from '@north-leaf/contracts';

@Entity('bake_events')
export class BakeEventEntity {
  @PrimaryColumn('uuid') id: string;
  @Column('uuid') kitchenId: string;
  @Column('uuid') bakeId: string;
  @Column('timestamptz') at: Date;
  @Column({ type: 'uuid', nullable: true }) corrects: string | null;
  @Column('jsonb') what: Happened;
}
