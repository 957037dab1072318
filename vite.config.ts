import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: process.env.VITEST ? [react()] : [laravel({ input: ['resources/js/app/main.tsx'], refresh: false }), react()],
  build: { target: 'es2022', chunkSizeWarningLimit: 700 },
  test: { environment: 'jsdom', include: ['resources/js/**/*.test.{ts,tsx}'] },
});
