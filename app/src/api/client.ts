import {
  pathOf,
  problemSchema,
  ROUTES,
  type ProblemDocument,
  type ResponseOf,
  type RouteName,
} from '@leggero/contract';

/** The server answered with a problem, or could not be reached (status 0). */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly problem: ProblemDocument | null = null,
  ) {
    super(problem?.title ?? 'The server cannot be reached.');
  }

  /** Whether asking again later may help. */
  get passing(): boolean {
    return this.status === 0 || this.status >= 500;
  }
}

/** Calls one route of the contract. */
export async function call<Name extends RouteName>(
  name: Name,
  { id, body, signal }: { id?: string | undefined; body?: unknown; signal?: AbortSignal } = {},
): Promise<ResponseOf<Name>> {
  const response = await fetch(pathOf(name, id), {
    method: ROUTES[name].method,
    headers: {
      Accept: 'application/json',
      ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    ...(signal ? { signal } : {}),
  }).catch((error: unknown) => {
    if (signal?.aborted) throw error;
    throw new ApiError(0);
  });
  if (!response.ok) throw new ApiError(response.status, await readProblem(response));
  return (response.status === 204 ? undefined : await response.json()) as ResponseOf<Name>;
}

async function readProblem(response: Response): Promise<ProblemDocument | null> {
  try {
    return problemSchema.parse(await response.json());
  } catch {
    return null;
  }
}
