import type { LogMapping } from '@keen-gauge/core/demand/measured/mapping';
import { call, named, NoAnswer, ServerProblem } from './client';

export const logUrl = (jobId: string, id: string): string => `/api/jobs/${jobId}/logs/${id}`;

/** Keeps a log's file with the job, packed on the way; under which id. */
export function sendLog(jobId: string, file: Blob, name: string): Promise<string> {
  return named(`log ${jobId} ${name} ${file.size}`, async (id) => {
    await sendLogAs(jobId, id, file, name);
    return id;
  });
}

/** Keeps a log’s file with the job under an id made before. Sent twice, it is kept once. */
export async function sendLogAs(jobId: string, id: string, file: Blob, name: string): Promise<void> {
  const packed = await new Response(file.stream().pipeThrough(new CompressionStream('gzip'))).blob();
  let response: Response;
  try {
    response = await fetch(`${logUrl(jobId, id)}?name=${encodeURIComponent(name)}`, {
      method: 'POST',
      headers: { 'content-type': 'application/gzip' },
      body: packed,
    });
  } catch {
    throw new NoAnswer();
  }
  if (response.ok) return;
  const { title = 'Not kept', detail = '' } = (await response.json().catch(() => ({}))) as {
    title?: string;
    detail?: string;
  };
  throw new ServerProblem(response.status, title, detail, {});
}

export async function fetchLog(jobId: string, id: string): Promise<Blob> {
  const response = await fetch(logUrl(jobId, id)).catch(() => {
    throw new NoAnswer();
  });
  if (!response.ok) throw new NoAnswer();
  return response.blob();
}

export const knownMapping = (shape: string): Promise<{ mapping: LogMapping | null }> =>
  call('GET', `/log-mappings/${shape}`);
export const rememberMapping = (shape: string, mapping: LogMapping): Promise<void> =>
  call('POST', `/log-mappings/${shape}`, mapping);
