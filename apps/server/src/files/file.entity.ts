import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What a file may belong to. */
export const fileOwners = ['bake', 'ingredient', 'lot'] as const;
export type FileOwner = (typeof fileOwners)[number];

/** A picture that was made anew by the server: of a bake, a label, a certificate. */
@Entity('files')
export class FileEntity {
  @PrimaryColumn('uuid') kitchenId: string;
  @PrimaryColumn('uuid') id: string;
  @Column({ type: 'varchar', length: 20 }) of: FileOwner;
  @Column({ type: 'varchar', length: 60 }) ofId: string;
  @Column('bytea') jpeg: Buffer;
  @Column('timestamptz') storedAt: Date;
}
