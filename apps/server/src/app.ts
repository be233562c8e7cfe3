import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ShutdownSignal } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import staticGzip from 'express-static-gzip';
import express, { type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import { MOST_BYTES } from './files/pictures.service.js';
import { withAnswers } from './platform/answers/answers.js';
import { BodyPipe } from './platform/http/body.pipe.js';
import { ErrorFilter } from './platform/http/errors.js';
import { KitchenScope } from './platform/kitchen-scope.js';
import { nestLog, requestLog } from './platform/log.js';
import { ownPagesOnly } from './platform/http/own-pages.js';
import type { NestExpressApplication } from '@nestjs/platform-express';

/** Shared by the server and its tests, so that both run the same pipes, filters and headers. */
export function configureApp(app: NestExpressApplication, webDist?: string): NestExpressApplication {
  app.setGlobalPrefix('api');
  // Nothing that the kitchen says is kept by a browser, so nothing is asked for by its mark.
  app.set('etag', false);
  app.use(requestLog);
  app.use(helmet({ contentSecurityPolicy: { directives: contentPolicy }, strictTransportSecurity: false }));
  app.use(neverKept);
  app.use(ownPagesOnly);
  // A stream that is packed is told in lumps.
  app.use(compression({ filter: (request, response) => request.path !== '/api/news' && compression.filter(request, response) }));
  // Packed, a body of a thousand bytes could hold a thousand times as many.
  app.use(['/api/kitchen', '/api/pantry'], express.json({ limit: '64kb', inflate: false }));
  app.useBodyParser('json', { limit: '512kb', inflate: false });
  app.useBodyParser('raw', { type: 'image/*', limit: MOST_BYTES, inflate: false });
  const scope = app.get(KitchenScope);
  app.use((_request: Request, _response: Response, next: NextFunction) => scope.enter(next));
  app.useGlobalPipes(new BodyPipe());
  app.useGlobalFilters(new ErrorFilter());
  // Only what asks a server to stop: any other signal, such as the bench's, must not close the door while the work goes on.
  app.enableShutdownHooks([ShutdownSignal.SIGTERM, ShutdownSignal.SIGINT]);
  describeApi(app);
  if (webDist && existsSync(join(webDist, 'index.html'))) servePages(app, webDist);
  return app;
}

export async function createApp(webDist?: string): Promise<NestExpressApplication> {
  return configureApp(await NestFactory.create<NestExpressApplication>(AppModule, { logger: nestLog, bodyParser: false }), webDist);
}

/** What the kitchen says is not kept by anything between it and the page, and no page has a use for a microphone. */
function neverKept(request: Request, response: Response, next: NextFunction): void {
  response.setHeader('Permissions-Policy', 'camera=(self), microphone=(), geolocation=(), payment=(), usb=()');
  if (request.path.startsWith('/api')) response.setHeader('Cache-Control', 'no-store');
  next();
}

/** Styles are inline because the component library and the charts write them so; scripts are ours only. */
const contentPolicy = {
  'default-src': ["'self'"],
  'script-src': ["'self'"],
  'worker-src': ["'self'", 'blob:'],
  'style-src': ["'self'", "'unsafe-inline'"],
  'img-src': ["'self'", 'data:', 'blob:'],
  'font-src': ["'self'", 'data:'],
  'connect-src': ["'self'"],
  'frame-ancestors': ["'none'"],
  'upgrade-insecure-requests': null,
};

function describeApi(app: NestExpressApplication): void {
  const description = new DocumentBuilder().setTitle('North Leaf').setVersion('1').setOpenAPIVersion('3.1.0').build();
  const document = SwaggerModule.createDocument(app, description, { standardSchemaConverter: jsonSchemaOf });
  SwaggerModule.setup('docs', app, withAnswers(document), {
    jsonDocumentUrl: 'docs/openapi.json',
    useGlobalPrefix: true,
  });
}

/** Joi speaks JSON Schema, but refuses the older target the describer asks for: give it one that it knows. */
function jsonSchemaOf(schema: unknown, { schemaType }: { schemaType: 'input' | 'output' }): { schema: unknown } | undefined {
  type Speaks = { '~standard'?: { jsonSchema?: Record<'input' | 'output', (options: { target: string }) => Record<string, unknown>> } };
  const json = (schema as Speaks)['~standard']?.jsonSchema;
  if (!json) return undefined;
  const { $schema: _drop, ...described } = json[schemaType]({ target: 'draft-2020-12' });
  return { schema: described };
}

function servePages(app: NestExpressApplication, webDist: string): void {
  app.use(
    staticGzip(webDist, {
      index: false,
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: {
        index: false,
        setHeaders: (res, path) => {
          res.setHeader('Cache-Control', /[\\/]assets[\\/]/.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache');
        },
      },
    }),
  );
  // Any page address gives the application; never an API address or a file that is missing.
  app.use((req: Request, res: Response, next: NextFunction) => {
    if (!['GET', 'HEAD'].includes(req.method) || req.path.startsWith('/api') || /\.[a-z0-9]+$/i.test(req.path)) return next();
    res.setHeader('Cache-Control', 'no-cache');
    res.sendFile('index.html', { root: webDist });
  });
}
