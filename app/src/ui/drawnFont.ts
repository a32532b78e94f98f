/** What words in drawings are set in. */
export const DRAWN_FONT = 'HankenGrotesk_400Regular';
