import { Refused, Unreachable, type Problem, type Schemas } from './client';

/** Sends a file to a record, telling how much of it has gone: from 0 to 1. */
export function upload(partyId: number, file: File, kind: Schemas['FileUpload']['kind'], onProgress: (part: number) => void): Promise<Schemas['Record']> {
    return new Promise((resolve, reject) => {
        const request = new XMLHttpRequest();
        const body = new FormData();
        body.append('kind', kind);
        body.append('file', file);
        request.open('POST', `/api/parties/${partyId}/files`);
        request.responseType = 'json';
        request.setRequestHeader('Accept', 'application/json');
        const token = /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1];
        if (token !== undefined) {
            request.setRequestHeader('X-XSRF-TOKEN', decodeURIComponent(token));
        }
        request.upload.onprogress = ({ loaded, total }) => onProgress(total === 0 ? 0 : loaded / total);
        request.onerror = () => reject(new Unreachable());
        request.onload = () => {
            if (request.status === 201) {
                resolve(request.response as Schemas['Record']);
            } else {
                reject(new Refused((request.response as Problem | null) ?? { type: 'about:blank', title: 'Not taken', status: request.status, detail: 'That file could not be taken. Try again.' }));
            }
        };
        request.send(body);
    });
}
