import { api, ask, type Schemas } from '../../../api/client';
import { type Keyed, type SectionSpec, bare, keyed } from './spec';

export type CodeRow = Keyed<Schemas['CodeInput']>;

export type ClassificationDraft = Omit<Schemas['ClassificationInput'], 'version' | 'codes'> & { codes: CodeRow[] };

export const classificationSpec: SectionSpec<ClassificationDraft> = {
    name: 'classification',
    title: () => 'Classification',
    version: (record) => record.classification.version,
    draft: ({
        classification: { types, tags, owner, accountManager, buyer, source, language, grade, noLettersOn, noLettersHow, codes },
    }) => ({
        types, tags, source, language, grade, noLettersOn, noLettersHow,
        ownerId: owner.own?.id ?? null,
        accountManagerId: accountManager.own?.id ?? null,
        buyerId: buyer.own?.id ?? null,
        codes: codes.map(keyed),
    }),
    put: (id, version, draft) => ask(api.PUT('/api/parties/{id}/classification', {
        params: { path: { id } }, body: { ...draft, version, codes: bare(draft.codes) },
    })),
};
