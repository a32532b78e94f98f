import type { TextInputProps } from 'react-native';

/** What a browser is told of a field: what it may fill in, and which keys a phone shows. */
export const TYPING = {
  email: { autoComplete: 'email', inputMode: 'email', autoCapitalize: 'none' },
  /** A code is given once: nothing that was typed before is it. */
  code: { autoComplete: 'off', autoCapitalize: 'characters' },
  password: { secureTextEntry: true, autoComplete: 'current-password' },
  newPassword: { secureTextEntry: true, autoComplete: 'new-password' },
} as const satisfies Record<string, TextInputProps>;
