import createClient, { type Middleware } from 'openapi-fetch';
import type { components, operations, paths } from './schema';
import { sameSiteToken, sendOnce } from './sendOnce';

export type Schemas = components['schemas'];

/** What is asked of a read, as it stands in its address. */
export type Asked<T extends keyof operations> = operations[T] extends { parameters: { query?: infer Q } } ? NonNullable<Q> : never;
export type Problem = Schemas['Problem'];

/** The server answered, and refused. */
export class Refused extends Error {
    constructor(readonly problem: Problem) {
        super(problem.detail);
    }

    get isSignedOut(): boolean {
        return this.problem.status === 401 || this.problem.status === 419;
    }

    get isStale(): boolean {
        return this.problem.status === 409;
    }

    /** Messages by field, the first of each. */
    get fields(): Record<string, string> {
        const fields: Record<string, string> = {};
        for (const { field, message } of this.problem.errors ?? []) {
            fields[field] ??= message;
        }
        return fields;
    }
}

/** No answer came: the server is down, or the network is. */
export class Unreachable extends Error {
    constructor() {
        super('The server cannot be reached.');
    }
}

const proveSameSite: Middleware = {
    onRequest({ request }) {
        const token = sameSiteToken();
        if (token !== undefined) {
            request.headers.set('X-XSRF-TOKEN', token);
        }
        request.headers.set('Accept', 'application/json');
        return request;
    },
};

export const api = createClient<paths>({ baseUrl: '/', credentials: 'same-origin', fetch: sendOnce });
api.use(proveSameSite);

interface Answer<T> {
    data?: T;
    error?: unknown;
    response: Response;
}

/** Waits for an answer and unwraps it; everything else is thrown as Refused or Unreachable. */
export async function ask<T>(call: Promise<Answer<T>>): Promise<T> {
    let answer: Answer<T>;
    try {
        answer = await call;
    } catch {
        throw new Unreachable();
    }
    if (answer.response.ok) {
        return answer.data as T;
    }
    if (answer.response.status === 502 || answer.response.status === 503 || answer.response.status === 504) {
        throw new Unreachable();
    }
    throw new Refused(isProblem(answer.error) ? answer.error : {
        type: 'about:blank',
        title: 'Something went wrong',
        status: answer.response.status,
        detail: 'The server’s answer could not be understood. Try again.',
    });
}

function isProblem(error: unknown): error is Problem {
    return typeof error === 'object' && error !== null && 'status' in error && 'detail' in error;
}
