import { startTransition, useEffect, useState } from 'react';

import { painted } from '@/device/painted';

/**
 * A value that follows once what else it changes is painted: for what takes long to make of it. (What React defers by
 * itself begins at once, in slices between which the browser may still not paint.)
 */
export function useLate<Value>(value: Value): Value {
  const [late, setLate] = useState(value);
  useEffect(() => {
    let over = false;
    void painted().then(() => {
      if (!over) startTransition(() => setLate(() => value));
    });
    return () => {
      over = true;
    };
  }, [value]);
  return late;
}
