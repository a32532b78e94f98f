import type { BasketProblemCode } from './basket';
import type { ChainProblemCode } from './chain';
import type { CurtainProblemCode } from './curtain';
import type { FormProblemCode } from './form';
import type { FittingProblemCode, RingProblemCode } from './ring';
import type { StackProblemCode } from './ringStack';
import type { SwagRowsProblemCode } from './swag';

/** Why a piece of linking work cannot be worked out. */
export type LinkProblemCode =
  | BasketProblemCode
  | ChainProblemCode
  | CurtainProblemCode
  | FittingProblemCode
  | FormProblemCode
  | RingProblemCode
  | StackProblemCode
  | SwagRowsProblemCode;
