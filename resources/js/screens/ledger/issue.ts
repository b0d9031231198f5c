import { api, ask, Refused, type Schemas } from '../../api/client';

/** What stands against issuing a document. */
export type Against = Schemas['Against'];

/** Issues a draft; what stands against it is given back. */
export async function tryToIssue(document: number, version: number, isConfirmed: boolean): Promise<Against | undefined> {
    try {
        await ask(api.POST('/api/documents/{document}/issue', { params: { path: { document } }, body: { isConfirmed, version } }));
        return undefined;
    } catch (error) {
        if (!(error instanceof Refused) || error.isSignedOut) {
            throw error;
        }
        return { message: Object.values(error.fields)[0] ?? error.message, asks: error.fields.isConfirmed !== undefined };
    }
}
