import { Injectable, type CallHandler, type ExecutionContext, type NestInterceptor } from '@nestjs/common';
import type { Response } from 'express';
import { tap, type Observable } from 'rxjs';

/** Says in the answer's head how long the route took, in ms, without the way there and back: Server-Timing as the W3C describes it. */
@Injectable()
export class RouteTime implements NestInterceptor {
  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const from = performance.now();
    const response = context.switchToHttp().getResponse<Response>();
    return next
      .handle()
      .pipe(tap(() => response.setHeader('Server-Timing', `route;dur=${(performance.now() - from).toFixed(3)}`)));
  }
}
