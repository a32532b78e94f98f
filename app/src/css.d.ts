/** Styles are imported for what they do. */
declare module '*.css';
