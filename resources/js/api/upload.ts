import { working } from '../ui/working';
import { Refused, Unreachable, type Problem, type Schemas } from './client';
import { askedToWait, sameSiteToken } from './sendOnce';

/** Told how much of a file has gone: from 0 to 1. */
type OnProgress = (part: number) => void;

/** Sends a file to a record, a case or a project. */
export function upload<T extends Schemas['Record'] | Schemas['Engagement']>(
    to: `parties/${number}` | `engagements/${number}`,
    file: File,
    kind: Schemas['FileUpload']['kind'],
    onProgress: OnProgress,
): Promise<T> {
    return send(`/api/${to}/files`, { kind, file }, onProgress);
}

/** Hands in a file of people and companies, or of documents. */
export function uploadImport(file: File, onProgress: OnProgress): Promise<Schemas['Import']> {
    return send('/api/imports', { file }, onProgress);
}

/** Chooses the logo of the office. */
export function uploadLogo(file: File, onProgress: OnProgress): Promise<Schemas['Office']> {
    return send('/api/office/logo', { file }, onProgress);
}

/** Sends the fields under one key, and again as long as the server says when to. */
function send<T>(to: string, fields: Record<string, string | File>, onProgress: OnProgress): Promise<T> {
    const key = crypto.randomUUID();
    return working(async () => {
        for (let tries = 1; ; tries++) {
            const request = await sendOneTime(to, key, fields, onProgress);
            if (request.status === 201) {
                return request.response as T;
            }
            if (!(await askedToWait(request.status, request.getResponseHeader('Retry-After'), tries))) {
                throw new Refused(
                    (request.response as Problem | null) ?? {
                        type: 'about:blank',
                        title: 'Not uploaded',
                        status: request.status,
                        detail: 'That file could not be uploaded. Try again.',
                    },
                );
            }
        }
    });
}

function sendOneTime(to: string, key: string, fields: Record<string, string | File>, onProgress: OnProgress): Promise<XMLHttpRequest> {
    return new Promise((resolve, reject) => {
        const request = new XMLHttpRequest();
        const body = new FormData();
        for (const [name, value] of Object.entries(fields)) {
            body.append(name, value);
        }
        request.open('POST', to);
        request.responseType = 'json';
        request.setRequestHeader('Accept', 'application/json');
        request.setRequestHeader('Idempotency-Key', key);
        const token = sameSiteToken();
        if (token !== undefined) {
            request.setRequestHeader('X-XSRF-TOKEN', token);
        }
        request.upload.onprogress = ({ loaded, total }) => onProgress(total === 0 ? 0 : loaded / total);
        request.onerror = () => reject(new Unreachable());
        request.onload = () => resolve(request);
        request.send(body);
    });
}
