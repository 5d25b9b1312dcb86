import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  server: { proxy: { '/api': 'http://localhost:8080', '/actuator': 'http://localhost:8080' } },
  build: { chunkSizeWarningLimit: 900, manifest: true },
});
