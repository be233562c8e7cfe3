import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';
import type { Kitchen } from '@north-leaf/core';

@Entity('kitchens')
export class KitchenEntity {
  @PrimaryColumn('uuid') id: string;
  @Column({ type: 'varchar', length: 120 }) name: string;
  @Column('jsonb') document: Kitchen;
  @CreateDateColumn({ type: 'timestamptz' }) createdAt: Date;
}
