import { createHash } from 'node:crypto';

/**
 * A UUID of version 5 (RFC 9562): always the same for a workspace and an id, so that importing one file twice adds nothing the second time.
 * @example ownId(workspace, '3f2b8c1e-…')
 */
export function ownId(workspace: string, id: string): string {
  const hash = createHash('sha1')
    .update(Buffer.from(workspace.replaceAll('-', ''), 'hex'))
    .update(id)
    .digest();
  const bytes = hash.subarray(0, 16);
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x50;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  return bytes.toString('hex').replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

/** A value with every id in it that is known by another name told by that name; only references are such words. */
export function withIds(value: unknown, names: ReadonlyMap<string, string>): unknown {
  if (typeof value === 'string') return names.get(value) ?? value;
  if (Array.isArray(value)) return value.map((v) => withIds(v, names));
  if (typeof value !== 'object' || value === null) return value;
  for (const [key, inner] of Object.entries(value)) (value as Record<string, unknown>)[key] = withIds(inner, names);
  return value;
}
