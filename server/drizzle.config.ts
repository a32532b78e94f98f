import { defineConfig } from 'drizzle-kit';

export default defineConfig({ dialect: 'mysql', schema: './src/db/tables/index.ts', out: './src/db/migrations' });
