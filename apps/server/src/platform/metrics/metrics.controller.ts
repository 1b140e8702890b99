import { Controller, Get, Req, Res } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Problem } from '../problems/problem';
import { MetricsService } from './metrics.service';
import { May } from '../access/may';

/** Addresses of this machine, as sockets tell them. */
const LOOPBACK = /^(127\.|::1$|::ffff:127\.)/;

@ApiExcludeController()
@Controller('metrics')
export class MetricsController {
  constructor(private readonly metrics: MetricsService) {}

  /** For programs on this machine only: how much is done here is nobody else's business. */
  @May('anybody')
  @Get()
  async read(@Req() request: Request, @Res() response: Response): Promise<void> {
    if (!LOOPBACK.test(request.socket.remoteAddress ?? ''))
      throw Problem.forbidden('The figures of this studio are for programs on its own machine.');
    response.type(this.metrics.contentType).send(await this.metrics.text());
  }
}
