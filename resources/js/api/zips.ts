import { queryOptions } from '@tanstack/react-query';

/** What lies at a ZIP code of the USA. */
export interface ZipPlace {
    latitude: number;
    longitude: number;
    state: string;
    city: string;
}

/** The first five digits of a ZIP code; undefined while there are not as many. */
export function fiveDigits(typed: string): string | undefined {
    return /^\s*(\d{5})(-?\d{4})?\s*$/.exec(typed)?.[1];
}

/** From a table that ships with the program; null for a ZIP code that is not in it. */
export function zipQuery(zip: string | undefined) {
    return queryOptions({
        queryKey: ['zip', zip],
        enabled: zip !== undefined,
        staleTime: Infinity,
        queryFn: async (): Promise<ZipPlace | null> => {
            const answer = await fetch(`/build/zips/${zip?.slice(0, 2)}.txt`);
            const line = answer.ok ? (await answer.text()).split('\n').find((one) => one.startsWith(`${zip} `)) : undefined;
            const [, latitude, longitude, state, ...city] = line?.split(' ') ?? [];
            return state === undefined ? null : { latitude: Number(latitude), longitude: Number(longitude), state, city: city.join(' ') };
        },
    });
}
