import { parentPort, workerData } from 'node:worker_threads';

import { readBytes, type FileToRead } from './read';
import type { ReadAnswer } from './readApart';

/** Reads one file of readings beside the service, which goes on answering others meanwhile. */
const send = (answer: ReadAnswer) => parentPort?.postMessage(answer);
send({ file: readBytes(workerData as FileToRead, (done, of) => send({ done, of })) });
