import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'sqlite',
  schema: './server/drizzle.schema.ts',
  out: './server/migrations',
});
