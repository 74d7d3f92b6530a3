import { HttpStatus } from '@nestjs/common';
import { ProblemException } from '../common/problems.js';

export const etagOf = (version: number): string => `"${version}"`;

/** The version in an If-Match header. @throws ProblemException 428 when it is missing: a change has to say what it saw. */
export function versionFrom(ifMatch: string | undefined): number {
  const match = /^(?:W\/)?"(\d{1,9})"$/.exec(ifMatch?.trim() ?? '');
  if (!match)
    throw new ProblemException(
      'version-required',
      HttpStatus.PRECONDITION_REQUIRED,
      'Expected the version you saw in If-Match, such as "3".',
    );
  return Number(match[1]);
}
