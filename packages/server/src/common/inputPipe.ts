import { HttpStatus, ValidationPipe, type Type } from '@nestjs/common';
import { fieldProblems, VALIDATION_OPTIONS } from '@wheat-ledger/contract';
import { invalid } from './problems.js';

/** Validates a body against a contract class, refusing fields it does not know. @param status it is refused with */
export const inputPipe = (expectedType: Type, status = HttpStatus.UNPROCESSABLE_ENTITY): ValidationPipe =>
  new ValidationPipe({
    ...VALIDATION_OPTIONS,
    transform: true,
    expectedType,
    exceptionFactory: (errors) => invalid(fieldProblems(errors), status),
  });
