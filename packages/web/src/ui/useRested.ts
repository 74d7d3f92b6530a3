import { useEffect, useState } from 'react';

/** A value once it has stayed the same for a while: what costs more than a key is asked when the hand rests. @param ms how long */
export function useRested<T>(value: T, ms: number): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return rested;
}
