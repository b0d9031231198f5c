import { Refused, sameSiteToken, Unreachable, type Problem, type Schemas } from './client';

/** Sends a file to a record, telling how much of it has gone: from 0 to 1. */
export function upload(partyId: number, file: File, kind: Schemas['FileUpload']['kind'], onProgress: (part: number) => void): Promise<Schemas['Record']> {
    return send(`/api/parties/${partyId}/files`, { kind, file }, onProgress);
}

/** Hands in a file of documents. */
export function uploadDocuments(file: File, onProgress: (part: number) => void): Promise<Schemas['Import']> {
    return send('/api/imports', { file }, onProgress);
}

function send<T>(to: string, fields: Record<string, string | File>, onProgress: (part: number) => void): Promise<T> {
    return new Promise((resolve, reject) => {
        const request = new XMLHttpRequest();
        const body = new FormData();
        for (const [name, value] of Object.entries(fields)) {
            body.append(name, value);
        }
        request.open('POST', to);
        request.responseType = 'json';
        request.setRequestHeader('Accept', 'application/json');
        const token = sameSiteToken();
        if (token !== undefined) {
            request.setRequestHeader('X-XSRF-TOKEN', token);
        }
        request.upload.onprogress = ({ loaded, total }) => onProgress(total === 0 ? 0 : loaded / total);
        request.onerror = () => reject(new Unreachable());
        request.onload = () => {
            if (request.status === 201) {
                resolve(request.response as T);
            } else {
                reject(new Refused((request.response as Problem | null) ?? { type: 'about:blank', title: 'Not taken', status: request.status, detail: 'That file could not be taken. Try again.' }));
            }
        };
        request.send(body);
    });
}
