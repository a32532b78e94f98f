/** Someone of 1.7 m, standing with the feet at 0 0, mm, y downwards. */
export const PERSON_MM = 1700;
export const PERSON =
  'M-150 0L-165 -830L-190 -1050L-215 -1390Q-210 -1470 -120 -1480H120Q210 -1470 215 -1390L190 ' +
  '-1050L165 -830L150 0H45L0 -760L-45 0Z M-95 -1605a95 95 0 1 0 190 0a95 95 0 1 0 -190 0';
