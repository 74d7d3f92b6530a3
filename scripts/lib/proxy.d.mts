export function startProxy(
  addresses: readonly string[],
  port?: number,
): Promise<{ readonly address: string; readonly stop: () => Promise<void> }>;
