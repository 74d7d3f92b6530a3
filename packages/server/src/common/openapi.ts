import { ApiProperty, DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import type { INestApplication } from '@nestjs/common';
import { getMetadataStorage } from 'class-validator';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import * as contract from '@wheat-ledger/contract';

type Constructor = new () => object;

/** The contract's input classes: the functions it exports that carry validation rules. */
const inputClasses = (): readonly Constructor[] =>
  Object.entries(contract as Readonly<Record<string, unknown>>)
    .filter(
      ([name, value]) =>
        name.endsWith('Input') && typeof value === 'function' && rulesOf(value as Constructor).length > 0,
    )
    .map(([, value]) => value as Constructor);

const rulesOf = (Input: Constructor) => getMetadataStorage().getTargetValidationMetadatas(Input, '', false, false);

/** Describes each field of the contract for OpenAPI from the validation rules it already has, so nothing is said twice. */
function describeContract(): void {
  for (const Input of inputClasses()) {
    const rules = rulesOf(Input);
    for (const field of new Set(rules.map((r) => r.propertyName))) {
      const own = rules.filter((r) => r.propertyName === field);
      const has = (name: string): boolean => own.some((r) => r.name === name);
      const nested = defaultMetadataStorage.findTypeMetadata(Input, field)?.typeFunction() as Constructor | undefined;
      const choices = own.find((r) => r.name === 'isIn')?.constraints?.[0] as readonly string[] | undefined;
      const required = !own.some((r) => r.type === 'conditionalValidation');
      const scalar = has('isNumber') ? Number : has('isBoolean') ? Boolean : String;
      if (has('dailyValues')) {
        ApiProperty({ required, type: 'array', items: { type: 'number', nullable: true } })(
          Input.prototype as object,
          field,
        );
        continue;
      }
      const options = {
        required,
        isArray: has('isArray'),
        ...(choices ? { enum: [...choices] } : { type: nested ?? scalar }),
      };
      ApiProperty(options)(Input.prototype as object, field);
    }
  }
}

/** Serves the page at /api/docs and the document at /api/docs-json. */
export function serveOpenApi(app: INestApplication): void {
  describeContract();
  const document = SwaggerModule.createDocument(
    app,
    new DocumentBuilder().setTitle('Wheat Ledger').setVersion('1').build(),
  );
  schemas = document.components?.schemas ?? {};
  SwaggerModule.setup('api/docs', app, document, { jsonDocumentUrl: 'api/docs-json' });
}

let schemas: Readonly<Record<string, unknown>> = {};

/** OpenAPI 3.0 says `nullable` where JSON Schema names null among the types. */
function inJsonSchema(_key: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || !('nullable' in value) || !('type' in value)) return value;
  const { nullable, type, ...rest } = value;
  return { ...rest, type: nullable === true ? [type, 'null'] : type };
}

/** The JSON Schema of a workspace file, from the same rules that read it. */
export function workspaceSchema(): object {
  const defs = JSON.parse(
    JSON.stringify(schemas).replaceAll('#/components/schemas/', '#/$defs/'),
    inJsonSchema,
  ) as Record<string, unknown>;
  const item = (name: string): object => ({
    allOf: [
      { $ref: `#/$defs/${name}` },
      {
        type: 'object',
        required: ['id'],
        properties: { id: { type: 'string', format: 'uuid' }, removed: { const: true } },
      },
    ],
  });
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Wheat Ledger workspace',
    type: 'object',
    required: ['format', 'version'],
    properties: {
      format: { const: contract.WORKSPACE_FORMAT },
      version: { const: contract.WORKSPACE_VERSION },
      contents: {
        type: 'array',
        items: {
          type: 'object',
          required: ['sha256', 'base64'],
          properties: {
            sha256: { type: 'string', pattern: '^[0-9a-f]{64}$' },
            base64: { type: 'string', contentEncoding: 'base64' },
          },
        },
      },
      bench: { type: 'array', items: { $ref: `#/$defs/${contract.BenchPlaceInput.name}` } },
      ...Object.fromEntries(
        contract.RECORD_KINDS.map((kind) => [
          contract.KINDS[kind].list,
          { type: 'array', items: item(contract.KIND_INPUTS[kind].name) },
        ]),
      ),
    },
    $defs: defs,
  };
}
