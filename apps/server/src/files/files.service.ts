import { Injectable } from '@nestjs/common';
import { Clock } from '../platform/clock.js';
import { ApiError, invalid } from '../platform/http/errors.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { InjectTable, Table } from '../platform/table.js';
import { FileEntity, type FileOwner } from './file.entity.js';
import { PicturesService } from './pictures.service.js';
import type { StoredFile } from '@north-leaf/contracts';

/** Of one owner. */
const MOST = 24;
type Owner = { readonly of: FileOwner; readonly ofId: string };

/** The one place where pictures are kept; whoever they belong to is asked first whether it is there. */
@Injectable()
export class FilesService {
  constructor(
    private readonly scope: KitchenScope,
    private readonly clock: Clock,
    private readonly draw: PicturesService,
    @InjectTable(FileEntity) private readonly files: Table<FileEntity>,
  ) {}

  async of(owner: Owner): Promise<readonly StoredFile[]> {
    const rows = await this.files.find({ where: owner, select: { id: true, storedAt: true }, order: { storedAt: 'ASC', id: 'ASC' } });
    return rows.map(({ id, storedAt }) => ({ id, storedAt: storedAt.toISOString() }));
  }

  /** Drawn anew and kept; the same id again is the same picture. Drawing takes its time, so `also` is in the transaction and this before it. */
  async store<R>(owner: Owner, id: string, bytes: unknown, also: () => Promise<R>): Promise<R> {
    if (!Buffer.isBuffer(bytes)) throw invalid('photo', 'must be the bytes of a picture');
    const held = await this.files.findOne({ id });
    if (held && (held.of !== owner.of || held.ofId !== owner.ofId))
      throw new ApiError('conflict', 'This id belongs to a picture of something else.');
    const jpeg = held ? null : await this.draw.anew(bytes);
    return this.scope.transaction(async () => {
      // Two at once would both find room for the last one.
      await this.scope.lock(`files:${owner.of}:${owner.ofId}`);
      if (jpeg && (await this.files.count({ id })) === 0) {
        if ((await this.files.count(owner)) >= MOST) throw invalid('photo', `is one too many: at most ${MOST} of one ${owner.of}`);
        await this.files.insert({ id, ...owner, jpeg, storedAt: this.clock.now() });
      }
      return also();
    });
  }

  async read(owner: Owner, id: string): Promise<Buffer> {
    const found = await this.files.findOne({ id, ...owner });
    if (!found) throw new ApiError('notFound', 'This picture is not here.');
    return found.jpeg;
  }

  async remove(owner: Owner, id: string): Promise<void> {
    await this.files.delete({ id, ...owner });
  }
}
