import { Transform } from 'class-transformer';
import { IsBoolean, IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';

const asNumber = ({ value }: { value: unknown }): unknown => (typeof value === 'string' ? Number(value) : value);
const asFlag = ({ value }: { value: unknown }): unknown =>
  value === 'true' ? true : value === 'false' ? false : value;

/** How much of a list, from where. */
export class ListQueryDto {
  @IsOptional()
  @IsString()
  @MaxLength(600)
  after?: string;

  @IsOptional()
  @Transform(asNumber)
  @IsInt({ message: 'Expected limit as a whole number.' })
  @Min(1)
  @Max(500)
  limit?: number;

  @IsOptional()
  @Transform(asFlag)
  @IsBoolean({ message: 'Expected removed as true or false.' })
  removed?: boolean;
}
