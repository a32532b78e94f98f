import { spawnSync } from 'node:child_process';
import { cpSync, createReadStream, existsSync, mkdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { once } from 'node:events';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';

import type { Bench } from './bench';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const APP = path.join(ROOT, 'app');
const EMPTY = path.join(ROOT, 'speed/.work/empty');

/**
 * Gzipped JavaScript of the first load of the shelf, against an empty Expo Router app that uses the same libraries.
 * A smoke does not build that one: its yardstick is the app itself.
 */
export async function measureSize(bench: Bench): Promise<void> {
  const own = path.join(APP, 'dist');
  const ours = await firstLoadKb(bench, own, '/shelf');
  const theirs = bench.smoke ? ours : await firstLoadKb(bench, buildEmpty(), '/');
  bench.report({
    what: 'JavaScript of the first load, gzip',
    ours,
    yardstick: 'an empty Expo Router app with the same libraries',
    theirs,
    unit: 'KB',
    most: 1.28,
  });
}

/** The same configuration and the same imports, and one page that only counts taps. */
export function buildEmpty(): string {
  rmSync(EMPTY, { recursive: true, force: true });
  mkdirSync(path.join(EMPTY, 'src/app'), { recursive: true });
  for (const file of [
    'app.json',
    'babel.config.js',
    'metro.config.js',
    'tailwind.config.js',
    'global.css',
    'zod-locales.js',
    'package.json',
    'assets',
    'public',
    'src/ui/palette.json',
  ]) {
    cpSync(path.join(APP, file), path.join(EMPTY, file), { recursive: true });
  }
  if (existsSync(path.join(APP, 'node_modules')))
    symlinkSync(path.join(APP, 'node_modules'), path.join(EMPTY, 'node_modules'));
  const metro = path.join(EMPTY, 'metro.config.js');
  writeFileSync(
    metro,
    `const config = require(${JSON.stringify(path.join(APP, 'metro.config.js'))});
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');
const own = getDefaultConfig(__dirname);
own.watchFolders = [${JSON.stringify(ROOT)}];
own.resolver.nodeModulesPaths = [${JSON.stringify(path.join(APP, 'node_modules'))}, ${JSON.stringify(path.join(ROOT, 'node_modules'))}];
own.resolver.resolveRequest = config.resolver.resolveRequest;
module.exports = withNativeWind(own, { input: './global.css' });
`,
  );
  writeFileSync(path.join(EMPTY, 'src/app/_layout.tsx'), LAYOUT);
  writeFileSync(path.join(EMPTY, 'src/app/index.tsx'), PAGE);
  const cli = path.join(ROOT, 'node_modules/expo/bin/cli');
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [cli, 'export', '--platform', 'web', '--output-dir', 'dist'],
    {
      cwd: EMPTY,
      encoding: 'utf8',
      env: { ...process.env, EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1', CI: '1', NODE_ENV: 'production' },
    },
  );
  if (status !== 0) throw new Error(`the empty app could not be built:\n${stdout}\n${stderr}`);
  return path.join(EMPTY, 'dist');
}

// What the first load of the shelf uses, and no more: forms, for instance, come with their own page.
const LAYOUT = `import '../../global.css';
import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { HankenGrotesk_400Regular } from '@expo-google-fonts/hanken-grotesk/400Regular';
import { HankenGrotesk_600SemiBold } from '@expo-google-fonts/hanken-grotesk/600SemiBold';
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { openDB } from 'idb';
import Layers from 'lucide-react-native/icons/layers';
import { colorScheme } from 'nativewind';
import Svg from 'react-native-svg';
import { weakMapMemoize } from 'reselect';
import { extendTailwindMerge } from 'tailwind-merge';
import { z } from 'zod';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
const client = new QueryClient();
const schema = z.object({ id: z.uuid() });
export const used = [useQuery, Layers, colorScheme, Svg, extendTailwindMerge, schema, create, persist, openDB, weakMapMemoize];
export default function Layout() {
  useFonts({ BricolageGrotesque_700Bold, HankenGrotesk_400Regular, HankenGrotesk_600SemiBold });
  return (
    <QueryClientProvider client={client}>
      <Slot />
    </QueryClientProvider>
  );
}
`;
const PAGE = `import { useState } from 'react';
import { Pressable, Text } from 'react-native';
export default function Page() {
  const [taps, setTaps] = useState(0);
  return (
    <Pressable role="button" aria-label="tap" onPress={() => setTaps(taps + 1)}>
      <Text>{'empty ' + taps}</Text>
    </Pressable>
  );
}
`;

/** Kilobytes of JavaScript, gzipped file by file, that a browser fetches until a page of a built app is quiet. */
async function firstLoadKb(bench: Bench, folder: string, address: string): Promise<number> {
  const server = serve(folder);
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  try {
    const page = await bench.blank();
    const sizes: Promise<number>[] = [];
    page.on('response', (response) => {
      const isScript = new URL(response.url()).pathname.endsWith('.js');
      if (isScript) sizes.push(response.buffer().then((body) => gzipSync(body).length));
    });
    await page.goto(`http://127.0.0.1:${port}${address}`, { waitUntil: 'networkidle0' });
    const all = await Promise.all(sizes);
    return all.reduce((sum, size) => sum + size, 0) / 1000;
  } finally {
    server.close();
    server.closeAllConnections();
  }
}

export function serve(folder: string): Server {
  const types: Record<string, string> = {
    '.js': 'text/javascript',
    '.css': 'text/css',
    '.html': 'text/html',
  };
  return createServer((request, response) => {
    const asked = path.join(folder, new URL(request.url ?? '/', 'http://local').pathname);
    if (request.url?.startsWith('/api/')) return void response.writeHead(404).end('{}');
    const file = path.extname(asked) && existsSync(asked) ? asked : path.join(folder, 'index.html');
    response.setHeader('Content-Type', types[path.extname(file)] ?? 'application/octet-stream');
    createReadStream(file).pipe(response);
  }).listen(0, '127.0.0.1');
}
