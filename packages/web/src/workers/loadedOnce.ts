/** Loads something when it is first asked for and keeps it; what could not be loaded is asked for again. */
export function loadedOnce<T>(load: () => Promise<T>): () => Promise<T> {
  let held: Promise<T> | undefined;
  return async () => {
    held ??= load();
    try {
      return await held;
    } catch (error) {
      held = undefined;
      throw error;
    }
  };
}
