import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'sqlite',
  schema: './server/src/store/schema/*.ts',
  out: './server/migrations',
});
