import { Module } from '@nestjs/common';
import { tables } from '../platform/table.js';
import { FileEntity } from './file.entity.js';
import { FilesService } from './files.service.js';
import { PicturesService } from './pictures.service.js';

@Module({ providers: [FilesService, PicturesService, ...tables(FileEntity)], exports: [FilesService] })
export class FilesModule {}
