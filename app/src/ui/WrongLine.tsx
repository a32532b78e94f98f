import { Words } from './Words';

/** Why something was not taken; nothing where it was. */
export function WrongLine({ wrong }: { wrong: string | null }) {
  if (wrong === null) return null;
  return (
    <Words look="error" role="alert">
      {wrong}
    </Words>
  );
}
