import { Controller, Sse } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { concat, map, of, type Observable } from 'rxjs';
import { NewsService } from './news.js';
import type { News } from '@north-leaf/contracts';

@ApiTags('news')
@SkipThrottle()
@Controller('news')
export class NewsController {
  constructor(private readonly news: NewsService) {}

  /** What is stored from now on, as it is stored; a beat at once and now and then says that the stream is alive. */
  @Sse() async stream(): Promise<Observable<{ data: News }>> {
    const first: News = { what: 'beat' };
    return concat(of(first), await this.news.ofThisKitchen()).pipe(map((data) => ({ data })));
  }
}
