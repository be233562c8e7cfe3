import { liftKitchen } from '@north-leaf/core';
import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';
import { lifting } from '../platform/lifting.js';
import type { Kitchen } from '@north-leaf/core';

@Entity('kitchens')
export class KitchenEntity {
  @PrimaryColumn('uuid') id: string;
  @Column({ type: 'varchar', length: 120 }) name: string;
  @Column('jsonb', { transformer: lifting(liftKitchen) }) document: Kitchen;
  @Column({ type: 'timestamptz', nullable: true }) openedAt: Date | null;
  @CreateDateColumn({ type: 'timestamptz' }) createdAt: Date;
}
