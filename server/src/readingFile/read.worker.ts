import { parentPort, workerData } from 'node:worker_threads';

import { readBytes } from './read';
import type { ReadAnswer } from './readApart';

/** Reads one file of readings beside the service, which goes on answering others meanwhile. */
const send = (answer: ReadAnswer) => parentPort?.postMessage(answer);
send({ file: readBytes(workerData as Uint8Array, (done, of) => send({ done, of })) });
