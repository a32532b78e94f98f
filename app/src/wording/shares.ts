import type { Share } from '@leggero/contract/share';

import { momentText } from './day';

/** For how long something may be shared, to choose from. */
export const SHARED_DAYS = [
  { value: '7', title: 'A week' },
  { value: '30', title: '30 days' },
  { value: '90', title: '90 days' },
] as const;

/** What may be shared of an event, and with whom. */
export const SHARE_WORDS: Record<Share['kind'], { title: string; share: string; says: string }> = {
  sheet: {
    title: 'Page for the client',
    share: 'Share with the client',
    says: 'A page with the pictures, sizes, colours and what to mind, as it is now. Send the link to the client.',
  },
  copy: {
    title: 'Copy for another studio',
    share: 'Share with another studio',
    says:
      'The event as it is now: its pieces, their balloons and what each is filled to. The other studio takes it in as ' +
      'its own; what either changes later stays with it.',
  },
};

export const shareNote = ({ expiresAt }: Pick<Share, 'expiresAt'>): string => `until ${momentText(expiresAt)}`;
