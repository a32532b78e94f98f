import { z } from 'zod';

/** Why a file is none of ours that can be read here. */
export type OwnFileProblem =
  | { code: 'not-json' }
  | { code: 'other-format' }
  | { code: 'newer-version'; version: number }
  | { code: 'bad-field'; path: string; message: string };

/** What tells a file of ours from others, and one version of it from the next. */
export interface OwnFormat {
  format: string;
  version: number;
}

/** Reads the text of a file of ours. A newer version is refused by name before its fields are looked at. */
export function readOwnFile<Schema extends z.ZodType>(
  text: string,
  { format, version, schema }: OwnFormat & { schema: Schema },
): { ok: true; value: z.output<Schema> } | { ok: false; problem: OwnFileProblem } {
  const refuse = (problem: OwnFileProblem) => ({ ok: false as const, problem });
  let found: unknown;
  try {
    found = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return refuse({ code: 'not-json' });
  }
  const head = z.object({ format: z.literal(format), version: z.int().min(1) }).safeParse(found);
  if (!head.success) return refuse({ code: 'other-format' });
  if (head.data.version > version) return refuse({ code: 'newer-version', version: head.data.version });
  const parsed = schema.safeParse(found);
  if (parsed.success) return { ok: true, value: parsed.data };
  const [issue] = parsed.error.issues;
  return refuse({ code: 'bad-field', path: issue?.path.join('.') ?? '', message: issue?.message ?? '' });
}
