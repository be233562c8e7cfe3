import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A picture of a bake, made anew by the server. */
@Entity('bake_photos')
export class BakePhotoEntity {
  @PrimaryColumn('uuid') id: string;
  @PrimaryColumn('uuid') kitchenId: string;
  @Column('uuid') bakeId: string;
  @Column('bytea') jpeg: Buffer;
}
