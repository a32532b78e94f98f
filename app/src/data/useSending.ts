import type { Route, SchemaOf } from '@leggero/contract';
import { useState } from 'react';
import type { FieldPath, FieldValues, UseFormSetError } from 'react-hook-form';
import type { z } from 'zod';

import { ApiError, call } from './client';

/** Sending something that only the server can say yes to: whether it is on its way, and why it was not taken. */
export interface Sending<R extends Route> {
  busy: boolean;
  /** What is wrong that no field is to blame for. */
  wrong: string | null;
  /** Answers what the server said; null where it was not taken. */
  send: (asked: { id?: string; body?: unknown }) => Promise<{ answer: z.output<SchemaOf<R, 'response'>> } | null>;
}

/** Sends to a route. What the server blames fields for is set beside them: `setError` of their form. */
export function useSending<R extends Route, Values extends FieldValues = FieldValues>(
  route: R,
  setError?: UseFormSetError<Values>,
): Sending<R> {
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  return {
    busy,
    wrong,
    async send(asked) {
      setBusy(true);
      setWrong(null);
      try {
        return { answer: await call(route, asked) };
      } catch (error) {
        if (!(error instanceof ApiError)) throw error;
        const fields = (setError && error.problem?.fields) ?? [];
        for (const { path, message } of fields)
          setError?.(path.replace(/^account\./, '') as FieldPath<Values>, { message });
        if (fields.length === 0) setWrong(error.message);
        return null;
      } finally {
        setBusy(false);
      }
    },
  };
}
