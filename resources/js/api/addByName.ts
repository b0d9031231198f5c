import { api, ask, type Schemas } from './client';

/** Adds a person with just a name, taken apart as it was typed. */
export async function addPersonByName(typed: string): Promise<Schemas['PartyRow']> {
    const { given, family, prefix, middle, suffix } = await ask(api.GET('/api/names', { params: { query: { typed } } }));
    const { party } = await ask(api.POST('/api/parties', {
        body: { kind: 'person', given, family, prefix, middle, suffix, isClient: false, isVendor: false },
    }));
    return party;
}

/** Adds a company with just a name. */
export async function addCompanyByName(name: string): Promise<Schemas['PartyRow']> {
    const { party } = await ask(api.POST('/api/parties', { body: { kind: 'company', name, isClient: false, isVendor: false } }));
    return party;
}
