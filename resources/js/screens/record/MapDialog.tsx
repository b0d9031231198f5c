import { lazy, Suspense, useEffect, useState } from 'react';
import { queryClient } from '../../api/queries';
import { fiveDigits, zipQuery } from '../../api/zips';
import { MainButton } from '../../ui/Button';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import type { Spot } from '../../ui/PlaceMap';
import { Quiet, Row } from '../../ui/Text';
import type { RecordData } from './sections/spec';

type AddressData = RecordData['addresses']['addresses'][number];

const PlaceMap = lazy(async () => ({ default: (await import('../../ui/PlaceMap')).PlaceMap }));

async function spotOfZip(typed: string): Promise<Spot | undefined> {
    const zip = fiveDigits(typed);
    const place = zip === undefined ? null : await queryClient.fetchQuery(zipQuery(zip));
    return place === null ? undefined : { ...place, what: `ZIP code ${zip}` };
}

/** Where the address is, as near as the program knows: by ZIP code in the USA, else by state or country. */
function useSpot(address: AddressData): Spot | null | undefined {
    const [spot, setSpot] = useState<Spot | null>();
    useEffect(() => {
        let isOpen = true;
        const find = async () => {
            const { middleOf } = await import('../../ui/PlaceMap');
            return (address.country === 'US' ? await spotOfZip(address.postcode) ?? middleOf(address.regionName, true) : undefined)
                ?? middleOf(address.countryName, false) ?? null;
        };
        find().then((found) => isOpen && setSpot(found), () => isOpen && setSpot(null));
        return () => {
            isOpen = false;
        };
    }, [address]);
    return spot;
}

export function MapDialog({ address, onClose }: { address: AddressData; onClose: () => void }) {
    const spot = useSpot(address);
    const isUsa = address.country === 'US';
    return (
        <Dialog title={address.text.slice(-2).join(', ')} onClose={onClose} isWide>
            {spot === null && <p>The atlas that comes with the program does not have this place.</p>}
            {spot === undefined && <Quiet>Looking it up …</Quiet>}
            {spot != null && (
                <>
                    <Suspense fallback={<Quiet>Drawing …</Quiet>}>
                        <PlaceMap spot={spot} within={isUsa ? address.regionName : address.countryName} isUsa={isUsa} />
                    </Suspense>
                    <Row $gap="small">
                        <Quiet>The mark is at {spot.what}; it is no more exact than that.</Quiet>
                        <a href={`geo:${spot.latitude.toFixed(4)},${spot.longitude.toFixed(4)}`}>Open it in a map program</a>
                    </Row>
                </>
            )}
            <DialogButtons><MainButton autoFocus onPress={onClose}>Close</MainButton></DialogButtons>
        </Dialog>
    );
}
