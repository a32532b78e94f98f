/** The part of pdf-parse that the checks use; its own entry looks for a sample file. */
declare module 'pdf-parse/lib/pdf-parse.js' {
  export default function parsePdf(data: Buffer): Promise<{ text: string; numpages: number }>;
}
