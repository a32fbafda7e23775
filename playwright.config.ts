import { defineConfig } from '@playwright/test';

export const SIGNED_IN = 'var/browser-signed-in.json';

// The server is started by ./test, which also says where it listens.
const BROWSER = { executablePath: '/usr/bin/chromium-headless-shell', chromiumSandbox: false };
const PLAIN = [
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
];
/** The 3D picture is drawn in software here, which costs as much as all else of a page: only where it is looked at. */
const withPicture = {
    launchOptions: {
        ...BROWSER,
        args: [...PLAIN, '--use-angle=swiftshader-webgl', '--enable-unsafe-swiftshader'],
    },
};

export default defineConfig({
    testDir: 'tests/Browser',
    // One more than there are cores: a page often waits, for the server or for a search.
    workers: 3,
    fullyParallel: true,
    forbidOnly: Boolean(process.env['CI']),
    // Wide, as a machine shared with others may stand still for seconds.
    timeout: 120_000,
    expect: { timeout: 25_000 },
    outputDir: 'var/browser-results',
    reporter: [['list']],
    projects: [
        { name: 'sign in', testMatch: 'sign-in.setup.ts' },
        {
            name: 'screens',
            dependencies: ['sign in'],
            testIgnore: /whole-path|two-searches|shared-choices|every-screen|picture/,
            use: { storageState: SIGNED_IN },
        },
        {
            name: 'in 3D',
            dependencies: ['sign in'],
            testMatch: /every-screen|picture/,
            use: { storageState: SIGNED_IN, ...withPicture },
        },
        // Wants every worker of the queue, so it runs when all others are done.
        {
            name: 'two searches',
            dependencies: ['screens', 'in 3D'],
            testMatch: /two-searches/,
            use: { storageState: SIGNED_IN },
        },
        // Stops and starts the server.
        {
            name: 'whole path',
            dependencies: ['two searches'],
            testMatch: /whole-path/,
            use: { storageState: SIGNED_IN, ...withPicture },
        },
        // Changes what the whole shop works by.
        {
            name: 'shared choices',
            dependencies: ['whole path'],
            testMatch: /shared-choices/,
            use: { storageState: SIGNED_IN },
        },
    ],
    use: {
        baseURL: process.env['BEAD_URL'] ?? 'http://127.0.0.1:8420',
        viewport: { width: 1280, height: 800 },
        // Recording every test costs a third of the time: BEAD_TRACE=1 ./test browser.
        trace: process.env['BEAD_TRACE'] ? 'retain-on-failure' : 'off',
        actionTimeout: 25_000,
        launchOptions: { ...BROWSER, args: [...PLAIN, '--disable-gpu', '--disable-3d-apis'] },
    },
});
