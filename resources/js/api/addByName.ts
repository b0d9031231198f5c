import { api, ask, type Schemas } from './client';

/** Adds a person with just a name, taken apart as it was typed. */
export async function addPersonByName(typed: string): Promise<Schemas['PartyRow']> {
    const { given, family, prefix, middle, suffix } = await ask(api.GET('/api/names', { params: { query: { typed } } }));
    const { party } = await ask(api.POST('/api/parties', {
        body: { kind: 'person', given, family, prefix, middle, suffix, isClient: false, isVendor: false },
    }));
    return party;
}
