import type { Schemas } from '../api/client';
import { useSession } from '../api/session';
import type { Option } from '../ui/Choose';

type Titles = Schemas['Titles'];

/** The codes of a list that the office keeps by code. */
export type CodeOf<L extends keyof Titles> = Titles[L][number]['code'];

/** What there is to choose from. It comes with who is signed in, so that no list is opened before it is there. */
export function useTitles<L extends keyof Titles>(list: L): Option<CodeOf<L>>[] {
    const titled: { code: CodeOf<L>; name: string }[] = useSession().titles?.[list] ?? [];
    return titled.map(({ code, name }) => ({ id: code, name }));
}

/** The title of a code, where it is one of them. */
export function titleOf<T extends string>(options: readonly Option<T>[], code: string): string {
    return options.find(({ id }) => id === code)?.name ?? '';
}
