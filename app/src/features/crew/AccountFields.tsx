import { LEAST_PASSWORD } from '@leggero/contract/crew';
import type { Control } from 'react-hook-form';

import { FormField } from '@/ui/FormField';
import { TYPING } from './typing';

/** What is typed of an account. */
export interface AccountValues {
  name: string;
  signInName: string;
  email: string | null;
  password: string;
  code: string | null;
}

export const NO_ACCOUNT: AccountValues = { name: '', signInName: '', email: null, password: '', code: null };

/** The fields of a new account. */
export function AccountFields({ control }: { control: Control<AccountValues> }) {
  return (
    <>
      <FormField
        control={control}
        name="name"
        label="Your name"
        hint="As the others of the studio read it."
        typing={{ autoComplete: 'name' }}
      />
      <FormField
        control={control}
        name="signInName"
        label="Name to sign in with"
        hint="Letters and digits, such as maren."
        typing={{ autoComplete: 'username', autoCapitalize: 'none' }}
      />
      <FormField
        control={control}
        name="email"
        holds="words or nothing"
        label="E-mail, if you like"
        hint="To sign in with too."
        typing={TYPING.email}
      />
      <FormField
        control={control}
        name="password"
        label="Password"
        hint={`${LEAST_PASSWORD} characters or more: a few words are easy to keep, and hard to guess.`}
        typing={TYPING.newPassword}
      />
    </>
  );
}
