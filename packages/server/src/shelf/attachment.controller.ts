import {
  Controller,
  Get,
  HttpCode,
  HttpStatus,
  Param,
  ParseUUIDPipe,
  Post,
  Req,
  Res,
  StreamableFile,
} from '@nestjs/common';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import type { AttachedContent } from '@wheat-ledger/contract';
import { ProblemException } from '../common/problems.js';
import { AttachmentStore } from './attachment.store.js';

@Controller('attachments')
export class AttachmentContentController {
  constructor(private readonly attachments: AttachmentStore) {}

  /** A file's bytes, to be attached by a record that names them. */
  @Post('content')
  @HttpCode(HttpStatus.OK)
  @ApiConsumes('application/octet-stream')
  @ApiBody({ schema: { type: 'string', format: 'binary' } })
  keep(@Req() request: Request): Promise<AttachedContent> {
    const data: unknown = request.body;
    if (!Buffer.isBuffer(data) || data.length === 0)
      throw new ProblemException(
        'no-bytes',
        HttpStatus.UNSUPPORTED_MEDIA_TYPE,
        'Expected the file itself as the body, sent as application/octet-stream.',
      );
    return this.attachments.keepSent(data);
  }

  /** Shown or saved, never run: nothing in it may load, script or be guessed to be something else. */
  @Get(':id/content')
  async content(
    @Param('id', new ParseUUIDPipe()) id: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const { data, name, type } = await this.attachments.content(id);
    response.setHeader('Content-Security-Policy', "default-src 'none'; sandbox");
    response.setHeader('X-Content-Type-Options', 'nosniff');
    response.setHeader('Cache-Control', 'private, max-age=3600');
    const shown = type === 'application/pdf' ? 'attachment' : 'inline';
    return new StreamableFile(data, { type, disposition: `${shown}; filename*=UTF-8''${encodeURIComponent(name)}` });
  }
}
