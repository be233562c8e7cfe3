import { Entity, PrimaryColumn } from 'typeorm';

/** A run that has begun and not ended. */
@Entity('runs_under_way')
export class UnderWayEntity {
  @PrimaryColumn('uuid') kitchenId: string;
  @PrimaryColumn('uuid') bakeId: string;
}
