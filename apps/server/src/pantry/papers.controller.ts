import { Body, Controller, Delete, Get, Header, HttpCode, Param, Put, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { FilesService } from '../files/files.service.js';
import { Answers } from '../platform/answers/answers.js';
import { ApiError, invalid } from '../platform/http/errors.js';
import { IdPipe, UuidPipe } from '../platform/http/pipes.js';
import { PantryService } from './pantry.service.js';
import type { PipeTransform } from '@nestjs/common';
import type { StoredFile } from '@north-leaf/contracts';

const kinds = { ingredients: 'ingredient', lots: 'lot' } as const;
type Of = (typeof kinds)[keyof typeof kinds];

class KindPipe implements PipeTransform<unknown, Of> {
  transform(value: unknown): Of {
    if (value !== 'ingredients' && value !== 'lots') throw invalid('kind', 'must be ingredients or lots');
    return kinds[value];
  }
}

/** Pictures of what was on paper: an ingredient's label, a lot's report or certificate. What is read off them is typed. */
@ApiTags('pantry')
@Controller('pantry/:kind/:id/papers')
export class PapersController {
  constructor(
    private readonly files: FilesService,
    private readonly pantry: PantryService,
  ) {}

  @Answers('GET /pantry/:kind/:id/papers') @Get() list(
    @Param('kind', new KindPipe()) of: Of,
    @Param('id', new IdPipe()) ofId: string,
  ): Promise<readonly StoredFile[]> {
    return this.files.of({ of, ofId });
  }

  /** The bytes of a picture; what is stored is drawn anew from them. The same id again is the same picture. */
  @Answers('PUT /pantry/:kind/:id/papers/:paperId') @Put(':paperId') @HttpCode(200) async store(
    @Param('kind', new KindPipe()) of: Of,
    @Param('id', new IdPipe()) ofId: string,
    @Param('paperId', new UuidPipe()) paperId: string,
    @Body() bytes: unknown,
  ): Promise<readonly StoredFile[]> {
    const { ingredients, lots } = await this.pantry.whole();
    if (!Object.hasOwn(of === 'lot' ? lots : ingredients, ofId)) throw new ApiError('notFound', `This ${of} is not in the pantry.`);
    return this.files.store({ of, ofId }, paperId, bytes, () => this.files.of({ of, ofId }));
  }

  @Get(':paperId')
  @Header('Content-Type', 'image/jpeg')
  @Header('Cache-Control', 'private, max-age=31536000, immutable')
  async picture(
    @Param('kind', new KindPipe()) of: Of,
    @Param('id', new IdPipe()) ofId: string,
    @Param('paperId', new UuidPipe()) paperId: string,
  ): Promise<StreamableFile> {
    return new StreamableFile(await this.files.read({ of, ofId }, paperId));
  }

  @Answers('DELETE /pantry/:kind/:id/papers/:paperId') @Delete(':paperId') @HttpCode(204) remove(
    @Param('kind', new KindPipe()) of: Of,
    @Param('id', new IdPipe()) ofId: string,
    @Param('paperId', new UuidPipe()) paperId: string,
  ): Promise<void> {
    return this.files.remove({ of, ofId }, paperId);
  }
}
