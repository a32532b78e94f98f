import { HttpProblem } from '../http/problem';
import type { Guard } from '../records/guard';

const refuse = () => Promise.reject(HttpProblem.conflict('There is one studio here, and it stays.'));

/** The studio is made at the first start. */
export const studio: Guard<'studio'> = { make: refuse, remove: refuse };
